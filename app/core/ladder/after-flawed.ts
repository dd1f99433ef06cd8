import * as v from "valibot";
import { wholeBetween } from "./number-schema";

/** What can happen after so many flawed plays on one rung. Never just a loop (craft, 6). */
export const AFTER_FLAWED = ["ask", "lower", "cut", "rest", "leave"] as const;

/** After `plays` flawed plays: ask, or do one thing at once. */
export const afterFlawedSchema = v.object({
  /** default 4, 1–20. */
  plays: wholeBetween(1, 20, "plays"),
  then: v.picklist(AFTER_FLAWED, "Choose what happens then."),
  /** rungs down, where it goes lower; default 1, 1–10. */
  steps: wholeBetween(1, 10, "rungs"),
  /** seconds of rest, where it rests; default 60, 10–600. */
  seconds: wholeBetween(10, 600, "seconds"),
});
export type AfterFlawed = v.InferOutput<typeof afterFlawedSchema>;
