import * as v from "valibot";
import { wholeBpm, type Bpm } from "~/core/units";
import { wholeBetween } from "../number-schema";
import type { Path, School } from "../school";

const numbers = v.object({
  /** practice days until it must stand; default 12, 1–365. */
  days: v.pipe(
    v.number("Give a number."),
    v.integer("Give a whole number of days."),
    v.minValue(1, "Without a practice day nothing can be planned: at least 1."),
    v.maxValue(365, "At most 365 practice days."),
  ),
  /** practice days in a week: a day that is missed makes the others steeper; default 5, 1–7. */
  perWeek: wholeBetween(1, 7, "days a week"),
  shape: v.picklist(["linear", "proportional"], "Choose how the days rise."),
  /** rungs from each day's start to its end; default 2, 1–10. */
  moves: wholeBetween(1, 10, "rungs"),
});
type Numbers = v.InferOutput<typeof numbers>;

/** Practice days left from the stage that has been reached, at least one. */
const daysLeft = ({ days }: Numbers, stage: number): number => Math.max(1, days - stage);

/** The tempo at the end of practice day `day` (from 1) of `left`. */
function endOfDay(shape: Numbers["shape"], path: Path, day: number, left: number): Bpm {
  const { start, target } = path;
  const share = day / left;
  return wholeBpm(
    shape === "linear" ? start + (target - start) * share : start * (target / start) ** share,
  );
}

/** What each practice day has to bring, in percent of its tempo: (target / start)^(1/days) − 1. */
export const dailyGainNeeded = (chosen: Numbers, path: Omit<Path, "bars">): number =>
  ((path.target / path.start) ** (1 / daysLeft(chosen, path.stage)) - 1) * 100;

/** Practice days that have gone by after so many calendar days. */
export const practiceDaysGone = ({ perWeek }: Numbers, calendarDays: number): number =>
  Math.floor((Math.max(0, calendarDays) * perWeek) / 7);

/**
 * By the date: each practice day from a start to an end tempo, so that the last one ends at the
 * target (craft, 5.12). Re-drawn every day from the tempo that was really reached over the days
 * that are left.
 */
export const byDate: School<Numbers> = {
  numbers,
  fields: [
    { kind: "number", key: "days", unit: "days", initial: 12, min: 1, max: 120 },
    { kind: "number", key: "perWeek", unit: "days-a-week", initial: 5, min: 1, max: 7 },
    { kind: "choice", key: "shape", options: ["linear", "proportional"], initial: "linear" },
    { kind: "number", key: "moves", unit: "rungs", initial: 2, min: 1, max: 10 },
  ],
  tempo: "rises",
  daily: true,
  *steps(chosen, path) {
    const left = daysLeft(chosen, path.stage);
    let from = path.start;
    for (let day = 1; day <= left; day++) {
      const stage = path.stage + day - 1;
      const end = endOfDay(chosen.shape, path, day, left);
      yield { tempo: from, stage };
      let last = from;
      for (let move = 1; move <= chosen.moves; move++) {
        const tempo = wholeBpm(from + ((end - from) * move) / chosen.moves);
        if (tempo > last) yield { tempo, stage };
        last = tempo;
      }
      from = end;
    }
  },
};
