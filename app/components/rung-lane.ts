import { clickTicks } from "~/core/click";
import type { Rung } from "~/core/ladder";
import type { Lane, Step } from "./staircase-shape";

const MOST_NOTES = 16;
const COMMON_TIME = { beats: 4, unit: 4 } as const;

/** The lane of a rung; undefined when the whole passage is simply played. */
function laneOf(rung: Rung, stages: number): Lane | undefined {
  const { links, task, ease, stage } = rung;
  if (links) return { kind: "links", ...links };
  switch (task?.kind) {
    case "click":
      return { kind: "ticks", at: clickTicks(rung.click, COMMON_TIME, 2) };
    case "note-value": {
      const notes = Math.max(1, Math.round(ease * MOST_NOTES));
      return { kind: "ticks", at: Array.from({ length: notes }, (_, i) => i / notes) };
    }
    case "layer":
      return { kind: "layers", count: stage + 1, of: stages };
    default:
      return undefined;
  }
}

/** The lanes of a staircase, in the order of its rungs. */
function lanesOf(rungs: readonly Rung[]): (Lane | undefined)[] {
  const stages = new Map<number, number>();
  for (const { phase, stage } of rungs) {
    stages.set(phase, Math.max(stages.get(phase) ?? 0, stage + 1));
  }
  return rungs.map((rung) => laneOf(rung, stages.get(rung.phase) ?? 1));
}

/** Rungs as a staircase draws them, all ahead; every rung as long as the other without minutes. */
export function stepsFrom(
  rungs: readonly Rung[],
  minutes: (rung: Rung, index: number) => number = () => 1,
): Step[] {
  const lanes = lanesOf(rungs);
  return rungs.map((rung, i): Step => ({
    tempo: rung.tempo,
    top: rung.top,
    phase: rung.phase,
    minutes: minutes(rung, i),
    status: "ahead",
    lane: lanes[i],
  }));
}
