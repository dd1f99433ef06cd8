import { describe, expect, test } from "@jest/globals";
import { initialNumbers, SCHOOL_NAMES, type SchoolName } from "~/core/ladder";
import { aLadder, barsOf } from "~/core/ladder/test/fixtures";
import { Learner, practiseUntilStable, seeded } from ".";

const traits = {
  ability: 72,
  plateau: 130,
  learning: 0.004,
  forgetting: 0.02,
  fatigue: 0.0005,
  width: 0.08,
};
const course = (name: SchoolName, change: object = {}, mostDays = 60, seed = 2) => {
  const random = seeded(seed);
  const learner = new Learner({ ...traits, ...change }, random);
  const numbers = initialNumbers(name);
  const ladder = aLadder({ name, numbers }, 56, 88, { startRule: { kind: "comfortable" } });
  return practiseUntilStable({ ladder, bars: barsOf(4), learner, random, mostDays });
};

describe("practising a ladder until its target is stable", () => {
  test("takes some days, fewer for one who learns faster, none for one who can already", () => {
    const usual = course("even-steps");
    expect(usual).toMatchObject({ stable: true });
    expect(usual.days).toBeGreaterThan(2);
    expect(course("even-steps", { learning: 0.01 }).days).toBeLessThan(usual.days);
    expect(course("even-steps", { ability: 140, plateau: 150 })).toMatchObject({
      days: 0,
      plays: 0,
    });
  });

  test("never comes for one whose limit lies below it", () => {
    const never = course("even-steps", { plateau: 78 }, 8);
    expect(never).toMatchObject({ stable: false, days: 8 });
    expect(never.minutes).toBeLessThanOrEqual(8 * 12);
  });

  test("goes through every school, the same for the same seed", () => {
    for (const name of SCHOOL_NAMES) {
      const few = course(name, {}, 3);
      expect(few.plays).toBeGreaterThan(0);
      expect(course(name, {}, 3)).toEqual(few);
    }
  });
});
