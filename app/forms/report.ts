import * as v from "valibot";
import { daysBetween } from "~/core/units";

const day = v.optional(
  v.union([v.literal(""), v.pipe(v.string(), v.isoDate("A day is written as 2026-11-30."))]),
  "",
);
const id = v.optional(
  v.union([v.literal(""), v.pipe(v.string(), v.uuid("There is nobody like that."))]),
  "",
);

export const LONGEST_DAYS = 3660;

/** Whose practice a report is of, and between which days; without days the last four weeks. */
export const reportQuerySchema = v.pipe(
  v.object({ group: id, person: id, from: day, to: day }),
  v.check(
    ({ from, to }) => from === "" || to === "" || from <= to,
    "This report ends before it begins. Swap the dates.",
  ),
  v.check(
    ({ from, to }) => from === "" || to === "" || daysBetween(from, to) <= LONGEST_DAYS,
    "A report covers at most ten years.",
  ),
);
export type ReportQuery = v.InferOutput<typeof reportQuerySchema>;
