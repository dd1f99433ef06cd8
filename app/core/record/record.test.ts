import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { bpm } from "~/core/units";
import {
  advisedStart,
  chanceTogether,
  afterDay,
  chanceIn,
  cleanProbability,
  daysLater,
  daysTo,
  estimateOf,
  firstLevel,
  inKey,
  levelSchema,
  mostComfortable,
  notAbove,
  outlookOf,
  tempoAt,
  type Level,
  type RecordedRep,
} from ".";
import { TUNED } from "./filter";
import * as v from "valibot";

const rep = (tempo: number, clean: boolean, more: Partial<RecordedRep> = {}): RecordedRep => ({
  tempo: bpm(tempo),
  verdict: clean ? "clean" : "flawed",
  ...more,
});

/** Plays of somebody whose fall is half done at a tempo. */
function repsOf(centre: number, count: number, day = 11): RecordedRep[] {
  let seed = day * 15_485_863;
  const random = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
  const curve = { centre: Math.log(centre), width: 0.08 };
  return Array.from({ length: count }, () => {
    const tempo = Math.round(centre * (0.7 + 0.5 * random()));
    return rep(tempo, random() < cleanProbability(curve, tempo));
  });
}

/** Practises so many days in a row, from one tempo on and by a share more each day. */
function practised(days: number, from: number, gain: number, target = 120): Level {
  let level = firstLevel(target);
  for (let day = 0; day < days; day++) {
    level = afterDay(
      daysLater(level, day > 0 ? 1 : 0),
      repsOf(from * (1 + gain) ** day, 20, day + 3),
    );
  }
  return level;
}

const told = (level: Level) => estimateOf(level);
const spread = ({ low, high }: { low: number; high: number }) => high / low;

