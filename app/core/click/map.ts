import type { BarTempo, BeatUnit, Bpm, Metre } from "~/core/units";
import type { Voice } from "./pattern";
import type { ClickProgramme } from "./programme";

/** A click in seconds from the map's beginning. */
export interface MapClick {
  readonly at: number;
  readonly voice: Voice;
  /** Loudness relative to the voice's own level, 0–1. */
  readonly level: number;
}

/** What a stretch of the map is for; seen on screen, not heard by the engine. */
export type Part = "count-in" | "inner" | "lead" | "play" | "breather";

/** In a cycle of slow and fast plays: which this is. */
export type Pace = "steady" | "slow" | "fast";

export interface MapBar {
  readonly part: Part;
  /** The printed bar number; in count-in and breather: which of them, from 1. */
  readonly number: number;
  readonly of: number;
  readonly start: number;
  readonly duration: number;
  /** Nothing sounds in it: nothing is shown either, so that the pulse is the player's own. */
  readonly quiet: boolean;
  /** Starts of the beats in seconds from the map's beginning, for the beat light. */
  readonly beats: readonly number[];
  /** The tempo at which it begins, in bpm of its unit. */
  readonly tempo: Bpm;
  readonly unit: BeatUnit;
  readonly pace: Pace;
  /** Which of the plays at this pace it is, from 1, and of how many. */
  readonly go: { readonly number: number; readonly of: number };
  /** A short link is played in turns: which of them this is. */
  readonly turn?: { readonly number: number; readonly of: number };
  /** In the last bar before it: the pace that comes next. */
  readonly then?: Pace;
}

/** A moment at which the engine reports that it has come by. */
export interface MapMarker {
  readonly at: number;
  readonly name: "play-began" | "play-ended" | "map-ended";
}

/** Everything the engine needs for one loop, in double precision, ahead of time. */
export interface BeatMap {
  readonly clicks: readonly MapClick[];
  readonly bars: readonly MapBar[];
  readonly markers: readonly MapMarker[];
  readonly duration: number;
}

/** A bar to be played; with `tempo` where it does not simply go at that of the play. */
export interface LoopBar {
  readonly number: number;
  readonly metre: Metre;
  readonly tempo?: BarTempo | undefined;
}

/** One time through the bars. */
export interface LoopPlay {
  readonly tempo: Bpm;
  readonly pace: Pace;
}

export interface LoopRequest {
  /**
   * Every bar in which something is played, the one with the pickup included; or the turns of a
   * short link, each with its beat to land on.
   */
  readonly bars: readonly LoopBar[];
  /** The bars are turns: the metre in which it is counted in and breathed. */
  readonly turnsIn?: Metre;
  /** It does not simply follow a play of the same: it is counted in, whatever the click says. */
  readonly first: boolean;
  /** Beats of the first bar, in its own metre, that are counted before playing begins. */
  readonly leadBeats: number;
  /** 0: the last bar is played whole. */
  readonly endBeats: number;
  readonly beatUnit: BeatUnit;
  /** Times through the bars, each at its own tempo, without a gap between them. */
  readonly plays: readonly [LoopPlay, ...LoopPlay[]];
  readonly click: ClickProgramme;
  /** The tempo differs from the loop before: say so with the cue. */
  readonly tempoChanged: boolean;
  /** Which play of the session this is: random silences differ from play to play. */
  readonly turn: number;
}
