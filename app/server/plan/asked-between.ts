import { askedOf, doneOn, type WeekTimes } from "~/core/week";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { passagesOfPerson, weeksBetween } from "~/db/queries";
import { rawOf } from "./raw";
import { keepDays, planWeek, readFrom, whatHappened } from "./week-plan";
import { stretchesOf } from "./week-on";

interface Student {
  readonly id: string;
  readonly times: WeekTimes;
}

interface Period {
  readonly from: Day;
  /** Included. */
  readonly to: Day;
}

/**
 * What the days of a period that are over have asked of a student, item by item and day by day, and
 * how much of it was done: an item that was done on other days than it was asked counts as well.
 */
export async function askedBetween(
  db: Queries,
  studioId: string,
  { id: personId, times }: Student,
  { from, to }: Period,
  today: Day,
): Promise<{ readonly asked: number; readonly done: number }> {
  const weeks = await weeksBetween(db, studioId, personId, { from, to });
  const [first] = weeks;
  if (!first) return { asked: 0, done: 0 };
  const happened = await whatHappened(db, studioId, personId, readFrom(first), today);
  const raw = rawOf(await passagesOfPerson(db, studioId, personId), today);
  const sum = { asked: 0, done: 0 };
  for (const [n, set] of weeks.entries()) {
    // A week goes on until the next one begins.
    const next = weeks[n + 1]?.from_day;
    const end = next && next < today ? next : today;
    for (const week of stretchesOf(set, end)) {
      const plan = planWeek({ week, times, happened, raw, today });
      const over = plan.days.filter(({ day }) => day < end);
      await keepDays(db, { studioId, personId }, { days: over }, happened, today);
      const days = over.filter(({ day }) => day >= from && day <= to);
      for (const { id } of week.text.items) {
        const asked = askedOf(days, id).filter((minutes) => minutes > 0).length;
        sum.asked += asked;
        sum.done += Math.min(asked, doneOn(days, id).length);
      }
      // Others ask meanwhile.
      await new Promise(setImmediate);
    }
  }
  return sum;
}
