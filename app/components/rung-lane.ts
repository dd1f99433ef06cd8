import { clickTicks } from "~/core/click";
import type { Rung } from "~/core/ladder";

/** What is drawn under a rung, to tell what is played on it. */
export type Lane =
  /** A band of links out of all. */
  | { readonly kind: "links"; readonly from: number; readonly to: number; readonly of: number }
  /** Ticks along the rung, 0–1: clicks or notes. */
  | { readonly kind: "ticks"; readonly at: readonly number[] }
  /** So many layers of so many, one upon the other. */
  | { readonly kind: "layers"; readonly count: number; readonly of: number };

const MOST_NOTES = 16;
const COMMON_TIME = { beats: 4, unit: 4 } as const;

/** The lane of a rung; undefined when the whole passage is simply played. */
export function laneOf(rung: Rung, stages: number): Lane | undefined {
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
export function lanesOf(rungs: readonly Rung[]): (Lane | undefined)[] {
  const stages = new Map<number, number>();
  for (const { phase, stage } of rungs) {
    stages.set(phase, Math.max(stages.get(phase) ?? 0, stage + 1));
  }
  return rungs.map((rung) => laneOf(rung, stages.get(rung.phase) ?? 1));
}
