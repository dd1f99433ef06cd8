import * as v from "valibot";
import { storedRungSchema } from "~/core/ladder";
import { bpm, TEMPO_LIMITS } from "~/core/units";
import { BETWEEN_KINDS } from "./between-kinds";
import { FEELINGS } from "./fitted";
import { paceSchema } from "./pace";

export const FLAWS = ["notes", "rhythm", "tone", "tension", "memory", "coordination"] as const;
export type Flaw = (typeof FLAWS)[number];

/** What one asks oneself at the end, from the easiest to judge to the hardest (craft, 10). */
export const RATINGS = ["goal", "focus", "could-tell", "notes", "tone", "expression"] as const;
export type Rating = (typeof RATINGS)[number];
export const RATED = ["yes", "partly", "no"] as const;
export type Rated = (typeof RATED)[number];

const LONGEST_PLAY_SECONDS = 24 * 3600;
const LONGEST_NOTE = 500;

const id = v.pipe(v.string(), v.uuid("An id is a UUID."));
const bar = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(9999));
const tempo = v.pipe(
  v.number(),
  v.minValue(TEMPO_LIMITS.lowest),
  v.maxValue(TEMPO_LIMITS.highest),
  v.transform(bpm),
);
const seconds = v.pipe(v.number(), v.minValue(0), v.maxValue(LONGEST_PLAY_SECONDS));

const text = v.pipe(
  v.string(),
  v.transform((written) => written.toWellFormed().replaceAll("\0", "").trim()),
  v.minLength(1),
  v.maxLength(LONGEST_NOTE),
);

export const ENDINGS = ["finished", "ended-well", "left", "pain"] as const;
export type Ending = (typeof ENDINGS)[number];

/** What told how a play lay against its beats. */
export const MEASURE_SOURCES = ["taps", "midi", "sound"] as const;
/** So many asynchronies are kept of a play at most. */
export const MOST_OFFSETS = 2000;
const MOST_MS = 10_000;

/** Spread (standard deviation) of the asynchronies in milliseconds. */
const spread = v.pipe(v.number(), v.minValue(0), v.maxValue(MOST_MS));
const onsets = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(100_000));

/** What can happen at the stand, by kind. */
const payloads = {
  /** The stand was opened for the first time. */
  opened: v.object({}),
  /** The bars were played; `complete` is false when the player stopped at a flaw. */
  played: v.object({
    tempo,
    seconds,
    /** The playing in it, without count-in and breather. */
    playing: v.optional(seconds),
    fromBar: bar,
    toBar: bar,
    complete: v.boolean(),
    /** Times that a short link came in it. */
    turns: v.optional(v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(999))),
    /** Only finished, after the rung it belongs to had been decided: it counts for nothing. */
    uncounted: v.optional(v.boolean()),
    /** Its notes were hidden, and nobody looked. */
    fromMemory: v.optional(v.boolean()),
    /** As sessions of an earlier form tell how evenly was tapped along; now `measured` does. */
    spread: v.optional(spread),
  }),
  /** How a play lay against its beats, as something else than the player heard it. */
  measured: v.object({
    play: id,
    source: v.picklist(MEASURE_SOURCES),
    /** Mean asynchrony in milliseconds: below 0 early, above 0 late. */
    bias: v.pipe(v.number(), v.minValue(-MOST_MS), v.maxValue(MOST_MS)),
    spread,
    /** Beats or notes that were met. */
    met: onsets,
    /** Beats without an onset, and onsets without a beat; only where nothing else can sound. */
    missed: v.optional(onsets),
    extra: v.optional(onsets),
    /** Each of those that were met, in whole milliseconds. */
    offsets: v.pipe(
      v.array(v.pipe(v.number(), v.integer(), v.minValue(-MOST_MS), v.maxValue(MOST_MS))),
      v.maxLength(MOST_OFFSETS),
    ),
  }),
  judged: v.object({ play: id, verdict: v.picklist(["clean", "flawed"]) }),
  /** Where and what went wrong; either may be unsaid. */
  detailed: v.object({
    play: id,
    bar: v.optional(bar),
    /** The beat of that bar, from 1. */
    beat: v.optional(v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(64))),
    what: v.optional(v.picklist(FLAWS)),
  }),
  undone: v.object({ event: id }),
  "tempo-set": v.object({ tempo }),
  /** Count-in and breather as the player wants them from now on. */
  paced: paceSchema,
  /** The ladder is drawn anew from a tempo that was tapped before anything was played. */
  redrawn: v.object({ tempo, rungs: v.pipe(v.array(storedRungSchema), v.minLength(1)) }),
  /** The ceiling was hit: from here on the tempo at which it broke is made firm. */
  firmed: v.object({ rungs: v.pipe(v.array(storedRungSchema), v.minLength(1)) }),
  /** The rung begins again with its count at zero. */
  repeated: v.object({}),
  skipped: v.object({}),
  /** The player says that this rung feels easy. */
  eased: v.object({}),
  lowered: v.object({ steps: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(50)) }),
  /** Only these bars until the gate passes on them. */
  narrowed: v.object({ fromBar: bar, toBar: bar }),
  "offer-declined": v.object({ of: v.optional(v.picklist(BETWEEN_KINDS)) }),
  "rest-began": v.object({ seconds }),
  "rest-ended": v.object({}),
  noted: v.object({ text }),
  /** A question for the lesson. */
  asked: v.object({ text }),
  rated: v.object({ what: v.picklist(RATINGS), answer: v.picklist(RATED) }),
  /** How body and mood are. */
  felt: v.object({ feeling: v.picklist(FEELINGS) }),
  /** On to the next part. */
  "moved-on": v.object({}),
  /** A task is done; `part` is its place, so that saying it twice changes nothing. */
  "part-ended": v.object({ part: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(99)) }),
  /** One slow play, then the end. */
  "end-well-began": v.object({ tempo }),
  ended: v.object({ how: v.picklist(ENDINGS) }),
} as const;

export type EventKind = keyof typeof payloads;
export type Payload<K extends EventKind> = v.InferOutput<(typeof payloads)[K]>;

/** An event of a session: appended, never changed; the id is made where it happened. */
export type SessionEvent = {
  readonly [K in EventKind]: {
    readonly id: string;
    /** Position in the session, from 0 without gaps. */
    readonly seq: number;
    /** When it happened, in milliseconds since 1970. */
    readonly at: number;
    readonly kind: K;
    readonly payload: Payload<K>;
  };
}[EventKind];

const MOST_EVENTS = 100_000;
const EARLIEST = Date.UTC(2000, 0);
const LATEST = Date.UTC(2200, 0);

const kindSchema = v.picklist(Object.keys(payloads) as [EventKind, ...EventKind[]]);

/** Reads one event from outside; the payload is read by the schema of its kind. */
export const sessionEventSchema = v.pipe(
  v.object({
    id,
    seq: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(MOST_EVENTS)),
    at: v.pipe(v.number(), v.integer(), v.minValue(EARLIEST), v.maxValue(LATEST)),
    kind: kindSchema,
    payload: v.unknown(),
  }),
  v.rawTransform(({ dataset, addIssue, NEVER }): SessionEvent => {
    const { kind, payload, ...rest } = dataset.value;
    const read = v.safeParse(payloads[kind], payload);
    if (!read.success) {
      addIssue({ message: `An event "${kind}" can't be read: ${read.issues[0].message}` });
      return NEVER;
    }
    // The table pairs each kind with its payload; TypeScript can't follow a looked-up pair.
    return { ...rest, kind, payload: read.output } as SessionEvent;
  }),
);
