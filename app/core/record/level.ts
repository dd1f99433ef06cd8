import * as v from "valibot";
import { byKeyAndKind, type RecordedRep } from "./day-plays";
import {
  afterDaysOff,
  afterPractice,
  afterSomeDays,
  learn,
  TUNED,
  type Filter,
  type KeyOffset,
} from "./filter";

/**
 * What is believed of a student on a passage: one {@link Filter} for each width that the fall may
 * have, weighted by how well it foretold what was played.
 */
export interface Level {
  readonly filters: readonly Filter[];
  /** The fastest clean play of the whole so far, in bpm; null before there was one. */
  readonly fastestClean: number | null;
  /** The fastest clean play of some of its bars. */
  readonly fastestPart: number | null;
}

const number = v.pipe(v.number(), v.finite());
const keyOffset: v.GenericSchema<[number, number], KeyOffset> = v.tuple([number, number]);

/** A level as it is stored: a row of numbers for each width. */
export const levelSchema: v.GenericSchema<unknown, Level> = v.object({
  filters: v.pipe(
    v.array(
      v.object({
        width: number,
        level: number,
        gain: number,
        levelVar: number,
        covar: number,
        gainVar: number,
        evidence: number,
        keys: v.record(v.string(), keyOffset),
      }),
    ),
    v.minLength(1),
  ),
  fastestClean: v.nullable(number),
  fastestPart: v.nullable(number),
});

/** Widths of the fall in ln-tempo; 0.08: from 86 % clean to 12 % within ± 16 % of tempo. */
const WIDTHS = [0.03, 0.05, 0.08, 0.12, 0.18] as const;
const USUAL_WIDTH = 0.08;
const WIDTH_SD = 0.5;

/** Before anything was played, the ceiling is expected around the target times 0.85. */
const USUAL_SHARE = 0.85;
const LEVEL_SD = 0.4;
/** Notes without any difficulty are expected to come near the target, the hardest far below it. */
const EASIEST_SHARE = 0.95;
const HARDEST_LESS = 0.35;

/**
 * The share of the target at which a new passage's ceiling is expected, by how hard its notes are
 * (0 to 1); the usual share where that is not known.
 */
export const expectedShare = (hardness: number | null): number =>
  hardness === null ? USUAL_SHARE : EASIEST_SHARE - HARDEST_LESS * hardness;

/** What is believed before anything was played, by the target and how hard the notes are. */
export const firstLevel = (target: number, hardness: number | null = null): Level => ({
  fastestClean: null,
  fastestPart: null,
  filters: WIDTHS.map((width) => ({
    width,
    level: Math.log(target * expectedShare(hardness)),
    gain: TUNED.gain,
    levelVar: LEVEL_SD ** 2,
    covar: 0,
    gainVar: TUNED.gainSd ** 2,
    evidence: -0.5 * (Math.log(width / USUAL_WIDTH) / WIDTH_SD) ** 2,
    keys: {},
  })),
});

/** The weight of each width, in their order; they add up to 1. */
export function weightsOf({ filters }: Level): number[] {
  const top = Math.max(...filters.map(({ evidence }) => evidence));
  const weights = filters.map(({ evidence }) => Math.exp(evidence - top));
  const sum = weights.reduce((all, each) => all + each, 0);
  return weights.map((weight) => weight / sum);
}

const eachFilter = (level: Level, change: (filter: Filter) => Filter): Level => ({
  ...level,
  filters: level.filters.map(change),
});

/** The fastest of a day's clean plays and what was known before; null where there is none. */
function fastestOf(before: number | null, reps: readonly RecordedRep[]): number | null {
  const clean = reps.filter(({ verdict }) => verdict === "clean").map(({ tempo }) => tempo);
  const fastest = Math.max(before ?? 0, ...clean);
  return fastest > 0 ? fastest : null;
}

const isWhole = ({ share = 1 }: RecordedRep): boolean => share >= 1;

/** What a day's plays teach. */
export function afterDay(level: Level, reps: readonly RecordedRep[]): Level {
  const byKey = [...byKeyAndKind(reps)];
  const learned = eachFilter(level, (filter) =>
    byKey.reduce((sofar, [key, kinds]) => learn(sofar, key, kinds), filter),
  );
  // Only differences of evidence count: they are kept near 0.
  const top = Math.max(...learned.filters.map(({ evidence }) => evidence));
  return {
    filters: learned.filters.map((filter) => ({ ...filter, evidence: filter.evidence - top })),
    fastestClean: fastestOf(level.fastestClean, reps.filter(isWhole)),
    fastestPart: fastestOf(
      level.fastestPart,
      reps.filter((rep) => !isWhole(rep)),
    ),
  };
}

/**
 * The level so many days after a day of practice: a night that brings what was gained, and days
 * off after it. 0: on that day itself.
 */
export function daysLater(level: Level, days: number): Level {
  if (days <= 0) return level;
  return eachFilter(level, (filter) => afterDaysOff(afterPractice(filter), days - 1));
}

/** So many days later (the next), if each is one of practice with a chance. */
export const someDaysLater = (level: Level, practised: number, days = 1): Level =>
  eachFilter(level, (filter) => afterSomeDays(filter, practised, days));

/** The level in one key; the common one where that key was not played. */
export const inKey = (level: Level, key: string): Level =>
  eachFilter(level, (filter) => {
    const [offset, variance] = filter.keys[key] ?? [0, TUNED.keySd ** 2];
    return { ...filter, level: filter.level + offset, levelVar: filter.levelVar + variance };
  });