describe("comfortable tempo and ceiling", () => {
  test("without a play they are what is expected of the target, wide and in order", () => {
    const { comfortable, ceiling } = told(firstLevel(100));
    expect(comfortable.value).toBeLessThan(ceiling.value);
    expect(spread(ceiling)).toBeGreaterThan(2);
    const [easy, hard] = [0, 1].map((hardness) => told(firstLevel(100, hardness)).ceiling.value);
    expect(easy).toBeGreaterThan(hard!);
  });

  test("one clean play lifts them a little, one flawed play lowers them", () => {
    const before = told(firstLevel(100)).ceiling.value;
    expect(told(afterDay(firstLevel(100), [rep(80, true)])).ceiling.value).toBeGreaterThan(before);
    expect(told(afterDay(firstLevel(100), [rep(80, false)])).ceiling.value).toBeLessThan(before);
  });

  test("a thousand plays over days find the true curve, and say that they are sure", () => {
    const { ceiling, comfortable, cleanAt } = told(practised(50, 92, 0, 140));
    const curve = { centre: Math.log(92), width: 0.08 };
    expect(Math.abs(ceiling.value / 92 - 1)).toBeLessThan(0.03);
    expect(Math.abs(comfortable.value / tempoAt(curve, 0.9) - 1)).toBeLessThan(0.04);
    expect(spread(ceiling)).toBeLessThan(1.15);
    expect(cleanAt(92)).toBeCloseTo(0.49, 1);
  });

  test("what no number of plays shows stays unsure, the more so away from the middle of the fall", () => {
    const level = practised(3, 100, 0);
    // As if the level were known exactly.
    const sure = { ...level, filters: [{ ...level.filters[2]!, levelVar: 0 }] };
    expect(spread(told(sure).ceiling)).toBeGreaterThan(1.02);
    expect(spread(told(sure).comfortable)).toBeGreaterThan(spread(told(sure).ceiling));
  });

  test("who gains a percent a day is told where they are, not where they were", () => {
    const { comfortable } = told(practised(30, 60, 0.01));
    const truth = tempoAt({ centre: Math.log(60 * 1.01 ** 29), width: 0.08 }, 0.9);
    expect(Math.abs(comfortable.value / truth - 1)).toBeLessThan(0.05);
  });

  test("weeks off lower them and widen their spans", () => {
    const level = practised(20, 80, 0.005);
    const [now, later] = [told(level), told(daysLater(level, 21))];
    expect(later.ceiling.value).toBeLessThan(now.ceiling.value);
    expect(spread(later.ceiling)).toBeGreaterThan(spread(now.ceiling));
    const years = told(daysLater(level, 2000));
    expect(years.comfortable.low).toBeGreaterThan(10);
  });

  test("the fastest clean play is told of the whole and of its parts; a flawed one is none", () => {
    const first = afterDay(firstLevel(120), [rep(120, false), rep(84, true)]);
    expect([first.fastestClean, first.fastestPart]).toEqual([84, null]);
    const parts = [rep(110, true, { share: 0.5 }), rep(130, false, { share: 0.5 }), rep(80, true)];
    const next = afterDay(first, parts);
    expect([next.fastestClean, next.fastestPart]).toEqual([84, 110]);
  });

  test("the night after practice brings its gain and takes nothing; each day off after it does", () => {
    const today = afterDay(firstLevel(120), [rep(84, true, { count: 9 })]);
    const levels = (days: number) => daysLater(today, days).filters.map(({ level }) => level);
    levels(1).forEach((level, i) => {
      const { level: before, gain } = today.filters[i]!;
      expect(level).toBeCloseTo(before + gain, 12);
    });
    const lost = levels(3).map((level, i) => levels(1)[i]! - level);
    for (const each of lost) expect(each).toBeCloseTo(2 * TUNED.lostADay, 12);
  });

  test("ten clean plays far below the target say nothing of tempi that were not played", () => {
    const level = afterDay(firstLevel(240), [
      rep(60, true, { count: 10 }),
      rep(80, true, { share: 0.2 }),
    ]);
    const most = (passed?: number, step?: number) =>
      notAbove(told(level).comfortable, mostComfortable(passed, level, step));
    expect(most()).toEqual({ value: 63, low: 63, high: 63 });
    expect(most(50, 4).value).toBe(54);
    const nothing = firstLevel(240);
    expect(mostComfortable(undefined, nothing, 4)).toBeNull();
    // Of some of its bars: as long as the whole was never clean.
    expect(mostComfortable(undefined, afterDay(nothing, [rep(80, true, { share: 0.2 })]), 4)).toBe(
      84,
    );
    expect(notAbove(told(level).comfortable, null)).toEqual(told(level).comfortable);
  });

  test("a cycle of bursts and a part of the bars are taken as what they are", () => {
    const fresh = firstLevel(100);
    const level = (more: Partial<RecordedRep>) =>
      told(afterDay(fresh, [rep(100, true, { count: 5, ...more })])).ceiling.value;
    expect(level({ share: 0.25 })).toBeLessThan(level({}));
    // Three fast plays and a slow one, all clean, say more than one fast play.
    expect(level({ cycle: { base: 60, slow: 1, fast: 3 } })).toBeGreaterThan(level({}));
  });

  test("a key that goes worse is told lower, and hardly lowers the others", () => {
    let level = firstLevel(100);
    for (let day = 0; day < 12; day++) {
      const [key, centre] = day % 2 ? ["D major", 90] : ["A♭ major", 70];
      const reps = repsOf(centre as number, 20, day + 1).map((each) => ({
        ...each,
        key: key as string,
      }));
      level = afterDay(daysLater(level, day > 0 ? 1 : 0), reps);
    }
    const ceiling = (key: string) => told(inKey(level, key)).ceiling.value;
    expect(ceiling("A♭ major")).toBeLessThan(0.95 * ceiling("D major"));
    expect(ceiling("F major")).toBeGreaterThan(ceiling("A♭ major"));
    expect(ceiling("F major")).toBeLessThan(ceiling("D major"));
  });

  test("they stay in 10–400 and in order, whatever was played, and are stored as they are", () => {
    const reps = fc.array(
      fc.record({
        tempo: fc.integer({ min: 10, max: 400 }).map(bpm),
        verdict: fc.constantFrom("clean" as const, "flawed" as const),
        count: fc.constantFrom(1, 3, 40, 10_000),
        share: fc.constantFrom(0.05, 0.5, 1, 1.5),
      }),
      { maxLength: 12 },
    );
    const day = fc.record({ reps, later: fc.integer({ min: 0, max: 4000 }) });
    fc.assert(
      fc.property(
        fc.array(day, { maxLength: 4 }),
        fc.integer({ min: 10, max: 400 }),
        (days, target) => {
          const level = days.reduce(
            (sofar, { reps: played, later }) => daysLater(afterDay(sofar, played), later),
            firstLevel(target),
          );
          const { comfortable, ceiling, cleanAt } = told(level);
          for (const { low, value, high } of [comfortable, ceiling]) {
            expect(low).toBeGreaterThanOrEqual(10);
            expect(high).toBeLessThanOrEqual(400);
            expect(low <= value && value <= high).toBe(true);
          }
          expect(comfortable.value).toBeLessThanOrEqual(ceiling.value);
          expect(advisedStart(level)).toBeLessThanOrEqual(ceiling.high);
          expect(cleanAt(10)).toBeGreaterThanOrEqual(cleanAt(400));
          const stored: unknown = JSON.parse(JSON.stringify(level));
          expect(v.parse(levelSchema, stored)).toEqual(stored);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe("the days ahead", () => {
  const level = practised(25, 60, 0.01);
  const { comfortable } = told(level);
  const goal = { target: comfortable.value * 1.12, practised: 0.8 };

  test("more days, more practice and a lower target make it likelier; it is never certain", () => {
    const chance = chanceIn(level, 14, goal);
    expect(chance).toBeGreaterThan(0.02);
    expect(chance).toBeLessThan(0.98);
    expect(chanceIn(level, 28, goal)).toBeGreaterThan(chance);
    expect(chanceIn(level, 14, { ...goal, practised: 1 })).toBeGreaterThan(chance);
    expect(chanceIn(level, 14, { ...goal, target: goal.target * 0.95 })).toBeGreaterThan(chance);
    // A part of the bars needs less of the whole.
    expect(chanceIn(level, 14, { ...goal, probability: 0.9 ** 2 })).toBeGreaterThan(chance);
  });

  test("days to the target come with their span; what is out of reach has none", () => {
    const { soonest, likely, latest } = daysTo(level, goal);
    expect(soonest!).toBeLessThan(likely!);
    expect(latest === undefined || latest > likely!).toBe(true);
    expect(daysTo(practised(20, 60, 0), { target: 240, practised: 0.5 }).likely).toBeUndefined();
    expect(daysTo(level, { target: 10, practised: 0 }).likely).toBe(0);
  });

  test("what would change a chance is told only where it does, and holds what it says", () => {
    const ahead = { level, target: goal.target, days: 14, practised: 0.5, minutes: 10 };
    const { chance, changes } = outlookOf(ahead);
    expect(changes.length).toBeGreaterThan(1);
    for (const change of changes) expect(change.chance).toBeGreaterThan(chance);
    const lower = changes.find(({ kind }) => kind === "target");
    if (lower?.kind !== "target") throw new Error("No lower target.");
    expect(lower.chance).toBeGreaterThanOrEqual(2 / 3);
    expect(lower.target).toBeLessThan(goal.target);
    expect(outlookOf({ ...ahead, target: 20 }).changes).toEqual([]);
  });

  test("several passages stand together more rarely than the weakest, more often than by chance", () => {
    let seed = 5;
    const random = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
    const one = { level, target: goal.target, practised: 0.8 };
    const alone = chanceTogether([one], 14, random);
    expect(alone).toBeCloseTo(chanceIn(level, 14, goal), 1);
    const three = chanceTogether([one, one, { ...one, practised: 0.6 }], 14, random);
    expect(three).toBeLessThan(alone);
    expect(three).toBeGreaterThan(alone ** 3);
    expect(chanceTogether([], 14, random)).toBe(1);
  });
});
