/** How a table goes out with its room, and comes in. */
export interface RoomTable {
  /** Its rows belong to a row of that table, by this column, and are read with so many of them at once. */
  readonly of: { readonly table: string; readonly by: string; readonly many: number };
  /** Columns that stay behind. */
  readonly leaves?: readonly string[];
  /** The column whose bytes go beside the rows, as a file of their own. */
  readonly bytes?: string;
  /** Those bytes are a picture. */
  readonly picture?: true;
  /** Its column "hash" names a sound that lies beside the database, and goes beside the rows by choice. */
  readonly sound?: true;
  /** Columns in whose text ids stand among other words, with blanks between. */
  readonly words?: readonly string[];
  /** Counted from other tables: what comes from an older counting is counted again instead. */
  readonly counted?: true;
}

/** Rows with an id of their own. */
const own = (table: string, many = 1000) => ({ table, by: "id", many });
const ofPerson = { table: "person", by: "person_id", many: 10 };
const ofSession = { table: "session", by: "session_id", many: 20 };
const ofPaper = { table: "paper", by: "paper_id", many: 20 };

/** What a room is made of, each table behind those that it refers to. */
export const ROOM_TABLES = {
  /** Whether anybody may come in on one press is not carried, nor by which counting it was counted. */
  studio: {
    of: own("studio"),
    leaves: ["demo", "counted_by", "shut", "lease", "lease_until", "lease_holder"],
  },
  person: {
    of: own("person"),
    leaves: ["sign_in", "password_hash"],
  },
  looks_on: { of: { ...ofPerson, by: "student_id" } },
  piece: {
    of: own("piece"),
  },
  person_piece: { of: ofPerson },
  exercise: {
    of: own("exercise"),
  },
  passage: { of: own("passage") },
  ladder: { of: own("ladder", 200) },
  kept_ladder: { of: own("kept_ladder") },
  session: { of: own("session", 100) },
  session_event: { of: ofSession },
  assignment: { of: own("assignment") },
  item: { of: ofPerson },
  week_item: { of: { table: "assignment", by: "assignment_id", many: 50 } },
  draft: { of: ofPerson },
  draft_item: { of: { table: "draft", by: "draft_id", many: 50 } },
  student_group: { of: own("student_group") },
  group_member: { of: ofPerson },
  group_item: { of: own("group_item") },
  group_landed: { of: ofPerson },
  practice_by_hand: { of: own("practice_by_hand") },
  item_enough: { of: ofPerson },
  item_day: { of: ofPerson },
  session_shape: { of: own("session_shape") },
  memory_plan: { of: ofPerson },
  question: { of: own("question") },
  advice_dismissed: { of: ofPerson, words: ["key"] },
  take_heard: { of: ofPerson },
  today_change: { of: ofPerson },
  advice_off: { of: { table: "studio", by: "studio_id", many: 1 } },
  take: { of: ofPerson, sound: true },
  hand_in: { of: ofPerson },
  hand_in_comment: { of: { table: "hand_in", by: "hand_in_id", many: 100 }, sound: true },
  demonstration: { of: own("demonstration"), sound: true },
  worded_goal: { of: own("worded_goal") },
  score: {
    of: own("score", 4),
    bytes: "original",
  },
  bar_mark: { of: ofPerson },
  paper: { of: own("paper") },
  paper_file: { of: ofPaper, bytes: "original" },
  paper_page: { of: ofPaper, bytes: "image", picture: true },
  memory_bar: { of: ofPerson },
  memory_test: { of: own("memory_test") },
  session_outcome: { of: ofSession, counted: true },
  session_block: { of: ofSession, counted: true },
  rep: { of: ofSession, counted: true },
  rep_measure: { of: ofSession, counted: true },
  passed_tempo: { of: ofSession, counted: true },
  passage_day: {
    of: { table: "passage", by: "passage_id", many: 4 },
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
  lesson_typed: "What is being typed at this moment, and is not saved.",
  migration: "How the tables came about is this database's own.",
} as const;
