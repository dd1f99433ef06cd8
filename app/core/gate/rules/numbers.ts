import * as v from "valibot";

const MOST_PLAYS = 50;

/** So many plays, 1–50. */
export const plays = v.pipe(
  v.number("Say how many plays."),
  v.integer("Plays are counted whole."),
  v.minValue(1, "At least 1 play."),
  v.maxValue(MOST_PLAYS, `At most ${MOST_PLAYS} plays.`),
);

export const numberFrom = (min: number, max: number, what: string) =>
  v.pipe(
    v.number(`Say how many ${what}.`),
    v.minValue(min, `At least ${min} ${what}.`),
    v.maxValue(max, `At most ${max} ${what}.`),
  );
