import { totals } from "../facts";
import { ofPassage } from "../rule";
import { evenStep } from "./even-step";

const DAYS = 2;
const LEAST_PLAYS = 16;
const NEARLY_ALL = 0.95;
/** With fewer steps to go a larger one gains nothing. */
const STEPS_LEFT = 4;
const MOST_STEP = 10;

/** Nearly everything is clean and there is far to go: the steps may be larger. */
export const largerStep = ofPassage(({ days, ladder, target }) => {
  const step = evenStep(ladder);
  const last = days.slice(-DAYS);
  const { plays, clean } = totals(last.flatMap(({ tempi }) => tempi));
  const reached = last.at(-1)?.reached;
  if (step === undefined || last.length < DAYS || reached === undefined) return undefined;
  if (plays < LEAST_PLAYS || clean < NEARLY_ALL * plays) return undefined;
  if ((target - reached) / step < STEPS_LEFT || 2 * step > MOST_STEP) return undefined;
  return { saw: { days: DAYS, plays, clean, step }, changes: [{ kind: "step", step: 2 * step }] };
});
