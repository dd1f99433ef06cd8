import { tempoAt } from "~/core/ladder";
import type { Block } from "~/core/session";

/** Before a loop that begins out of nothing, in seconds. */
export const RESTART_SECONDS = 0.8;
/** So long before it sounds a loop is sent, at least. */
export const LEAD_SECONDS = 0.15;
/** A breather for whoever goes on in time and has given no verdict. */
export const PAUSE_SECONDS = 4;
/** A second press of the pedal within this time is a nervous foot. */
export const NERVOUS_MS = 800;
/** A rest that is taken by hand. */
export const REST_SECONDS = 60;
/** A break after half an hour (craft, 8). */
export const BREAK_SECONDS = 300;

const NUDGE = 2;

/** What one press of slower or faster changes: bpm, or percent of a full tempo. */
export const nudgeOf = ({ ladder: { of } }: Pick<Block, "ladder">): number =>
  of === null ? NUDGE : tempoAt(of, NUDGE);
