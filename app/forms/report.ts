import * as v from "valibot";

const day = v.optional(
  v.union([v.literal(""), v.pipe(v.string(), v.isoDate("A day is written as 2026-11-30."))]),
  "",
);
const id = v.optional(
  v.union([v.literal(""), v.pipe(v.string(), v.uuid("There is nobody like that."))]),
  "",
);

/** Whose practice a report is of, and between which days; without days the last four weeks. */
export const reportQuerySchema = v.object({ group: id, person: id, from: day, to: day });
export type ReportQuery = v.InferOutput<typeof reportQuerySchema>;
