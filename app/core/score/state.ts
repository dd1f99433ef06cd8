import type { Bpm } from "~/core/units";

/** How well a passage goes: cannot play yet · nearly · safe. */
export const PASSAGE_STATES = ["raw", "forming", "safe"] as const;
export type PassageState = (typeof PASSAGE_STATES)[number];

const NEARLY = 0.7;

/**
 * The state that the record suggests: safe when the comfortable tempo has reached the target,
 * forming from 70 % of it, raw below that or without a record.
 */
export function suggestedState(comfortable: number | undefined, target: Bpm): PassageState {
  if (comfortable === undefined || comfortable < NEARLY * target) return "raw";
  return comfortable >= target ? "safe" : "forming";
}
