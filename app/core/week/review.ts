import { createEmptyCard, fsrs, Rating, type Grade } from "ts-fsrs";
import { daysBetween, type Day } from "~/core/units";

/** One day on which a passage was played. */
export interface ReviewDay {
  readonly day: Day;
  readonly plays: number;
  readonly clean: number;
}

/** Nothing that is to be played at a concert rests longer than this. */
const LONGEST_DAYS = 21;

/** Shared by all: intervals without chance, so that the same record gives the same day. */
const scheduler = fsrs({
  enable_fuzz: false,
  enable_short_term: false,
  maximum_interval: LONGEST_DAYS,
});

const CLEAN = 0.9;
const HALF_CLEAN = 0.6;

const gradeOf = ({ plays, clean }: ReviewDay): Grade => {
  const share = clean / plays;
  if (share >= CLEAN) return Rating.Good;
  return share >= HALF_CLEAN ? Rating.Hard : Rating.Again;
};

const noon = (day: Day) => new Date(`${day}T12:00:00Z`);

/**
 * Days until a safe passage should be played again, by spaced repetition (FSRS) over the days on
 * which it was played, oldest first: each counts as a review, graded by its share of clean plays.
 * 0 or less when it is due.
 */
export function reviewIn(days: readonly ReviewDay[], today: Day): number {
  const played = days.filter(({ plays }) => plays > 0);
  const last = played.at(-1);
  if (!last) return 0;
  let card = createEmptyCard(noon(played[0]!.day));
  for (const each of played) card = scheduler.next(card, noon(each.day), gradeOf(each)).card;
  return daysBetween(last.day, card.due.toISOString().slice(0, 10)) - daysBetween(last.day, today);
}
