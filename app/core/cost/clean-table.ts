import { TEMPO_LIMITS } from "~/core/units";
import type { CleanAt } from "./toll";

const { lowest, highest } = TEMPO_LIMITS;

/** P(clean) at every whole bpm from 10 to 400, so that it can be sent to a worker. */
export const cleanTable = (cleanAt: CleanAt): number[] =>
  Array.from({ length: highest - lowest + 1 }, (_, i) => cleanAt(lowest + i));

/**
 * The function that a table was made from, between its entries by straight lines and beyond its
 * ends as at them; for a `share` of the passage, P(whole)^share.
 */
export function cleanFrom(table: readonly number[], share: number): CleanAt {
  const shared = table.map((p) => p ** share);
  return (tempo) => {
    const at = Math.min(shared.length - 1, Math.max(0, tempo - lowest));
    const below = Math.floor(at);
    const p = shared[below]!;
    const next = shared[Math.min(shared.length - 1, below + 1)]!;
    return p + (next - p) * (at - below);
  };
}
