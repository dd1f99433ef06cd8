import * as v from "valibot";

/** Over how many days the flaws of a piece may be looked at. */
export const FLAW_DAYS = [7, 28, 365] as const;
const USUAL = 28;

const daysSchema = v.fallback(
  v.pipe(v.nullable(v.string()), v.transform(Number), v.picklist(FLAW_DAYS)),
  USUAL,
);

/** What an address asks for; four weeks where it asks for nothing that is known. */
export const flawDaysOf = (url: string) =>
  v.parse(daysSchema, new URL(url).searchParams.get("days"));
export type FlawDays = (typeof FLAW_DAYS)[number];
