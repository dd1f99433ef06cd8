import * as v from "valibot";

/** A field's number between two ends, refused with a sentence that names them. */
export const numberBetween = (min: number, max: number, unit: string) =>
  v.pipe(
    v.number("Give a number."),
    v.check(
      (value) => value >= min && value <= max,
      ({ input }) => `${String(input)} ${unit} is outside ${min}–${max} ${unit}.`,
    ),
  );
