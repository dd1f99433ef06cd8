import { describe, expect, test } from "@jest/globals";
import * as v from "valibot";
import { cleanTable } from "~/core/cost";
import { aLadder, barsOf } from "~/core/ladder/test/fixtures";
import { costAnswerSchema, costRequestSchema, type CostAnswer } from "../protocol/cost";
import { reckonCost } from "./reckon-cost";

const even = { name: "even-steps", numbers: { step: 4 } };
const cleanAt = (tempo: number) => 0.98 / (1 + Math.exp((tempo - 96) / 6));
const request = (ladder: object, change: object = {}) =>
  v.parse(costRequestSchema, {
    id: 3,
    ladder,
    block: {
      fromBar: 1,
      toBar: 4,
      pickupBeats: 0,
      startBeats: 0,
      order: [],
      endBeats: 0,
      beatUnit: "quarter",
      bars: barsOf(4),
      around: { before: [], after: [] },
    },
    from: { start: 60, place: { phase: 0, stage: 0 } },
    clean: cleanTable(cleanAt),
    comfortable: 80,
    flawedBars: null,
    runs: 4000,
    offers: true,
    ...change,
  });
const told = (ladder: object, change: object = {}) => {
  const answers: CostAnswer[] = [];
  const steps = [...reckonCost(request(ladder, change), (answer) => answers.push(answer))];
  return { answers, steps: steps.length };
};

describe("what the worker tells", () => {
  test("by formula, a first and a last simulation, then the offers; every answer can be read", () => {
    const { answers } = told(aLadder(even, 60, 100, { minutes: 5 }));
    expect(answers.map(({ kind }) => kind)).toEqual(["exact", "simulated", "simulated", "offers"]);
    for (const answer of answers) {
      expect(answer.id).toBe(3);
      expect(v.safeParse(costAnswerSchema, structuredClone(answer)).success).toBe(true);
    }
  });

  test("the same question has the same answer, and formula and simulation agree", () => {
    const ladder = aLadder(even, 60, 92);
    const [exact, , simulated] = told(ladder).answers;
    expect(told(ladder).answers).toEqual(told(ladder).answers);
    if (exact?.kind !== "exact" || simulated?.kind !== "simulated") throw new Error("order");
    expect(Math.abs(simulated.cost.minutes / exact.cost.minutes - 1)).toBeLessThan(0.03);
    expect(simulated.cost.runs).toBe(4000);
  });

  test("it can be stopped between any two steps: a batch is never long", () => {
    expect(told(aLadder(even, 60, 92)).steps).toBeGreaterThan(8);
    const answers: CostAnswer[] = [];
    const steps = reckonCost(request(aLadder(even, 60, 92)), (answer) => answers.push(answer));
    steps.next();
    steps.next();
    steps.return(undefined);
    expect(answers.map(({ kind }) => kind)).toEqual(["exact"]);
  });

  test("a ladder out of reach is given up after fewer climbs, and says how many", () => {
    const { answers } = told(aLadder(even, 60, 160), { runs: 10_000, offers: false });
    const last = answers.at(-1);
    if (last?.kind !== "simulated") throw new Error("order");
    expect(last.cost.runs).toBeLessThan(10_000);
    expect(last.cost.fits).toBe(0);
  });

  test("a part of the passage costs less than all of it", () => {
    const minutes = (change: object) => {
      const [exact] = told(aLadder(even, 60, 100, change)).answers;
      return exact?.kind === "exact" ? exact.cost.minutes : NaN;
    };
    expect(minutes({ part: { fromBar: 2, toBar: 3 } })).toBeLessThan(0.6 * minutes({}));
  });
});
