import * as v from "valibot";
import { unreachable } from "~/core/result";
import { evenSteps } from "./even-steps";
import { percentSteps } from "./percent-steps";
import type { NumberField, School } from "./school";

/** Every school by name; the order here is the order of the menu. */
export const SCHOOLS = {
  "even-steps": evenSteps,
  "percent-steps": percentSteps,
} as const satisfies Record<string, Pick<School<never>, "fields" | "tempi">>;

export type SchoolName = keyof typeof SCHOOLS;
export const SCHOOL_NAMES = Object.keys(SCHOOLS) as [SchoolName, ...SchoolName[]];

/** A school with its numbers: what a teacher chooses, and what is stored. */
export const chosenSchoolSchema = v.variant(
  "name",
  [
    v.object({ name: v.literal("even-steps"), numbers: evenSteps.numbers }),
    v.object({ name: v.literal("percent-steps"), numbers: percentSteps.numbers }),
  ],
  "Choose how the tempo rises.",
);

export type ChosenSchool = v.InferOutput<typeof chosenSchoolSchema>;

/** The numbers that a school asks for, for drawing a form. */
export const fieldsOf = (name: SchoolName): readonly NumberField[] => SCHOOLS[name].fields;

/** The tempi of a chosen school along a path, lazily. */
export function tempiOf(chosen: ChosenSchool, path: Parameters<School<never>["tempi"]>[1]) {
  switch (chosen.name) {
    case "even-steps":
      return evenSteps.tempi(chosen.numbers, path);
    case "percent-steps":
      return percentSteps.tempi(chosen.numbers, path);
    default:
      return unreachable(chosen);
  }
}
