import {
  ceilingIsMet,
  daysLater,
  advisedStart,
  estimateOf,
  inKey,
  notAbove,
  type Estimate,
  type Level,
  type Span,
} from "~/core/record";
import { daysBetween, type Day } from "~/core/units";
import type { Passage } from "~/db/queries";
import { weekOn } from "./week-on";
import { keyFor } from "./week-plan";

/** What is believed of a student on a passage, as of a day: one answer for all pages. */
export interface Standing extends Estimate {
  readonly level: Level;
  /** No tempo above it is called comfortable. */
  readonly most: number | null;
  /** Something near the ceiling was tried; else where it lies is not known. */
  readonly ceilingMet: boolean;
  /** Where to start as advised: at most so fast is a clean play surely likely. */
  readonly advised: number;
}

type Known = Pick<Passage, "days">;
type Asked = Pick<Passage, "weeks">;
type KnownDay = Passage["days"][number];

/** The level as of a day: nights and days off since it was last played included. */
function reckoned({ day, level, most }: KnownDay, today: Day, key: string | undefined): Standing {
  const then = daysLater(level, daysBetween(day, today));
  const here = key === undefined ? then : inKey(then, key);
  const { comfortable, ceiling, cleanAt } = estimateOf(here);
  const advised = Math.min(most ?? Infinity, advisedStart(here));
  return {
    ...{ level: here, most, advised, ceiling, cleanAt },
    comfortable: notAbove(comfortable, most),
    ceilingMet: ceilingIsMet(ceiling, most),
  };
}

/** A page asks the same of a passage several times: start, state, line. */
const known = new WeakMap<KnownDay, Map<string, Standing>>();

function told(of: KnownDay, today: Day, key?: string): Standing {
  const all = known.get(of) ?? new Map<string, Standing>();
  known.set(of, all);
  const name = `${today} ${key ?? ""}`;
  const found = all.get(name) ?? reckoned(of, today, key);
  all.set(name, found);
  return found;
}

/** The key in which a day's week asks for a passage; nothing where its keys don't go round. */
export function keyToday({ weeks }: Asked, today: Day): string | undefined {
  const week = weekOn(weeks, today);
  return week && keyFor(week, week.since, today);
}

/**
 * Where a passage stands today: in the key that this week asks for, in another that is named, or
 * in all keys together ("common"). Nothing before it was played.
 */
export function standingOf(
  passage: Known & Asked,
  today: Day,
  key: string | "common" | undefined = keyToday(passage, today),
): Standing | undefined {
  const [last] = passage.days;
  return last && told(last, today, key === "common" ? undefined : key);
}

/** Spans after each of the last two days on which it was played, the latest first. */
export const lastDays = ({ days }: Known): { comfortable: Span; ceiling: Span }[] =>
  days.map((each) => told(each, each.day));
