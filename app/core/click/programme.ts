import * as v from "valibot";
import { hashed } from "./hash";
import { droneSchema } from "./drone";

const whole = (min: number, max: number, what: string) =>
  v.pipe(
    v.number(`Give a number of ${what}.`),
    v.integer(`Give a whole number of ${what}.`),
    v.check(
      (value) => value >= min && value <= max,
      ({ input }) => `${String(input)} ${what} is outside ${min}–${max}.`,
    ),
  );
const percent = (min: number, max: number) => whole(min, max, "percent");

/** Which beats of the bar are clicked while playing (craft, 7). */
export const clickPatternSchema = v.variant(
  "kind",
  [
    /** Every beat, divided into 1–8; 2 is the click at half a beat. */
    v.object({ kind: v.literal("beats"), subdivision: whole(1, 8, "clicks a beat") }),
    /** Halfway between the beats. */
    v.object({ kind: v.literal("off-beats") }),
    /** Every second, third … beat, counted on through the bars. */
    v.object({ kind: v.literal("every-beats"), beats: whole(2, 8, "beats") }),
    /** The first beat of every n-th bar. */
    v.object({ kind: v.literal("every-bars"), bars: whole(1, 8, "bars") }),
    /** Nothing while playing; the count-in stays. */
    v.object({ kind: v.literal("none") }),
  ],
  "Choose what the click does.",
);
export type ClickPattern = v.InferOutput<typeof clickPatternSchema>;
export const CLICK_PATTERN_KINDS = [
  "beats",
  "off-beats",
  "every-beats",
  "every-bars",
  "none",
] as const satisfies readonly ClickPattern["kind"][];

/** Bars without a click, to see whether the pulse holds. */
export const silenceSchema = v.variant(
  "kind",
  [
    v.object({ kind: v.literal("never") }),
    v.object({
      kind: v.literal("fixed"),
      sounding: whole(1, 16, "bars"),
      silent: whole(1, 16, "bars"),
    }),
    /** Each bar by chance; the same seed is silent in the same bars. */
    v.object({ kind: v.literal("random"), percent: percent(5, 95), seed: whole(0, 9999, "seed") }),
  ],
  "Choose which bars are silent.",
);
export type Silence = v.InferOutput<typeof silenceSchema>;
export const SILENCE_KINDS = [
  "never",
  "fixed",
  "random",
] as const satisfies readonly Silence["kind"][];

/** Lengths of a count-in; half a bar is its beat groups from the middle on. */
export const COUNT_IN_BARS = [0.5, 1, 2] as const;

/** What is counted before the bars are played. */
export const countInSchema = v.object({
  bars: v.picklist(COUNT_IN_BARS, "Count in for half a bar, one bar or two."),
  /** One more bar, counted silently, before playing begins. */
  inner: v.boolean(),
  /** Only before the first play of a rung, and after a stop; default false. */
  firstOnly: v.optional(v.boolean(), false),
  /** Clicks a beat while counting, 1–8; default 1. */
  subdivision: v.optional(whole(1, 8, "clicks a beat"), 1),
});
export type CountIn = v.InferOutput<typeof countInSchema>;

export const LONGEST_BREATHER_SECONDS = 8;

/** What lies between two plays. */
export const breatherSchema = v.variant(
  "kind",
  [
    /** At least so many seconds, 0–8, in whole bars. */
    v.object({
      kind: v.literal("seconds"),
      seconds: whole(0, LONGEST_BREATHER_SECONDS, "seconds"),
    }),
    /** None: the next play follows without a gap, and is judged while playing on. */
    v.object({ kind: v.literal("in-time") }),
  ],
  "Choose what lies between two plays.",
);
export type Breather = v.InferOutput<typeof breatherSchema>;

/** What is heard while a rung is played, and around it. */
export const clickProgrammeSchema = v.object({
  pattern: clickPatternSchema,
  silence: silenceSchema,
  countIn: countInSchema,
  /** Default 4 s. */
  breather: v.optional(breatherSchema, { kind: "seconds", seconds: 4 }),
  /** Loudness of each voice in percent of its own full level. */
  levels: v.object({
    accent: percent(0, 100),
    beat: percent(0, 100),
    subdivision: percent(0, 100),
  }),
  /** A sustained pitch under the click or instead of it. */
  drone: v.nullable(droneSchema),
});
export type ClickProgramme = v.InferOutput<typeof clickProgrammeSchema>;

/** A click on every beat after one bar of count-in, and four seconds to breathe. */
export const PLAIN_CLICK: ClickProgramme = {
  pattern: { kind: "beats", subdivision: 1 },
  silence: { kind: "never" },
  countIn: { bars: 1, inner: false, firstOnly: false, subdivision: 1 },
  breather: { kind: "seconds", seconds: 4 },
  levels: { accent: 100, beat: 100, subdivision: 100 },
  drone: null,
};

/** The most clicks that sound within one beat, the count-in included. */
export const clicksPerBeat = ({
  pattern,
  countIn,
}: Pick<ClickProgramme, "pattern" | "countIn">): number =>
  Math.max(pattern.kind === "beats" ? pattern.subdivision : 1, countIn.subdivision);

/**
 * Whether the bar with this index (from 0, counted through the whole play) is silent. `turn`
 * differs from play to play, so that random silences do too, yet reproducibly.
 */
export function isSilentBar(silence: Silence, bar: number, turn: number): boolean {
  switch (silence.kind) {
    case "never":
      return false;
    case "fixed":
      return bar % (silence.sounding + silence.silent) >= silence.sounding;
    case "random":
      return hashed(silence.seed, turn, bar) * 100 < silence.percent;
  }
}
