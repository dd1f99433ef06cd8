import { tooNearTheLimit } from "~/core/ladder";
import { lastDayOf } from "../facts";
import { ofPassage } from "../rule";

const RECENT_DAYS = 7;
const CAP = 4;

/** Too much of the last day lay near the limit. */
export const nearLimit = ofPassage((passage) => {
  const { ceiling, ladder, daysOff } = passage;
  if (ceiling === undefined || daysOff > RECENT_DAYS) return undefined;
  if (ladder.mostAbove > 0 && ladder.mostAbove <= CAP) return undefined;
  const found = tooNearTheLimit(lastDayOf(passage).tempi, ceiling);
  if (!found) return undefined;
  return { saw: { ...found, ceiling }, changes: [{ kind: "cap", rungs: CAP }] };
});
