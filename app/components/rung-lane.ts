import { clickTicks } from "~/core/click";
import type { Rung } from "~/core/ladder";
import type { BeatUnit, Metre } from "~/core/units";
import type { Lane, Step } from "./staircase-shape";

const MOST_NOTES = 16;
const COMMON_TIME: Music = { metre: { beats: 4, unit: 4 }, beatUnit: "quarter" };

/** The metre and the beat unit in which a click is drawn. */
interface Music {
  readonly metre: Metre;
  readonly beatUnit: BeatUnit;
}

/** As a passage begins. */
export const musicOf = ({
  bars,
  beatUnit,
}: {
  readonly bars: readonly { readonly metre: Metre }[];
  readonly beatUnit: BeatUnit;
}): Music => ({ metre: bars[0]!.metre, beatUnit });

/** The lane of a rung; undefined when the whole passage is simply played. */
function laneOf(
  rung: Rung,
  next: Rung | undefined,
  stages: number,
  music: Music,
): Lane | undefined {
  const { links, task, ease, stage } = rung;
  if (links) return { kind: "links", ...links };
  switch (task?.kind) {
    case "click":
      return { kind: "ticks", at: clickTicks(rung.click, music, 2) };
    case "note-value": {
      const notes = Math.max(1, Math.round(ease * MOST_NOTES));
      return { kind: "ticks", at: Array.from({ length: notes }, (_, i) => i / notes) };
    }
    case "layer": {
      // A layer that leads in was passed: the one at this stage comes after it.
      const after =
        next?.stage === stage && next.task?.kind === "layer" ? next.task.name : undefined;
      const leadsIn = after !== undefined && after !== task.name;
      return { kind: "layers", count: stage + (leadsIn ? 0 : 1), of: stages };
    }
    default:
      return undefined;
  }
}

/** The lanes of a staircase, in the order of its rungs. */
function lanesOf(rungs: readonly Rung[], music: Music): (Lane | undefined)[] {
  const stages = new Map<number, number>();
  for (const { phase, stage } of rungs) {
    stages.set(phase, Math.max(stages.get(phase) ?? 0, stage + 1));
  }
  return rungs.map((rung, i) => laneOf(rung, rungs[i + 1], stages.get(rung.phase) ?? 1, music));
}

/** Rungs as a staircase draws them, all ahead; every rung as long as the other without minutes. */
export function stepsFrom(
  rungs: readonly Rung[],
  minutes: (rung: Rung, index: number) => number = () => 1,
  music = COMMON_TIME,
): Step[] {
  const lanes = lanesOf(rungs, music);
  return rungs.map((rung, i): Step => ({
    tempo: rung.tempo,
    top: rung.top,
    phase: rung.phase,
    minutes: minutes(rung, i),
    status: "ahead",
    lane: lanes[i],
  }));
}
