import { ofPassage } from "../rule";
import { evenStep } from "./even-step";

const DAYS = 3;
const LEAST_PLAYS = 6;
const LEAST_STEP = 4;
const HALF = 0.5;

/** One rung is passed and the next falls apart, day after day: the step between is too large. */
export const smallerStep = ofPassage(({ days, ladder }) => {
  const step = evenStep(ladder);
  const last = days.slice(-DAYS);
  const reached = Math.max(0, ...last.map((day) => day.reached ?? 0));
  if (step === undefined || step < LEAST_STEP || last.length < DAYS || reached === 0) {
    return undefined;
  }
  const next = last
    .flatMap(({ tempi }) => tempi)
    .filter(({ tempo }) => tempo > reached && tempo <= reached + step);
  const plays = next.reduce((sum, each) => sum + each.plays, 0);
  const clean = next.reduce((sum, each) => sum + each.clean, 0);
  if (plays < LEAST_PLAYS || clean >= HALF * plays) return undefined;
  return {
    saw: { reached, next: reached + step, plays, clean, step },
    changes: [{ kind: "step", step: Math.floor(step / 2) }],
  };
});
