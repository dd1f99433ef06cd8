import * as v from "valibot";
import { bpm, TEMPO_LIMITS } from "~/core/units";

/** A field's number between two ends, refused with a sentence that names them. */
export const numberBetween = (min: number, max: number, unit: string) =>
  v.pipe(
    v.number("Give a number."),
    v.check(
      (value) => value >= min && value <= max,
      ({ input }) => `${String(input)} ${unit} is outside ${min}–${max} ${unit}.`,
    ),
  );

/** The same in whole numbers. */
export const wholeBetween = (min: number, max: number, unit: string) =>
  v.pipe(numberBetween(min, max, unit), v.integer(`Give a whole number of ${unit}.`));

/** A step in whole bpm, from 1. */
export const wholeBpmStep = v.pipe(numberBetween(1, 50, "bpm"), v.integer("Steps are whole bpm."));

const withinLimits = numberBetween(TEMPO_LIMITS.lowest, TEMPO_LIMITS.highest, "bpm");

/** A tempo within the limits of the click. */
export const playableTempo = v.pipe(withinLimits, v.transform(bpm));

/** The same in whole bpm. */
export const playable = (what: string) =>
  v.pipe(withinLimits, v.integer(`The ${what} is a whole number of bpm.`), v.transform(bpm));
