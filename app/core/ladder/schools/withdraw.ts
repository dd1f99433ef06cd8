import * as v from "valibot";
import { barPulses, patternPulses, type ClickPattern, type ClickProgramme } from "~/core/click";
import { items, listSchema, oneOf, presets } from "../list-schema";
import { ownGate } from "../own-gate";
import type { Path, School, Task } from "../school";

const always = { kind: "never" } as const;

/** What is left of the click, by name. */
const WITHDRAWALS = {
  subdivided: { pattern: { kind: "beats", subdivision: 2 }, silence: always },
  beats: { pattern: { kind: "beats", subdivision: 1 }, silence: always },
  "off-beats": { pattern: { kind: "off-beats" }, silence: always },
  "every-two-beats": { pattern: { kind: "every-beats", beats: 2 }, silence: always },
  "one-a-bar": { pattern: { kind: "every-bars", bars: 1 }, silence: always },
  "one-per-two-bars": { pattern: { kind: "every-bars", bars: 2 }, silence: always },
  "silent-bars": {
    pattern: { kind: "beats", subdivision: 1 },
    silence: { kind: "random", percent: 40, seed: 1 },
  },
  none: { pattern: { kind: "none" }, silence: always },
} as const satisfies Record<string, Pick<ClickProgramme, "pattern" | "silence">>;
type Withdrawal = keyof typeof WITHDRAWALS;
const WITHDRAWAL_NAMES = Object.keys(WITHDRAWALS) as [Withdrawal, ...Withdrawal[]];

/** What still sounds on every beat is no less of a click. */
const HELPS = /^(beats|subdivided|divided-\d+)$/;

/** What is left of a click that was withdrawn; undefined where it sounds on every beat, or is no task. */
export const withdrawnClick = (task: Task | undefined): string | undefined =>
  task?.kind === "click" && !HELPS.test(task.name) ? task.name : undefined;

const MOST_COMPARED_BARS = 8;

/** Where a click sounds over the first bars, as the stand plays it: what sounds the same reads the same. */
function heard(pattern: ClickPattern, { bars, beatUnit = "quarter" }: Path): string {
  let beat = 0;
  return bars
    .slice(0, MOST_COMPARED_BARS)
    .map(({ metre, tempo }, bar) => {
      const unit = tempo?.unit ?? beatUnit;
      const pulses = patternPulses(pattern, metre, unit, { bar, beat });
      beat += barPulses(metre, unit).length;
      return pulses.map(({ at }) => at.toFixed(6)).join();
    })
    .join("|");
}

interface Line extends Pick<ClickProgramme, "pattern" | "silence"> {
  readonly name: string;
  readonly clean: number;
}

/**
 * The lines as they sound on this path: a divided click is divided as the ladder's own is, and what
 * sounds the same as a line before it in this metre is left out.
 */
function linesOn(clicks: readonly { name: Withdrawal; clean: number }[], path: Path): Line[] {
  const set = path.click?.pattern;
  const divided = set?.kind === "beats" && set.subdivision > 1 ? set : undefined;
  const known = new Set<string>();
  return clicks.flatMap(({ name, clean }): Line[] => {
    const { pattern: usual, silence } = WITHDRAWALS[name];
    const pattern = name === "subdivided" && divided ? divided : usual;
    const key = `${heard(pattern, path)} ${silence.kind}`;
    if (known.has(key)) return [];
    known.add(key);
    const told = pattern === divided ? `divided-${divided.subdivision}` : name;
    return [{ name: told, clean, pattern, silence }];
  });
}

const numbers = v.object({
  clicks: listSchema("List at least one click to play with.", oneOf(WITHDRAWAL_NAMES)),
});

const USUAL = items(
  "subdivided",
  "beats",
  "off-beats",
  "one-a-bar",
  "one-per-two-bars",
  "silent-bars",
  "none",
);

/** Withdrawing the click: the same tempo with ever less help (craft, 5.14). */
export const withdraw: School<v.InferOutput<typeof numbers>> = {
  numbers,
  fields: [
    {
      kind: "list",
      key: "clicks",
      options: WITHDRAWAL_NAMES,
      initial: USUAL,
      presets: presets(USUAL, {
        voice: items("beats", "every-two-beats", "one-a-bar", "silent-bars", "none"),
        bowed: items("subdivided", "beats", "one-a-bar", "one-per-two-bars", "silent-bars", "none"),
        percussion: items("beats", "off-beats", "one-a-bar", "one-per-two-bars", "none"),
      }),
    },
  ],
  tempo: "stays",
  *steps({ clicks }, path) {
    for (const [stage, line] of linesOn(clicks, path).entries()) {
      const { name, clean, pattern, silence } = line;
      yield {
        tempo: path.target,
        stage,
        task: { kind: "click", name, full: true },
        click: { pattern, silence },
        ...ownGate(clean),
      };
    }
  },
};
