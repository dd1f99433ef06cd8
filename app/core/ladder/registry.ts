import * as v from "valibot";
import { burst } from "./schools/burst";
import { byDate } from "./schools/by-date";
import { comfortSpan } from "./schools/comfort-span";
import { consolidate } from "./schools/consolidate";
import { evenSteps } from "./schools/even-steps";
import { forwardBack } from "./schools/forward-back";
import { joining } from "./schools/joining";
import { layers } from "./schools/layers";
import { marks } from "./schools/marks";
import { overspeed } from "./schools/overspeed";
import { percentSteps } from "./schools/percent-steps";
import { rhythm } from "./schools/rhythm";
import { shrinkingSteps } from "./schools/shrinking-steps";
import { slowFast } from "./schools/slow-fast";
import { withdraw } from "./schools/withdraw";
import { wovenChain } from "./schools/woven-chain";
import type { Path, Refusal, School, SchoolField, Step } from "./school";

/** Every school by name; the order here is the order of the menu. */
export const SCHOOLS = {
  "even-steps": evenSteps,
  "percent-steps": percentSteps,
  "shrinking-steps": shrinkingSteps,
  marks,
  "forward-back": forwardBack,
  overspeed,
  "comfort-span": comfortSpan,
  burst,
  "slow-fast": slowFast,
  "woven-chain": wovenChain,
  joining,
  "by-date": byDate,
  rhythm,
  withdraw,
  layers,
  consolidate,
} as const satisfies Record<string, Pick<School<never>, "fields" | "steps" | "tempo">>;

export type SchoolName = keyof typeof SCHOOLS;
export const SCHOOL_NAMES = Object.keys(SCHOOLS) as [SchoolName, ...SchoolName[]];

const chosen = <N extends SchoolName, Numbers>(
  name: N,
  { numbers }: Pick<School<Numbers>, "numbers">,
) => v.object({ name: v.literal(name), numbers });

/** A school with its numbers: what a teacher chooses, and what is stored. */
export const chosenSchoolSchema = v.variant(
  "name",
  [
    chosen("even-steps", evenSteps),
    chosen("percent-steps", percentSteps),
    chosen("shrinking-steps", shrinkingSteps),
    chosen("marks", marks),
    chosen("forward-back", forwardBack),
    chosen("overspeed", overspeed),
    chosen("comfort-span", comfortSpan),
    chosen("burst", burst),
    chosen("slow-fast", slowFast),
    chosen("woven-chain", wovenChain),
    chosen("joining", joining),
    chosen("by-date", byDate),
    chosen("rhythm", rhythm),
    chosen("withdraw", withdraw),
    chosen("layers", layers),
    chosen("consolidate", consolidate),
  ],
  "Choose how the tempo rises.",
);

export type ChosenSchool = v.InferOutput<typeof chosenSchoolSchema>;

/** The numbers that a school asks for, for drawing a form. */
export const fieldsOf = (name: SchoolName): readonly SchoolField[] => SCHOOLS[name].fields;

/** The numbers that a school starts with. */
export const initialNumbers = (name: SchoolName): Record<string, unknown> =>
  Object.fromEntries(fieldsOf(name).map(({ key, initial }) => [key, initial]));

/** What a chosen school says of each rung along a path, lazily. */
export function stepsOf({ name, numbers }: ChosenSchool, path: Path): Generator<Step> {
  // The variant pairs each name with its numbers; TypeScript can't follow a looked-up pair.
  const school: Pick<School<never>, "steps"> = SCHOOLS[name];
  return school.steps(numbers as never, path);
}

/** Why a chosen school can't go along a path, if it can't. */
export function refusalOf({ name, numbers }: ChosenSchool, path: Path): Refusal | undefined {
  const school: Pick<School<never>, "impossible"> = SCHOOLS[name];
  return school.impossible?.(numbers as never, path);
}

/** What the easy play is of that leads into a school at a stage; undefined where none does. */
export function leadInOf(
  { name, numbers }: ChosenSchool,
  stage: number,
): Pick<Step, "task"> | undefined {
  const { leadIn }: Pick<School<never>, "leadIn"> = SCHOOLS[name];
  return leadIn ? leadIn(numbers as never, stage) : {};
}

type Nature = Pick<School<never>, "tempo" | "daily" | "linked" | "firms" | "cycles" | "inPercent">;

/** How a school treats the tempo, and whether each of its stages is a day. */
export const natureOf = (name: SchoolName): Nature => SCHOOLS[name];
