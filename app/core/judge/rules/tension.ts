import { lastDayOf } from "../facts";
import type { LadderChange } from "../ladder-change";
import { ofPassage } from "../rule";

const RECENT_DAYS = 7;
const TWICE = 2;
const REST_SECONDS = 30;

/** Tension was noted: a rest between rungs; twice: lower as well (craft, 8: gripping means too fast). */
export const tension = ofPassage((passage) => {
  const { tense, day } = lastDayOf(passage);
  if (tense === 0 || passage.daysOff > RECENT_DAYS) return undefined;
  const { ladder } = passage;
  const changes: LadderChange[] = [];
  if (ladder.rest < REST_SECONDS) changes.push({ kind: "rest", seconds: REST_SECONDS });
  if (tense >= TWICE && ladder.startRule.kind !== "where-ended-less") {
    changes.push({ kind: "start-lower", steps: 1 });
  }
  return changes.length > 0 ? { saw: { plays: tense, day }, changes } : undefined;
});
