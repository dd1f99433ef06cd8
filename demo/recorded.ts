import * as v from "valibot";

/** The demo's ten weeks as they were played, with what they were counted to. */
export const RECORDED = new URL("./recorded/ten-weeks.json.gz", import.meta.url);

/** What is given, each after what it refers to. */
export const PLAYED = [
  ...["studio", "person", "piece", "person_piece", "passage"],
  ...["session", "session_event"],
] as const;

/** What is counted from it. */
export const COUNTED = ["session_outcome", "session_block", "rep", "passage_day"] as const;

/** Columns that say nothing of what was played. */
export const LEFT_OUT: readonly string[] = ["received_at", "clock_offset_ms", "password_hash"];

/** Columns and rows by table. */
export const recordedSchema = v.record(
  v.string(),
  v.object({ columns: v.array(v.string()), rows: v.array(v.array(v.unknown())) }),
);
export type Recorded = v.InferOutput<typeof recordedSchema>;
