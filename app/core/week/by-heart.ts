import type { Day } from "~/core/units";
import { reviewIn, type ReviewDay } from "./review";

/** A bar that stands by heart, and the day since when. */
export interface StandingBar {
  readonly bar: number;
  readonly since: Day;
}

/** Bars that were played from memory on a day. */
export interface MemoryTest {
  readonly day: Day;
  readonly fromBar: number;
  readonly toBar: number;
  readonly stood: boolean;
}

/** Neighbouring bars that stand and are tested together. */
export interface Stretch {
  readonly fromBar: number;
  readonly toBar: number;
  /** The day since when all of it stands. */
  readonly since: Day;
  /** Days until it should be tested again; 0 or less when it is due. */
  readonly dueIn: number;
}

/** As many bars are tested at once: as much as one remembers in one breath. */
const LONGEST_STRETCH = 8;

/** Neighbours of the same age, at most eight together. */
function runsOf(standing: readonly StandingBar[]): StandingBar[][] {
  const runs: StandingBar[][] = [];
  for (const each of [...standing].sort((one, other) => one.bar - other.bar)) {
    const run = runs.at(-1);
    const before = run?.at(-1);
    const follows = before && before.bar + 1 === each.bar && before.since === each.since;
    if (run && follows && run.length < LONGEST_STRETCH) run.push(each);
    else runs.push([each]);
  }
  return runs;
}

/**
 * What stands by heart, in stretches with the day on which each is due by spaced repetition: the
 * day since when it stands is its first review, every test of some of it since then another.
 */
export function stretchesOf(
  standing: readonly StandingBar[],
  tests: readonly MemoryTest[],
  today: Day,
): Stretch[] {
  return runsOf(standing).map((run) => {
    const [fromBar, toBar, since] = [run[0]!.bar, run.at(-1)!.bar, run[0]!.since];
    const days = new Map<Day, ReviewDay>([[since, { day: since, plays: 1, clean: 1 }]]);
    for (const { day, stood, ...range } of tests) {
      if (day < since || range.toBar < fromBar || range.fromBar > toBar) continue;
      const { plays, clean } = days.get(day) ?? { plays: 0, clean: 0 };
      days.set(day, { day, plays: plays + 1, clean: clean + (stood ? 1 : 0) });
    }
    const reviews = [...days.values()].sort((one, other) => one.day.localeCompare(other.day));
    return { fromBar, toBar, since, dueIn: reviewIn(reviews, today) };
  });
}

/**
 * Where a test begins and ends: in the stretch that is due most, from a bar of it that chance
 * (0 to under 1) chooses, so that nobody can lean on its beginning. Undefined where nothing stands.
 */
export function nextTest(
  stretches: readonly Stretch[],
  chance: number,
): { readonly fromBar: number; readonly toBar: number } | undefined {
  const [first] = [...stretches].sort((one, other) => one.dueIn - other.dueIn);
  if (!first) return undefined;
  const { fromBar, toBar } = first;
  // Of two bars or more the last alone is no test.
  const starts = Math.max(1, toBar - fromBar);
  return { fromBar: fromBar + Math.floor(chance * starts), toBar };
}
