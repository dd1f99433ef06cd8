import * as v from "valibot";
import { madeSchema } from "~/core/exercise";
import { ladderChangeSchema } from "~/core/judge";
import { ladderSchema } from "~/core/ladder";
import { levelSchema } from "~/core/record";
import {
  metreRegionsSchema,
  paperLayoutSchema,
  scoreNotesSchema,
  scoreSchema,
  stagesSchema,
  tempiSchema,
} from "~/core/score";
import { mustDoSchema, sessionEventSchema, sessionPlanSchema, shapeSchema } from "~/core/session";
import {
  assignmentSchema,
  gradeRuleSchema,
  ratingScaleSchema,
  groupItemSchema,
  itemSchema,
  memoryPlanSchema,
  storedTimesSchema,
} from "~/core/week";

/** How a table goes out with its room, and comes in. */
export interface RoomTable {
  /** What its rows must be like beyond what the database checks: their JSON. */
  readonly row: v.GenericSchema;
  /** Its rows belong to a row of that table, by this column, and are read with so many of them at once. */
  readonly of: { readonly table: string; readonly by: string; readonly many: number };
  /** Columns that stay behind. */
  readonly leaves?: readonly string[];
  /** The column whose bytes go beside the rows, as a file of their own. */
  readonly bytes?: string;
  /** Rows refer to each other: they come in by one statement. */
  readonly together?: true;
  /** Counted from other tables: what comes from an older counting is counted again instead. */
  readonly counted?: true;
}

const rows = (json: v.ObjectEntries = {}) => v.looseObject(json);
/** Rows with an id of their own. */
const own = (table: string, many = 1000) => ({ table, by: "id", many });
const ofPerson = { table: "person", by: "person_id", many: 200 };
const ofSession = { table: "session", by: "session_id", many: 100 };
const ofPaper = { table: "paper", by: "paper_id", many: 20 };

const eventRow = v.pipe(
  rows({ at: v.string() }),
  v.check(
    (row) => v.is(sessionEventSchema, { ...row, at: Date.parse(String(row.at)) }),
    "an event that no session knows",
  ),
);

/** What a room is made of, each table behind those that it refers to. */
export const ROOM_TABLES = {
  /** Whether anybody may come in on one press is not carried, nor by which counting it was counted. */
  studio: {
    row: rows({ grading: v.nullish(gradeRuleSchema), rating_scale: v.optional(ratingScaleSchema) }),
    of: own("studio"),
    leaves: ["demo", "counted_by"],
  },
  person: {
    row: rows({ times: storedTimesSchema, must_do: mustDoSchema }),
    of: own("person"),
    leaves: ["sign_in", "password_hash"],
  },
  looks_on: { row: rows(), of: { ...ofPerson, by: "student_id" } },
  piece: {
    row: rows({
      metres: metreRegionsSchema,
      tempi: v.nullish(tempiSchema),
      made: v.nullish(madeSchema),
    }),
    of: own("piece"),
  },
  person_piece: { row: rows({ stages: v.nullish(stagesSchema) }), of: ofPerson },
  exercise: {
    row: rows({ passages: v.array(rows({ ladder: v.nullable(ladderSchema) })) }),
    of: own("exercise"),
  },
  passage: { row: rows(), of: own("passage"), together: true },
  ladder: { row: rows({ ladder: ladderSchema }), of: own("ladder") },
  kept_ladder: { row: rows({ ladder: ladderSchema }), of: own("kept_ladder") },
  session: { row: rows({ plan: sessionPlanSchema }), of: own("session", 200) },
  session_event: { row: eventRow, of: ofSession },
  assignment: { row: rows({ text: assignmentSchema }), of: own("assignment") },
  student_group: { row: rows(), of: own("student_group") },
  group_member: { row: rows(), of: ofPerson },
  group_item: { row: rows({ asked: groupItemSchema }), of: own("group_item") },
  group_landed: { row: rows({ item: v.nullable(itemSchema) }), of: ofPerson },
  practice_by_hand: { row: rows(), of: own("practice_by_hand") },
  item_enough: { row: rows(), of: ofPerson },
  session_shape: { row: rows({ shape: shapeSchema }), of: own("session_shape") },
  memory_plan: { row: rows({ plan: memoryPlanSchema }), of: ofPerson },
  question: { row: rows(), of: own("question") },
  advice_dismissed: { row: rows(), of: ofPerson },
  take_heard: { row: rows({ flawed: v.array(v.number()) }), of: ofPerson },
  today_change: { row: rows({ change: ladderChangeSchema }), of: ofPerson },
  advice_off: { row: rows(), of: { table: "studio", by: "studio_id", many: 1 } },
  worded_goal: { row: rows(), of: own("worded_goal"), together: true },
  score: {
    row: rows({ score: scoreSchema, notes: scoreNotesSchema, engraving: v.string() }),
    of: own("score", 4),
    bytes: "original",
  },
  bar_mark: { row: rows(), of: ofPerson },
  paper: { row: rows({ layout: paperLayoutSchema }), of: own("paper") },
  paper_file: { row: rows(), of: ofPaper, bytes: "original" },
  paper_page: { row: rows(), of: ofPaper, bytes: "image" },
  memory_bar: { row: rows(), of: ofPerson },
  memory_test: { row: rows(), of: own("memory_test") },
  session_outcome: { row: rows(), of: ofSession, counted: true },
  session_block: { row: rows(), of: ofSession, counted: true },
  rep: { row: rows(), of: ofSession, counted: true },
  passed_tempo: { row: rows(), of: ofSession, counted: true },
  passage_day: {
    row: rows({ level: levelSchema }),
    of: { table: "passage", by: "passage_id", many: 100 },
    counted: true,
  },
} as const satisfies Record<string, RoomTable>;

export type RoomTableName = keyof typeof ROOM_TABLES;
export const ROOM_TABLE_NAMES = Object.keys(ROOM_TABLES) as RoomTableName[];
export const roomTable = (name: RoomTableName): RoomTable => ROOM_TABLES[name];

/** What never goes out with a room, and why. */
export const LEFT_OUT = {
  access: "Links, codes and calendar addresses are made anew.",
  sign_in: "Who is signed in where belongs to this machine.",
  outlook: "Reckoned anew each day.",
  hand_in: "What was handed in goes with its take.",
  hand_in_comment: "What was said of a take goes with it.",
  demonstration: "Its sound lies beside the database of this machine.",
  take: "Kept for so many days only, and its sound lies beside the database of this machine.",
  migration: "How the tables came about is this database's own.",
} as const;
