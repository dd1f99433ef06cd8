import * as v from "valibot";
import type { ClickVoice, MapMarker } from "~/core/click";

/** What the main thread asks of the click worklet. Times are seconds of the audio context. */
export type ToWorklet =
  | {
      readonly kind: "schedule";
      readonly mapId: number;
      /** When the map begins; everything in it is relative to this. */
      readonly start: number;
      readonly clicks: {
        readonly at: Float64Array;
        /** Index into VOICES. */
        readonly voice: Uint8Array;
        readonly level: Float32Array;
      };
      readonly markers: readonly MapMarker[];
    }
  /** Forgets what has not sounded yet of one map. */
  | { readonly kind: "withdraw"; readonly mapId: number }
  /** Ends a map early, at a time of the audio context: what lies behind it is not heard. */
  | { readonly kind: "cut"; readonly mapId: number; readonly at: number }
  /** Silence at once, faded so that it does not pop. */
  | { readonly kind: "stop" }
  | { readonly kind: "volume"; readonly volume: number }
  /** What clicks sound like from the next one on. */
  | { readonly kind: "voice"; readonly voice: ClickVoice }
  /** A sustained pitch from now on, until a stop; level 0–1, `hz` null for none. */
  | { readonly kind: "drone"; readonly hz: number | null; readonly level: number };

/** What the worklet tells: that it is there, and when a marker of a map has come by. */
export const fromWorkletSchema = v.variant("kind", [
  v.object({ kind: v.literal("ready") }),
  v.object({
    kind: v.literal("marker"),
    mapId: v.number(),
    name: v.picklist(["play-began", "play-ended", "map-ended"]),
    time: v.number(),
  }),
]);

export interface MarkerReached {
  readonly kind: "marker";
  readonly mapId: number;
  readonly name: MapMarker["name"];
  readonly time: number;
}
