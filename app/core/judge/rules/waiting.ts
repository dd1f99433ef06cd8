import { lastDayOf, totals } from "../facts";
import { ofPassage } from "../rule";

const RECENT_DAYS = 7;
const LEAST_PLAYS = 12;
/** Of the time of a play, counted in and breathed; long passages stay below by themselves. */
const MOST_WAITING = 0.4;
/** Who grips needs the rest between two plays. */
const LOOSE_DAYS = 3;
/** Time to judge a play and to want the next. */
const BREATHER_SECONDS = 2;

/** Much of the time of a play goes in counting in and breathing: less of both would do. */
export const waiting = ofPassage((passage) => {
  const { ladder, lasts, days, daysOff } = passage;
  const { breather } = ladder.click;
  if (lasts === undefined || daysOff > RECENT_DAYS || breather.kind === "in-time") return undefined;
  if (totals(lastDayOf(passage).tempi).plays < LEAST_PLAYS) return undefined;
  if (days.slice(-LOOSE_DAYS).some(({ tense }) => tense > 0)) return undefined;
  const waits = lasts.all - lasts.playing;
  if (waits < MOST_WAITING * lasts.all) return undefined;
  const seconds = Math.min(BREATHER_SECONDS, breather.seconds);
  return {
    saw: { tempo: lasts.tempo, seconds: Math.round(lasts.all), waits: Math.round(waits) },
    changes: [{ kind: "between", seconds }],
  };
});
