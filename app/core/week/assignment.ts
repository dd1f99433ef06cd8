import * as v from "valibot";
import { keySchema, parseKey } from "~/core/units";

export const ITEM_KINDS = [
  "technique",
  "etude",
  "piece",
  "theory",
  "reading",
  "listening",
  "memory",
] as const;
export type ItemKind = (typeof ITEM_KINDS)[number];

export const BRINGS = ["nothing", "recording", "question", "by-heart"] as const;
export type Bring = (typeof BRINGS)[number];

/** What the teacher says of an item at the next lesson. */
export const DECISIONS = ["open", "finished", "carried", "changed"] as const;
export type Decision = (typeof DECISIONS)[number];

const oftenSchema = v.variant("kind", [
  v.object({ kind: v.literal("daily") }),
  v.object({ kind: v.literal("every-other") }),
  v.object({
    kind: v.literal("times"),
    times: v.pipe(
      v.number("A number of days."),
      v.integer("Whole days."),
      v.minValue(1, "At least once."),
      v.maxValue(7, "At most seven times a week."),
    ),
  }),
]);
export type Often = v.InferOutput<typeof oftenSchema>;

const text = (most: number) =>
  v.pipe(v.string(), v.trim(), v.maxLength(most, `Keep it under ${most} characters.`));

const MOST_KEYS = 24;
const LONGEST_ITEM = 120;

/** What an item can be worked on for, besides what to listen for (craft, 9). */
export const FOCUSES = [
  "right-hand",
  "left-hand",
  "together",
  "memory",
  "slow",
  "dynamics",
] as const;
export type Focus = (typeof FOCUSES)[number];

/** A key for each week, in turn; empty without a rotation. */
export const rotationSchema = v.pipe(
  v.array(v.union([keySchema, v.string()])),
  v.maxLength(MOST_KEYS, `At most ${MOST_KEYS} keys.`),
  // Older weeks have them as they were typed; what is no key is left out.
  v.transform((keys) =>
    keys.flatMap((key) => (typeof key === "string" ? (parseKey(key) ?? []) : key)),
  ),
);

/** One thing that is asked from one lesson to the next. */
export const itemSchema = v.object({
  id: v.pipe(v.string(), v.uuid()),
  kind: v.picklist(ITEM_KINDS),
  /** The passage that it is about; a theory sheet has none. */
  passageId: v.nullable(v.pipe(v.string(), v.uuid())),
  title: v.pipe(text(120), v.minLength(1, "Say what it is.")),
  focus: text(120),
  focuses: v.optional(v.array(v.picklist(FOCUSES)), []),
  often: oftenSchema,
  minutes: v.pipe(
    v.number("Minutes are a number."),
    v.integer("Whole minutes."),
    v.minValue(1, "At least 1 minute."),
    v.maxValue(LONGEST_ITEM, `At most ${LONGEST_ITEM} minutes.`),
  ),
  /** The tempo that the week is for, in the piece's beat unit. */
  goalTempo: v.nullable(
    v.pipe(
      v.number("A tempo is a number."),
      v.minValue(10, "Tempi go from 10 to 400 bpm."),
      v.maxValue(400, "Tempi go from 10 to 400 bpm."),
    ),
  ),
  note: text(500),
  bring: v.picklist(BRINGS),
  /** The play of a session that is recorded at the stand, from 1; none without one. */
  recordRun: v.optional(
    v.nullable(
      v.pipe(
        v.number("A number: the third run is 3."),
        v.integer("Whole runs."),
        v.minValue(1, "The first run is 1."),
        v.maxValue(50, "At most the 50th run."),
      ),
    ),
    null,
  ),
  /** A ladder of the library that the passage is given when the week is set. */
  keptLadderId: v.nullable(v.pipe(v.string(), v.uuid())),
  keys: rotationSchema,
  /** The day until which what it asks for is to be handed in; the next lesson without one. */
  due: v.optional(v.nullable(v.pipe(v.string(), v.isoDate("Choose a day."))), null),
  /** The day on which it came into a week that was on; no day before it asked for it. */
  since: v.optional(v.nullable(v.pipe(v.string(), v.isoDate())), null),
  /** The first day that does not ask for it any more, where its passage was put away. */
  until: v.optional(v.nullable(v.pipe(v.string(), v.isoDate())), null),
  /** The item of another student's week, or of a group, that it was given from. */
  given: v.optional(v.nullable(v.object({ item: v.pipe(v.string(), v.uuid()) })), null),
  origin: v.picklist(["new", "carried"]),
  decision: v.picklist(DECISIONS),
});
export type AssignmentItem = v.InferOutput<typeof itemSchema>;

/** An item as it begins: ten minutes every day, everything else unsaid. */
export const newItem = (id: string, change: Partial<AssignmentItem>): AssignmentItem => ({
  id,
  kind: "piece",
  passageId: null,
  title: "",
  focus: "",
  focuses: [],
  often: { kind: "daily" },
  minutes: 10,
  goalTempo: null,
  note: "",
  bring: "nothing",
  recordRun: null,
  keptLadderId: null,
  keys: [],
  due: null,
  since: null,
  until: null,
  given: null,
  origin: "new",
  decision: "open",
  ...change,
});

/** More than anyone practises in a week. */
export const MOST_ITEMS = 60;

export const assignmentSchema = v.object({
  items: v.pipe(
    v.array(itemSchema),
    v.maxLength(MOST_ITEMS, `At most ${MOST_ITEMS} items.`),
    v.check(
      (items) => new Set(items.map(({ id }) => id)).size === items.length,
      "One item is listed twice.",
    ),
  ),
  word: text(1000),
  /** The plan of its sessions; null: the usual one. */
  shape: v.optional(v.nullable(v.pipe(v.string(), v.uuid())), null),
});
export type AssignmentText = v.InferOutput<typeof assignmentSchema>;
