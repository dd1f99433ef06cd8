import { initialNumbers, LADDER_DEFAULTS, ladderSchema, type StartRule } from "~/core/ladder";
import * as v from "valibot";
import type { DemoPassage, DemoSchool } from "./scenario";

const START_RULES: Record<DemoPassage["ladder"]["rule"], StartRule> = {
  comfortable: { kind: "comfortable" },
  ended: { kind: "where-ended" },
  "ended-less": { kind: "where-ended-less", steps: 1 },
};

const phasesOf = (schools: readonly DemoSchool[]) =>
  schools.map(({ name, numbers = {}, start = null, target = null }) => ({
    school: { name, numbers: { ...initialNumbers(name), ...numbers } },
    start,
    target,
  }));

/** A ladder of the demo, with what it leaves unsaid. */
export function ladderOf({ ladder }: Pick<DemoPassage, "ladder">) {
  const { schools, start, target, clean = 3, rule, minutes, subdivision = 1 } = ladder;
  const pattern = { kind: "beats", subdivision };
  return v.parse(ladderSchema, {
    ...LADDER_DEFAULTS,
    phases: phasesOf(schools),
    start,
    target,
    startRule: START_RULES[rule],
    gate: ladder.once
      ? [{ kind: "in-all", plays: 1 }]
      : [{ kind: "in-a-row", plays: clean, afterFlawed: "reset" }],
    afterFlawed: { ...LADDER_DEFAULTS.afterFlawed, plays: 5 },
    rest: ladder.rest ?? 0,
    minutes,
    hidden: ladder.hidden ?? false,
    part: ladder.part ?? null,
    click: { ...LADDER_DEFAULTS.click, pattern },
  });
}
