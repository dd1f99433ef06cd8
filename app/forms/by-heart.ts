import * as v from "valibot";

/** How a test of memory went: the notes were looked at, or not. */
export const TEST_OUTCOMES = ["stood", "fell", "looked"] as const;
export type TestOutcome = (typeof TEST_OUTCOMES)[number];

const bar = v.pipe(
  v.string("Choose bars first."),
  v.regex(/^[1-9]\d{0,3}$/, "Choose bars of the piece."),
  v.transform(Number),
);
const bars = { fromBar: bar, toBar: bar };

/** What can be said of the bars of a piece that are learnt by heart. */
export const byHeartSchema = v.variant("act", [
  v.object({ act: v.literal("stand"), ...bars }),
  v.object({ act: v.literal("fell"), ...bars }),
  v.object({
    act: v.literal("test"),
    id: v.pipe(v.string(), v.uuid()),
    outcome: v.picklist(TEST_OUTCOMES),
    ...bars,
  }),
]);
