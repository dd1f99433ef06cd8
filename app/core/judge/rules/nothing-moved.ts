import { daysBetween } from "~/core/units";
import { lastDayOf, totals } from "../facts";
import { ofStudent } from "../rule";

const RECENT_DAYS = 3;
const LEAST_PLAYS = 15;

/** A day on which nothing moved ends with something that goes well. */
export const nothingMoved = ofStudent(({ passages, today }) => {
  const day = passages.map((each) => lastDayOf(each).day).reduce((a, b) => (a > b ? a : b), "");
  if (day === "" || daysBetween(day, today) > RECENT_DAYS) return undefined;
  const played = passages.filter((each) => lastDayOf(each).day === day);
  const moved = played.some(({ days, target }) => {
    const before = Math.max(0, ...days.slice(0, -1).map(({ reached }) => reached ?? 0));
    const reached = days.at(-1)!.reached ?? 0;
    return reached > before || reached >= target;
  });
  const { plays } = totals(played.flatMap((each) => lastDayOf(each).tempi));
  const well = passages.find(({ safe }) => safe);
  if (moved || plays < LEAST_PLAYS || !well) return undefined;
  return { saw: { day, plays, passageId: well.id }, places: ["today"] };
});
