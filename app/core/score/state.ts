import type { Bpm } from "~/core/units";

/** How well a passage goes: cannot play yet · nearly · safe. */
export const PASSAGE_STATES = ["raw", "forming", "safe"] as const;
export type PassageState = (typeof PASSAGE_STATES)[number];

const NEARLY = 0.85;

/**
 * The state that the record suggests: safe when the comfortable tempo has reached the target,
 * forming when the ceiling is within 15 % of it, raw below that or without a record.
 */
export function suggestedState(
  record: { readonly comfortable: number; readonly ceiling: number } | undefined,
  target: Bpm,
): PassageState {
  if (!record || record.ceiling < NEARLY * target) return "raw";
  return record.comfortable >= target ? "safe" : "forming";
}
