import {
  currentBlock,
  endWellTempo,
  lastUndoable,
  playsAnything,
  taskNow,
  type EventKind,
  type SessionEvent,
} from "~/core/session";
import { rungAfter } from "~/core/ladder";
import { tempo as tempoFrom } from "~/core/units";
import { nudgeOf } from "./pace";
import type { TransportState } from "./state";

/** What may be done at any time, where it does something. */
export const TOOLS = [
  "undo",
  "slower",
  "faster",
  "tap",
  "repeat",
  "skip",
  "try",
  "rest",
  "between",
  "end-well",
  "pause",
] as const;
export type Tool = (typeof TOOLS)[number];

const SOUNDS: ReadonlySet<TransportState["transport"]> = new Set(["count-in", "play", "breather"]);

/** Whether there is anything to play just now: not so during a task. */
export const isPlaying = ({ stand }: Pick<TransportState, "stand">): boolean =>
  playsAnything(stand) && (taskNow(stand) === undefined || stand.endingWell !== undefined);

/** With these an offer or a question was answered: taken back, it is asked again. */
const ANSWERED: ReadonlySet<EventKind> = new Set([
  ...(["rest-began", "repeated", "skipped", "lowered", "narrowed"] as const),
  ...(["firmed", "offer-declined", "eased"] as const),
]);

/**
 * What undo takes back now. A question that was answered before the play that is being asked about
 * waits for that play's verdict: two can't be asked at once.
 */
export function undoableNow({
  events,
  stand: { pending },
}: Pick<TransportState, "events" | "stand">): SessionEvent | undefined {
  const last = lastUndoable(events);
  if (!last || pending === undefined || !ANSWERED.has(last.kind)) return last;
  const asked = events.find(({ id }) => id === pending);
  return asked && asked.seq > last.seq ? undefined : last;
}

/** Which tools would do something: the others are not to be pressed. */
export function possible(state: TransportState): Readonly<Record<Tool, boolean>> {
  const { stand, transport, trying } = state;
  const undo = undoableNow(state) !== undefined;
  if (!isPlaying(state)) {
    const none = { slower: false, faster: false, tap: false, repeat: false, skip: false };
    return {
      undo,
      ...none,
      try: false,
      rest: false,
      between: false,
      "end-well": false,
      pause: false,
    };
  }
  const { plan, state: block } = currentBlock(stand);
  // The slow play at the end is one, at its own tempo.
  const free = stand.endingWell === undefined;
  const nudged = (by: 1 | -1) =>
    free && tempoFrom((trying?.tempo ?? block.tempo) + by * nudgeOf(plan)).ok;
  return {
    undo,
    slower: nudged(-1),
    faster: nudged(1),
    tap: free,
    repeat: free,
    skip: free && rungAfter(block.rungs, block.rung, block.tempo) !== undefined,
    try: free && !block.toppedOut && !block.left,
    rest: transport !== "resting",
    between: free,
    "end-well": free && tempoFrom(endWellTempo(stand)).ok,
    pause: SOUNDS.has(transport),
  };
}
