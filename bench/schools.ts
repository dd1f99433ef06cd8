import * as v from "valibot";
import {
  initialNumbers,
  LADDER_DEFAULTS,
  ladderSchema,
  SCHOOL_NAMES,
  type Ladder,
  type SchoolName,
} from "~/core/ladder";
import { Learner, practiseUntilStable, seeded, type CourseResult } from "~/core/simulate";
import { words } from "~/words";
import type { Figure } from "./core";

export const COURSE_BARS = [1, 2, 3, 4].map((number) => ({
  number,
  metre: { beats: 4, unit: 4 } as const,
}));
const LEARNER = {
  ability: 72,
  plateau: 132,
  learning: 0.003,
  forgetting: 0.02,
  fatigue: 0.0006,
  width: 0.08,
};
const SEEDS = 9;
const MOST_DAYS = 60;

/** A school with its own starting numbers, 56 to 92 bpm, three in a row, twelve minutes a day. */
export const ladderOf = (name: SchoolName): Ladder =>
  v.parse(ladderSchema, {
    ...LADDER_DEFAULTS,
    phases: [{ school: { name, numbers: initialNumbers(name) }, start: null, target: null }],
    afterFlawed: { ...LADDER_DEFAULTS.afterFlawed, then: "lower" },
    start: name === "burst" ? 32 : 56,
    target: 92,
    startRule: { kind: "comfortable" },
    gate: [{ kind: "in-a-row", plays: 3, afterFlawed: "reset" }],
    rest: 0,
    minutes: 12,
    hidden: false,
  });

const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** The median of several learners that differ only in their luck. */
export function courseOf(name: SchoolName): CourseResult {
  const results = Array.from({ length: SEEDS }, (_, seed) => {
    const random = seeded(seed + 1);
    const learner = new Learner(LEARNER, random);
    const course = { ladder: ladderOf(name), bars: COURSE_BARS, learner, random };
    return practiseUntilStable({ ...course, mostDays: MOST_DAYS });
  });
  return {
    days: median(results.map(({ days }) => days)),
    plays: median(results.map(({ plays }) => plays)),
    minutes: median(results.map(({ minutes }) => minutes)),
    stable: results.filter(({ stable }) => stable).length > SEEDS / 2,
  };
}

/** For each school: days, plays and minutes of the same learner to a stable target. */
export const schoolFigures = (): Figure[] =>
  SCHOOL_NAMES.map((name) => {
    const { days, plays, minutes, stable } = courseOf(name);
    const { label } = words.ladder.schools[name];
    const value = stable
      ? `${days} days, ${plays} plays, ${Math.round(minutes)} min`
      : `not stable after ${MOST_DAYS} days (${plays} plays)`;
    return { what: label, value };
  });
