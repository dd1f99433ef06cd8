import * as v from "valibot";

/** What the teacher said of something for this week: shown where it is practised. */
export const weekNoteSchema = v.object({
  listenFor: v.string(),
  note: v.string(),
  /** What to work on, as names of the week's focuses. */
  focuses: v.optional(v.array(v.string()), []),
  /** The tempo that the week is for, in the piece's beat unit. */
  goalTempo: v.nullable(v.number()),
  /** The week's key, where keys go round. */
  key: v.nullable(v.string()),
  /** The play that is recorded, from 1. */
  recordRun: v.optional(v.nullable(v.number()), null),
});
export type WeekNote = v.InferOutput<typeof weekNoteSchema>;
