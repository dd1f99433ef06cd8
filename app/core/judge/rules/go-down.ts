import { lastDayOf } from "../facts";
import { ofPassage } from "../rule";

const LEAST_PLAYS = 6;
const A_QUARTER = 0.25;
const STEPS = 2;
const RECENT_DAYS = 7;

/** At the top of the last day nearly everything was flawed: the next begins lower. */
export const goDown = ofPassage((passage) => {
  const top = lastDayOf(passage).tempi.at(-1);
  if (!top || passage.daysOff > RECENT_DAYS) return undefined;
  if (top.plays < LEAST_PLAYS || top.clean > A_QUARTER * top.plays) return undefined;
  const { startRule } = passage.ladder;
  const already = startRule.kind === "where-ended-less" && startRule.steps >= STEPS;
  if (already || passage.start < top.tempo) return undefined;
  return { saw: { ...top }, changes: [{ kind: "start-lower", steps: STEPS }] };
});
