import type { Day } from "~/core/units";
import type { Happened } from "./week-plan";

/** So far back a stop for pain is looked for. */
export const PAIN_DAYS = 60;

/**
 * The day on which something hurt last, when nothing was played since: until the player says that
 * nothing hurts any more, nothing is.
 */
export function hurtSince({ sessions, played }: Pick<Happened, "sessions" | "played">) {
  const hurt = sessions.findLastIndex(
    ({ ended, feeling }) => ended === "pain" || feeling === "painful",
  );
  if (hurt < 0) return undefined;
  const since = sessions.slice(hurt + 1);
  const again = since.some(({ passages }) => passages.length > 0);
  const day: Day = sessions[hurt]!.day;
  return again || played.some((row) => row.day > day) ? undefined : day;
}
