import * as v from "valibot";
import { LOG_KINDS } from "~/core/session";
import { pagingFields } from "./paging";

export const LOG_SORTS = ["day", "what", "minutes", "reached", "clean"] as const;

const day = v.optional(
  v.union([v.literal(""), v.pipe(v.string(), v.isoDate("A day is written as 2026-11-30."))]),
  "",
);

/** Which lines of the log an address asks for. */
export const logQuerySchema = v.object({
  ...pagingFields(LOG_SORTS, "day"),
  kind: v.optional(v.picklist(["", ...LOG_KINDS], "There is no such kind of line."), ""),
  from: day,
  to: day,
});
export type LogQuery = v.InferOutput<typeof logQuerySchema>;

export const WHOLE_LOG = v.parse(logQuerySchema, {});
