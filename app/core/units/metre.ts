import * as v from "valibot";

const MOST_BEATS = 32;

/** Where the beats of a bar fall. `groups` splits unequal metres, e.g. 7/8 as 2+2+3. */
export const metreSchema = v.pipe(
  v.object({
    beats: v.pipe(
      v.number("Say how many beats a bar has."),
      v.integer("A bar has a whole number of beats."),
      v.minValue(1, "A bar has at least 1 beat."),
      v.maxValue(MOST_BEATS, `A bar has at most ${MOST_BEATS} beats.`),
    ),
    unit: v.picklist([1, 2, 4, 8, 16], "The lower number is 1, 2, 4, 8 or 16."),
    groups: v.optional(v.array(v.pipe(v.number(), v.integer(), v.minValue(1)))),
  }),
  v.check(
    ({ beats, groups }) => !groups || groups.reduce((sum, group) => sum + group, 0) === beats,
    "The groups must add up to the beats of the bar.",
  ),
);

export type Metre = v.InferOutput<typeof metreSchema>;

/** A bar's length in whole notes: 3/4 is 0.75. Exact: the units are powers of two. */
export const barLength = (metre: Metre): number => metre.beats / metre.unit;

const METRE_TEXT = /^\s*(\d{1,2}(?:\s*\+\s*\d{1,2})*)\s*\/\s*(\d{1,2})\s*$/;

/**
 * Reads a metre as musicians write it: "3/4", "7/8", or with groups "2+2+3/8". Undefined when it
 * is none.
 */
export function parseMetre(text: string): Metre | undefined {
  const match = METRE_TEXT.exec(text);
  if (!match) return undefined;
  const groups = match[1]!.split("+").map(Number);
  const beats = groups.reduce((sum, group) => sum + group, 0);
  const parsed = v.safeParse(metreSchema, {
    beats,
    unit: Number(match[2]),
    ...(groups.length > 1 ? { groups } : {}),
  });
  return parsed.success ? parsed.output : undefined;
}

/** The metre as it is written: the inverse of {@link parseMetre}. */
export const formatMetre = ({ beats, unit, groups }: Metre): string =>
  `${groups ? groups.join("+") : beats}/${unit}`;
