import type { Verdict } from "~/core/gate";
import type { MapMarker } from "~/core/click";
import type { Payload, SessionEvent } from "~/core/session";

/** What the player does about the session, whatever is on. */
export type SessionInput =
  /** Start, or go on after a pause or a reload. */
  | { readonly kind: "start" }
  | { readonly kind: "pause" }
  /** Starts or stops what sounds; where something is asked, it goes on. */
  | { readonly kind: "toggle" }
  | { readonly kind: "judge"; readonly verdict: Verdict }
  /** The pedal forward: clean, or whatever "go on" means where the stand asks something. */
  | { readonly kind: "forward" }
  /** The pedal back: flawed, or a rung lower where another way is offered. */
  | { readonly kind: "back" }
  | { readonly kind: "undo" }
  | { readonly kind: "move-on" }
  | { readonly kind: "task-done" }
  | { readonly kind: "note"; readonly text: string }
  /** A question for the lesson. */
  | { readonly kind: "ask"; readonly text: string }
  | { readonly kind: "end"; readonly how: Payload<"ended">["how"] }
  /** Goes on after all, where leaving was asked for. */
  | { readonly kind: "stay" }
  /** Stops everything at once. */
  | { readonly kind: "hurts" };

/** What the player does about what is played; during a task it means nothing. */
export type PlayingInput =
  | { readonly kind: "nudge"; readonly by: 1 | -1 }
  /** A tempo that was tapped, in bpm. */
  | { readonly kind: "tempo"; readonly bpm: number }
  | { readonly kind: "ease" }
  /** From here on plays are just tried, or count again. */
  | { readonly kind: "try"; readonly on: boolean }
  /** Which bars are tried. */
  | { readonly kind: "try-bars"; readonly fromBar: number; readonly toBar: number }
  /** Count-in and breather from the next loop on. */
  | { readonly kind: "pace"; readonly pace: Payload<"paced"> }
  | { readonly kind: "repeat" }
  | { readonly kind: "skip" }
  /** Answers to another way, or to a target that is reached. */
  | { readonly kind: "again" }
  | { readonly kind: "lower" }
  | { readonly kind: "narrow"; readonly range: Payload<"narrowed"> }
  | { readonly kind: "firm"; readonly offered: Payload<"firmed"> }
  | { readonly kind: "decline" }
  /** Answers to what was advised between plays. */
  | { readonly kind: "heed" }
  | { readonly kind: "decline-advice" }
  | { readonly kind: "rest"; readonly seconds: number }
  | { readonly kind: "end-rest" }
  | { readonly kind: "detail"; readonly about: Omit<Payload<"detailed">, "play"> }
  | { readonly kind: "end-well" };

/** What the player does, by a key, the pedal, touch or a button. */
export type PlayersInput =
  | SessionInput
  | PlayingInput
  /** That it hurt was a wrong touch: the session goes on. */
  | { readonly kind: "slip" }
  /** Whether the notes are hidden, and nobody has looked. */
  | { readonly kind: "from-memory"; readonly on: boolean };

export const TIMERS = ["rest", "asked-again"] as const;
export type Timer = (typeof TIMERS)[number];

/** What happens around the player. */
export type WorldsInput =
  /** What this device has kept of the session is taken in, or the server had more than that. */
  | { readonly kind: "events"; readonly events: readonly SessionEvent[] }
  | { readonly kind: "sound-opened" }
  | { readonly kind: "sound-failed" }
  | { readonly kind: "marker"; readonly loop: number; readonly name: MapMarker["name"] }
  | { readonly kind: "waited"; readonly timer: Timer }
  /** How a play that was listened to lay against its beats. */
  | { readonly kind: "heard"; readonly measured: Payload<"measured"> }
  /** Whether only the count-in is to sound: the next play is recorded without its click. */
  | { readonly kind: "quiet"; readonly on: boolean };

export type Input = PlayersInput | WorldsInput;

/** When an input comes, and what the machine can't make for itself. */
export interface Moment {
  /** Milliseconds since 1970. */
  readonly at: number;
  /** Seconds of the sound's clock; 0 while there is none. */
  readonly clock: number;
  /** Fresh ids, for the events that may come of it. */
  readonly ids: readonly string[];
}

/** So many events come of one input at most. */
export const MOST_EVENTS_AT_ONCE = 4;
