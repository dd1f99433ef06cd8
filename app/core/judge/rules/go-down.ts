import { lastDayOf } from "../facts";
import { ofPassage } from "../rule";

const LEAST_PLAYS = 6;
const A_QUARTER = 0.25;
const STEPS = 2;
const RECENT_DAYS = 7;
/** Of a tempo at which nothing was passed yet. */
const EASIER = 0.8;

/** At the top of the last day nearly everything was flawed: the next begins lower. */
export const goDown = ofPassage((passage) => {
  const top = lastDayOf(passage).tempi.at(-1);
  if (!top || passage.daysOff > RECENT_DAYS) return undefined;
  if (top.plays < LEAST_PLAYS || top.clean > A_QUARTER * top.plays) return undefined;
  const { startRule } = passage.ladder;
  const already = startRule.kind === "where-ended-less" && startRule.steps >= STEPS;
  if (already || passage.start < top.tempo) return undefined;
  // Before anything was passed it begins where the ladder does.
  const passed = passage.days.some(({ reached }) => reached !== undefined);
  const lower = Math.max(10, Math.round(EASIER * top.tempo));
  return {
    saw: { ...top },
    changes: [passed ? { kind: "start-lower", steps: STEPS } : { kind: "start", tempo: lower }],
  };
});
