import type { BeatUnit, Fraction, LETTERS, Metre } from "~/core/units";

/** A pitch as written. */
export interface DraftPitch {
  readonly letter: (typeof LETTERS)[number];
  readonly alter: number;
  /** 4 for the octave of the middle C. */
  readonly octave: number;
  readonly tied?: boolean;
}

/** A note, a chord or a rest: `pitches` is empty for a rest. */
export interface DraftEvent {
  readonly pitches: readonly DraftPitch[];
  /** What it takes up, in whole notes, tuplets reckoned in. */
  readonly duration: Fraction;
  /** Three in the time of two: what is written is longer than it lasts. */
  readonly tuplet?: {
    readonly actual: number;
    readonly normal: number;
    readonly edge?: "start" | "stop" | undefined;
  };
  readonly grace?: readonly DraftPitch[];
  readonly slurs?: { readonly start: number; readonly stop: number };
  readonly staff?: number;
  /** Written below it. */
  readonly lyric?: string | undefined;
}

export interface DraftKey {
  readonly fifths: number;
  readonly minor: boolean;
}

/** A bar of one part: its voices one after the other, and what is new in it. */
export interface DraftBar {
  readonly voices: readonly (readonly DraftEvent[])[];
  readonly metre?: Metre | undefined;
  readonly key?: DraftKey | undefined;
  readonly clefs?: readonly DraftClef[] | undefined;
  readonly repeatFrom?: boolean;
  readonly repeatTimes?: number;
  readonly ending?: { readonly numbers: string; readonly opens: boolean; readonly closes: boolean };
  readonly doubleLine?: boolean;
  readonly tempo?: DraftTempo | undefined;
}

export interface DraftTempo {
  readonly unit: BeatUnit | null;
  readonly bpm: number | null;
  readonly words: string;
}

export const CLEFS = {
  treble: ["G", 2, 0],
  "treble-8": ["G", 2, -1],
  "treble+8": ["G", 2, 1],
  bass: ["F", 4, 0],
  "bass-8": ["F", 4, -1],
  alto: ["C", 3, 0],
  tenor: ["C", 4, 0],
  percussion: ["percussion", 3, 0],
} as const satisfies Record<string, readonly [string, number, number]>;
export type DraftClef = keyof typeof CLEFS;

export interface DraftPart {
  readonly name: string;
  readonly transposition: number;
  readonly staves: number;
  readonly bars: readonly DraftBar[];
}

/** Music that has no notation of its own yet: what ABC and MIDI give, before it is written out. */
export interface Draft {
  readonly title: string;
  readonly composer: string;
  /** The first bar is a pickup. */
  readonly pickup: boolean;
  readonly parts: readonly DraftPart[];
  /** What could not be taken over. */
  readonly unread: readonly { readonly bar: number; readonly what: string }[];
}
