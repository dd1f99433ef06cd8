import * as v from "valibot";

/** What a part of a session can be, in the usual order of a session (craft, 8). */
export const BLOCK_KINDS = [
  "settle",
  "check-in",
  "warm-up",
  "technique",
  "hard",
  "learning",
  "practising",
  "join",
  "performing",
  "mental",
  "listening",
  "slow-finish",
  "enjoyed",
  "free",
  "break",
] as const;
export type BlockKind = (typeof BLOCK_KINDS)[number];

/** Kinds that are filled with passages; the others are tasks with a text. */
export const PASSAGE_KINDS = ["technique", "hard", "learning", "practising", "performing"] as const;
export type PassageKind = (typeof PASSAGE_KINDS)[number];

export const isPassageKind = (kind: BlockKind): kind is PassageKind =>
  (PASSAGE_KINDS as readonly string[]).includes(kind);

/** Hands and lips rest meanwhile. */
const WITHOUT_INSTRUMENT: ReadonlySet<BlockKind> = new Set([
  "check-in",
  "mental",
  "listening",
  "break",
]);
export const isPlayed = (kind: BlockKind): boolean => !WITHOUT_INSTRUMENT.has(kind);

/** Around the music, and no music yet. */
const AROUND: ReadonlySet<BlockKind> = new Set([...WITHOUT_INSTRUMENT, "settle", "warm-up"]);
export const isMusic = (kind: BlockKind): boolean => !AROUND.has(kind);

/** After these nobody walks away with a fast attempt in the fingers. */
const QUIET_ENDINGS: ReadonlySet<BlockKind> = new Set([
  "slow-finish",
  "enjoyed",
  "free",
  "listening",
  "mental",
]);
export const endsQuietly = (kind: BlockKind): boolean => QUIET_ENDINGS.has(kind);

export const SESSION_MINUTES = { shortest: 5, longest: 240 } as const;

const minutes = v.pipe(
  v.number("Minutes are a number."),
  v.integer("Whole minutes."),
  v.minValue(1, "At least 1 minute."),
  v.maxValue(SESSION_MINUTES.longest, `At most ${SESSION_MINUTES.longest} minutes.`),
);

export const minutesSpanSchema = v.pipe(
  v.object({ minimum: minutes, ideal: minutes, maximum: minutes }),
  v.forward(
    v.check(
      ({ minimum, maximum }) => minimum <= maximum,
      "The least number of minutes is above the most.",
    ),
    ["minimum"],
  ),
  v.forward(
    v.check(
      ({ minimum, ideal, maximum }) => minimum > maximum || (minimum <= ideal && ideal <= maximum),
      "The usual number of minutes lies between the least and the most.",
    ),
    ["ideal"],
  ),
);
export type MinutesSpan = v.InferOutput<typeof minutesSpanSchema>;

const LONGEST_TEXT = 200;

export const shapeBlockSchema = v.object({
  kind: v.picklist(BLOCK_KINDS),
  span: minutesSpanSchema,
  /** 1 is the last to be dropped, 9 the first. */
  priority: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(9)),
  /** Done even on a short day. */
  always: v.boolean(),
  text: v.pipe(v.string(), v.trim(), v.maxLength(LONGEST_TEXT, "Keep it under 200 characters.")),
});
export type ShapeBlock = v.InferOutput<typeof shapeBlockSchema>;

const MOST_BLOCKS = 40;

/** A session's shape: its blocks in their order, passages not yet chosen. */
export const shapeSchema = v.pipe(
  v.array(shapeBlockSchema),
  v.minLength(1, "A session has at least one block."),
  v.maxLength(MOST_BLOCKS, `At most ${MOST_BLOCKS} blocks in one session.`),
);
export type Shape = readonly ShapeBlock[];

const block = (
  kind: BlockKind,
  [minimum, ideal, maximum]: readonly [number, number, number],
  priority: number,
  always = false,
): ShapeBlock => ({ kind, span: { minimum, ideal, maximum }, priority, always, text: "" });

/**
 * The shape to begin with: about a quarter for warm-up and technique, the hardest early, a slow
 * correct finish always (craft, 8).
 */
export const USUAL_SHAPE: Shape = [
  block("settle", [1, 2, 4], 7),
  block("check-in", [1, 1, 1], 6),
  block("warm-up", [2, 4, 12], 3),
  block("technique", [3, 5, 20], 5),
  block("hard", [4, 8, 20], 1),
  block("learning", [4, 8, 20], 2),
  block("practising", [3, 6, 15], 3),
  block("join", [2, 3, 6], 6),
  block("performing", [2, 4, 8], 5),
  block("slow-finish", [1, 2, 4], 1, true),
  block("enjoyed", [2, 4, 15], 6),
  block("mental", [3, 4, 8], 8),
  block("listening", [3, 5, 10], 8),
  block("free", [3, 5, 20], 9),
];
