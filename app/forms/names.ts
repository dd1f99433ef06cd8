import * as v from "valibot";

const LONGEST_NAME = 120;
const tooLong = `Keep it under ${LONGEST_NAME} characters.`;

export const nameSchema = (what: string) =>
  v.pipe(v.string(), v.trim(), v.minLength(1, `Give ${what}.`), v.maxLength(LONGEST_NAME, tooLong));

/** A few words that may be left out. */
export const shortText = v.pipe(
  v.optional(v.string(), ""),
  v.trim(),
  v.maxLength(LONGEST_NAME, tooLong),
);

export const studentSchema = v.object({
  name: nameSchema("the student's name"),
  instrument: shortText,
});

/** Long enough to be no guess; short enough to be hashed in a moment. */
export const PASSWORD_LENGTH = { shortest: 10, longest: 200 } as const;

export const signInNameSchema = v.pipe(
  v.string(),
  v.trim(),
  v.toLowerCase(),
  v.minLength(2, "At least 2 characters."),
  v.maxLength(80, "Keep it under 80 characters."),
);

export const newPasswordSchema = v.pipe(
  v.string(),
  v.minLength(PASSWORD_LENGTH.shortest, `At least ${PASSWORD_LENGTH.shortest} characters.`),
  v.maxLength(PASSWORD_LENGTH.longest, `At most ${PASSWORD_LENGTH.longest} characters.`),
);
