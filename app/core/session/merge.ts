import type { SessionEvent } from "./events";

export interface Merged {
  /** All events, positions without gaps. */
  readonly events: readonly SessionEvent[];
  /** Those the server has not seen, with the positions they now have. */
  readonly unsent: readonly SessionEvent[];
}

/**
 * Joins what the server has with what this browser kept: events only known here follow the
 * server's, in their own order, with new positions. Nothing is lost and nothing is there twice.
 */
export function mergeEvents(
  stored: readonly SessionEvent[],
  kept: readonly SessionEvent[],
): Merged {
  const known = new Set(stored.map(({ id }) => id));
  const unsent = [...kept]
    .filter(({ id }) => !known.has(id))
    .sort((a, b) => a.seq - b.seq)
    .map((event, i): SessionEvent => ({ ...event, seq: stored.length + i }));
  return { events: [...stored, ...unsent], unsent };
}
