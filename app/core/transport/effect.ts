import type { Drone } from "~/core/click";
import type { Bpm } from "~/core/units";
import type { SessionEvent } from "~/core/session";
import type { Timer } from "./input";
import type { Loop } from "./state";

/** What is to be done outside, in this order. */
export type Effect =
  /** From a press: browsers start sound only then. Answered by `sound-opened` or `sound-failed`. */
  | { readonly kind: "open-sound" }
  /** A loop is sent ahead. */
  | { readonly kind: "send"; readonly loop: Loop }
  /** One that was sent ahead is not to sound. */
  | { readonly kind: "withdraw"; readonly loop: Loop }
  /** One that sounds ends at a time of the sound's clock. */
  | { readonly kind: "cut"; readonly loop: Loop; readonly at: number }
  /** From here on this one is heard: drawn, recorded. */
  | { readonly kind: "begin"; readonly loop: Loop }
  /** Whatever can tell how it lies against its beats listens, instead of to anything before. */
  | { readonly kind: "listen"; readonly loop: Loop }
  /** The play was heard to its end. Answered by `heard` at any time, or never. */
  | { readonly kind: "listen-end"; readonly play: string }
  /** Silence at once. */
  | { readonly kind: "silence" }
  /** What is recorded just now is not wanted. */
  | { readonly kind: "drop-take" }
  | { readonly kind: "drone"; readonly drone: Drone | null }
  | { readonly kind: "write"; readonly event: SessionEvent }
  /** A play is over, with its event. */
  | {
      readonly kind: "played";
      readonly loop: Loop;
      readonly play: string;
      readonly passage: string;
      readonly tempo: Bpm;
      readonly rung: number;
    }
  /** Answered by `waited` after so long; a timer that is on already begins anew. */
  | { readonly kind: "wait"; readonly timer: Timer; readonly ms: number }
  | { readonly kind: "stop-waiting" };
