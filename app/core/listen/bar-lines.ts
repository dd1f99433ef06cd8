import * as v from "valibot";

/** Longer than any demonstration. */
const LONGEST_SECONDS = 1800;

/** Where a bar begins in a recording, as it was tapped or typed. */
const placeSchema = v.object({
  bar: v.pipe(v.number(), v.integer("Whole bars."), v.minValue(1, "Bars begin at 1.")),
  at: v.pipe(
    v.number("Seconds are a number."),
    v.minValue(0, "Not before the beginning."),
    v.maxValue(LONGEST_SECONDS, "At most half an hour."),
  ),
});
export type BarPlace = v.InferOutput<typeof placeSchema>;

const goesOn = (places: BarPlace[]) =>
  places.every(({ bar, at }, n) => {
    const before = places[n - 1];
    return !before || (bar > before.bar && at > before.at);
  });

/** Bars and when they begin, in their order; none as long as it was not marked. */
export const placesSchema = v.pipe(
  v.array(placeSchema),
  v.maxLength(1000, "At most 1000 places."),
  v.check((places) => places.length !== 1, "Mark at least two bar lines."),
  v.check(goesOn, "A later bar begins later."),
);

/** How long a bar is, in whole notes. */
export type LengthOf = (bar: number) => number;

/** Whole notes from one bar line to another; negative backwards. */
function notesBetween(from: number, to: number, lengthOf: LengthOf): number {
  let sum = 0;
  for (let bar = Math.min(from, to); bar < Math.max(from, to); bar++) sum += lengthOf(bar);
  return from <= to ? sum : -sum;
}

/**
 * When each bar from `from` on begins, and when `to` ends, in seconds of the recording. Between two
 * places the time is shared out by the bars' lengths; before the first and after the last one it
 * goes on as it went.
 */
export function barLines(
  places: readonly BarPlace[],
  lengthOf: LengthOf,
  { from, to }: { readonly from: number; readonly to: number },
): number[] {
  return Array.from({ length: to - from + 2 }, (_, n) => {
    const bar = from + n;
    const next = places.findIndex((place) => place.bar > bar);
    const after = next < 0 ? places.length - 1 : Math.max(1, next);
    const [one, other] = [places[after - 1]!, places[after]!];
    const rate = (other.at - one.at) / notesBetween(one.bar, other.bar, lengthOf);
    return one.at + rate * notesBetween(one.bar, bar, lengthOf);
  });
}

/** The places moved onto the one tempo that fits them best: what was tapped is never quite even. */
export function evenPlaces(places: readonly BarPlace[], lengthOf: LengthOf): BarPlace[] {
  const [first] = places;
  if (!first || places.length < 3) return [...places];
  const x = places.map(({ bar }) => notesBetween(first.bar, bar, lengthOf));
  const mean = (values: readonly number[]) =>
    values.reduce((sum, each) => sum + each, 0) / x.length;
  const [xMean, yMean] = [mean(x), mean(places.map(({ at }) => at))];
  const rise = places.reduce((sum, { at }, n) => sum + (x[n]! - xMean) * (at - yMean), 0);
  const slope = rise / x.reduce((sum, each) => sum + (each - xMean) ** 2, 0);
  const begins = yMean - slope * xMean;
  // A bar line that would lie before the recording begins stays where it was heard.
  return places.map(({ bar, at }, n) => {
    const even = begins + slope * x[n]!;
    return { bar, at: even < 0 ? at : even };
  });
}
