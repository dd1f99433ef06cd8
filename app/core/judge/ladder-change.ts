import * as v from "valibot";
import { initialNumbers, ladderSchema, SCHOOL_NAMES, type Ladder } from "~/core/ladder";
import { unreachable } from "~/core/result";

const whole = (min: number, max: number) =>
  v.pipe(v.number(), v.integer(), v.minValue(min), v.maxValue(max));

/** One thing about a ladder that advice would change. */
export const ladderChangeSchema = v.variant("kind", [
  v.object({ kind: v.literal("start-advised") }),
  v.object({ kind: v.literal("start-lower"), steps: whole(1, 5) }),
  v.object({ kind: v.literal("start"), tempo: whole(10, 400) }),
  v.object({ kind: v.literal("step"), step: whole(1, 40) }),
  v.object({ kind: v.literal("gate"), plays: whole(1, 10) }),
  v.object({ kind: v.literal("hidden") }),
  v.object({ kind: v.literal("school"), school: v.picklist(SCHOOL_NAMES) }),
  v.object({ kind: v.literal("cap"), rungs: whole(1, 10) }),
  v.object({ kind: v.literal("rest"), seconds: whole(10, 300) }),
  /** Half a bar counted in, and so long to breathe. */
  v.object({ kind: v.literal("between"), seconds: whole(0, 8) }),
  v.object({ kind: v.literal("overspeed"), percent: whole(1, 20) }),
  v.object({ kind: v.literal("target"), target: whole(10, 400) }),
  v.object({ kind: v.literal("whole") }),
  v.object({ kind: v.literal("part"), fromBar: whole(0, 9999), toBar: whole(0, 9999) }),
]);
export type LadderChange = v.InferOutput<typeof ladderChangeSchema>;

function changed(ladder: Ladder, change: LadderChange): object {
  switch (change.kind) {
    case "start-advised":
      return { startRule: { kind: "advised" } };
    case "start-lower":
      return { startRule: { kind: "where-ended-less", steps: change.steps } };
    case "start": {
      // The first school may begin at a tempo of its own.
      const [first, ...others] = ladder.phases;
      const own = first!.start === null ? first! : { ...first!, start: change.tempo };
      return { start: Math.min(change.tempo, ladder.start), phases: [own, ...others] };
    }
    case "step":
      return {
        phases: ladder.phases.map((phase) =>
          phase.school.name === "even-steps"
            ? { ...phase, school: { ...phase.school, numbers: { step: change.step } } }
            : phase,
        ),
      };
    case "gate":
      return { gate: [{ kind: "in-a-row", plays: change.plays, afterFlawed: "reset" }] };
    case "hidden":
      return { hidden: true };
    case "school": {
      const school = { name: change.school, numbers: initialNumbers(change.school) };
      return { phases: [{ ...ladder.phases[0]!, school, tasks: null }] };
    }
    case "cap":
      return { mostAbove: change.rungs };
    case "rest":
      return { rest: change.seconds };
    case "between": {
      const { click } = ladder;
      const breather = { kind: "seconds", seconds: change.seconds };
      return { click: { ...click, countIn: { ...click.countIn, bars: 0.5 }, breather } };
    }
    case "overspeed":
      return { overspeed: { in: "percent", beyond: change.percent } };
    case "target":
      return { target: change.target, start: Math.min(ladder.start, change.target) };
    case "whole":
      return { part: null };
    case "part":
      return { part: { fromBar: change.fromBar, toBar: change.toBar } };
    default:
      return unreachable(change);
  }
}

/** A ladder with one thing changed; undefined where that makes no ladder. */
export function changedLadder(ladder: Ladder, change: LadderChange): Ladder | undefined {
  const read = v.safeParse(ladderSchema, { ...ladder, ...changed(ladder, change) });
  return read.success ? read.output : undefined;
}
