import type { Day } from "~/core/units";
import { chanceIn, daysTo, type DaysAhead } from "./forecast";
import type { Level } from "./level";
import { COMFORTABLE_PROBABILITY } from "./model";

/** A passage that is to stand by a date. */
export interface Ahead {
  /** As of today. */
  readonly level: Level;
  readonly target: number;
  /** Days from today to the date. */
  readonly days: number;
  /** The chance that a day is one of practice, 0–1. */
  readonly practised: number;
  /** Minutes on such a day. */
  readonly minutes: number;
}

/** What would change a chance, with the chance that it would then have. */
export type Change =
  | { readonly kind: "day-more"; readonly chance: number }
  | { readonly kind: "minutes-more"; readonly minutes: number; readonly chance: number }
  | { readonly kind: "target"; readonly target: number; readonly chance: number }
  | { readonly kind: "half"; readonly chance: number };

export interface Outlook {
  readonly chance: number;
  readonly ahead: DaysAhead;
  readonly changes: readonly Change[];
}

export interface DatedOutlook extends Outlook {
  readonly kind: "concert" | "week";
  readonly day: Day;
  readonly target: number;
  /** Minutes until it is likely to stand; null where that is not in sight. */
  readonly minutes: number | null;
}

export interface PassageOutlook {
  /** Days of practice that it is reckoned from. */
  readonly practiceDays: number;
  /** Too little was played to say anything. */
  readonly unknown: boolean;
  readonly dates: readonly DatedOutlook[];
  /** The comfortable tempo on days ahead: as likely as not, with the span that holds four in five. */
  readonly fan: readonly {
    readonly day: Day;
    readonly low: number;
    readonly value: number;
    readonly high: number;
  }[];
}

const MORE_MINUTES = 10;
/** Twice the minutes do not teach more than twice as much, however few they were. */
const MOST_GAIN = 2;
const HALF = 0.5;
/** A target that holds two times in three is an honest one. */
const HONEST = 2 / 3;
const LEAST_TARGET = 0.5;
/** What moves a chance by less is not worth saying. */
const WORTH = 0.03;

/** The same level, if a day of practice brought so many times as much. */
const withGain = (level: Level, factor: number): Level => ({
  ...level,
  filters: level.filters.map((filter) => ({
    ...filter,
    gain: filter.gain > 0 ? filter.gain * factor : filter.gain,
  })),
});

/** The highest target in whole bpm that holds two times in three; undefined where none does. */
export function honestTarget(ahead: Ahead): number | undefined {
  const { level, days, practised } = ahead;
  const chanceAt = (target: number) => chanceIn(level, days, { target, practised });
  let [low, high] = [Math.ceil(ahead.target * LEAST_TARGET), Math.floor(ahead.target) - 1];
  if (low > high || chanceAt(low) < HONEST) return undefined;
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (chanceAt(middle) >= HONEST) low = middle;
    else high = middle - 1;
  }
  return low;
}

/**
 * The chance that a passage stands by its date (a clean play at the target nearly certain), days to
 * get there, and what would change it. Ten minutes more are taken to teach in proportion; half of
 * the bars need to go clean by themselves only.
 */
export function outlookOf(ahead: Ahead): Outlook {
  const { level, target, days, practised, minutes } = ahead;
  const goal = { target, practised };
  const chance = chanceIn(level, days, goal);
  const more = Math.min(1, practised + 1 / 7);
  const factor = Math.min(MOST_GAIN, (minutes + MORE_MINUTES) / Math.max(1, minutes));
  const lower = honestTarget(ahead);
  const ofHalf = { ...goal, probability: COMFORTABLE_PROBABILITY ** (1 / HALF) };
  const all: Change[] = [
    { kind: "day-more", chance: chanceIn(level, days, { target, practised: more }) },
    {
      kind: "minutes-more",
      minutes: MORE_MINUTES,
      chance: chanceIn(withGain(level, factor), days, goal),
    },
    ...(lower === undefined
      ? []
      : [
          {
            kind: "target" as const,
            target: lower,
            chance: chanceIn(level, days, { target: lower, practised }),
          },
        ]),
    { kind: "half", chance: chanceIn(level, days, ofHalf) },
  ];
  const changes = all.filter((change) => change.chance >= chance + WORTH);
  return { chance, ahead: daysTo(level, goal), changes };
}
