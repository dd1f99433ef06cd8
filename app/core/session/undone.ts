import type { SessionEvent } from "./events";

/** The events that were undone, unless the undoing itself was undone. */
function undoneOf(events: readonly SessionEvent[]): ReadonlySet<string> {
  const cancelled = new Set<string>();
  for (const event of events.toReversed()) {
    if (event.kind === "undone" && !cancelled.has(event.id)) cancelled.add(event.payload.event);
  }
  return cancelled;
}

/** The events that still hold: what was undone is gone. */
export function effective(
  events: readonly SessionEvent[],
): Exclude<SessionEvent, { kind: "undone" }>[] {
  const cancelled = undoneOf(events);
  return events.filter(
    (event): event is Exclude<SessionEvent, { kind: "undone" }> =>
      event.kind !== "undone" && !cancelled.has(event.id),
  );
}

/** With these nothing is asked any more about the plays before. */
const LEAVES_OPEN: ReadonlySet<SessionEvent["kind"]> = new Set([
  "moved-on",
  "part-ended",
  "end-well-began",
]);

/** Plays whose verdict was taken back and not given again: each of them is asked about. */
export function askedAgain(events: readonly SessionEvent[]): ReadonlySet<string> {
  const cancelled = undoneOf(events);
  const verdicts = new Map<string, string>();
  const open = new Set<string>();
  for (const event of events) {
    if (event.kind === "judged") verdicts.set(event.id, event.payload.play);
    if (cancelled.has(event.id)) continue;
    if (event.kind === "undone") {
      const play = verdicts.get(event.payload.event);
      if (play !== undefined) open.add(play);
    }
    if (event.kind === "judged") open.delete(event.payload.play);
    if (event.kind === "played" && !event.payload.uncounted) open.clear();
    if (LEAVES_OPEN.has(event.kind)) open.clear();
  }
  return open;
}

const NOT_UNDOABLE: ReadonlySet<SessionEvent["kind"]> = new Set([
  "opened",
  "played",
  "measured",
  "paced",
  "rest-ended",
  "ended",
]);

/** What "undo" would take back now: the latest decision, never a play itself. */
export const lastUndoable = (events: readonly SessionEvent[]): SessionEvent | undefined =>
  effective(events).findLast(({ kind }) => !NOT_UNDOABLE.has(kind));
