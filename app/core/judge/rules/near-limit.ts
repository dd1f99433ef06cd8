import { lastDayOf, totals } from "../facts";
import { ofPassage } from "../rule";

/** From this share of the ceiling on a tempo is near the limit (craft, 5). */
const NEAR = 0.9;
const MOST_SHARE = 0.4;
const LEAST_PLAYS = 10;
const RECENT_DAYS = 7;
const CAP = 2;

/** Too much of the last day lay near the limit. */
export const nearLimit = ofPassage((passage) => {
  const { ceiling, ladder, daysOff } = passage;
  if (ceiling === undefined || daysOff > RECENT_DAYS) return undefined;
  if (ladder.mostAbove > 0 && ladder.mostAbove <= CAP) return undefined;
  const { tempi } = lastDayOf(passage);
  const { plays } = totals(tempi);
  const near = totals(tempi.filter(({ tempo }) => tempo >= NEAR * ceiling));
  if (plays < LEAST_PLAYS || near.plays < MOST_SHARE * plays) return undefined;
  return { saw: { near: near.plays, plays, ceiling }, changes: [{ kind: "cap", rungs: CAP }] };
});
