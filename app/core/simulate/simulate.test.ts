import { describe, expect, test } from "@jest/globals";
import * as v from "valibot";
import { replay, sessionEventSchema, summarise } from "~/core/session";
import { planFrom } from "~/core/session/test/plans";
import { aLadder } from "~/core/ladder/test/fixtures";
import { initialNumbers, ladderSchema, SCHOOL_NAMES } from "~/core/ladder";
import { bpm } from "~/core/units";
import { Learner, seeded, seededUuid, simulateSitting, type LearnerTraits } from ".";

const traits: LearnerTraits = {
  ability: 70,
  plateau: 120,
  learning: 0.003,
  forgetting: 0.02,
  fatigue: 0.0005,
  width: 0.075,
};
const plan = planFrom(
  [1, 2].map((n) => ({
    passageId: `00000000-0000-4000-8000-00000000000${n}`,
    pieceTitle: "Two Ducks",
    passageName: "",
    focus: "",
    fromBar: 1,
    toBar: 2,
    pickupBeats: 0,
    endBeats: 0,
    bars: [1, 2].map((number) => ({ number, metre: { beats: 4, unit: 4 } })),
    beatUnit: "quarter",
    start: 60,
    ladder: aLadder(
      { name: "percent-steps", numbers: { percent: 10, percentAbove: 5, knee: 75, least: 2 } },
      60,
      90,
      { gate: [{ kind: "in-a-row", plays: 3, afterFlawed: "minus-one" }], rest: 15, minutes: 8 },
    ),
  })),
);
const sit = (seed: number, change: { painAfter?: number } = {}) => {
  const random = seeded(seed);
  return simulateSitting({
    plan,
    learners: [new Learner(traits, random), new Learner(traits, random)],
    startsAt: Date.UTC(2026, 4, 4, 17),
    minutes: [8, 8],
    weakBars: [2],
    random,
    ...change,
  });
};

const playWhole = (learner: Learner, tempo: number) =>
  learner.play({ tempo: bpm(tempo), chance: learner.cleanAt(tempo), effort: 1 });

/** Share of clean plays at a tempo, without letting the learner change. */
const cleanShare = (learner: () => Learner, tempo: number) => {
  const plays = Array.from({ length: 400 }, () => playWhole(learner(), tempo));
  return plays.filter((verdict) => verdict === "clean").length / plays.length;
};

describe("the learner", () => {
  test("breaks every other time at the ceiling and hardly ever well below", () => {
    const random = seeded(1);
    const fresh = () => new Learner(traits, random);
    expect(cleanShare(fresh, 70)).toBeGreaterThan(0.4);
    expect(cleanShare(fresh, 70)).toBeLessThan(0.6);
    expect(cleanShare(fresh, 50)).toBeGreaterThan(0.93);
    expect(cleanShare(fresh, 95)).toBeLessThan(0.1);
  });

  test("gets better by practising near the limit, and worse by weeks of nothing", () => {
    const random = seeded(2);
    const learner = new Learner({ ...traits, fatigue: 0 }, random);
    const at = (tempo: number) => {
      const verdicts = Array.from({ length: 200 }, () => playWhole(learner, tempo));
      return verdicts.filter((verdict) => verdict === "clean").length;
    };
    const before = at(72);
    for (let n = 0; n < 5; n++) at(74);
    const after = at(72);
    expect(after).toBeGreaterThan(before + 20);
    learner.sleep(60);
    expect(at(72)).toBeLessThan(after);
  });
});

describe("the simulated player", () => {
  test("the same seed plays the same session, another one another", () => {
    expect(sit(5)).toEqual(sit(5));
    expect(sit(5)).not.toEqual(sit(6));
  });

  test("writes events that the stand could have written", () => {
    const events = sit(7);
    expect(events.map(({ seq }) => seq)).toEqual(events.map((_, i) => i));
    for (const event of events) expect(v.safeParse(sessionEventSchema, event).success).toBe(true);
    const state = replay(plan, events);
    expect(state.ended).toBe("ended-well");
    expect(state.plays.every(({ verdict }) => verdict !== undefined)).toBe(true);
    expect(summarise(state)).toHaveLength(2);
    expect(events.at(-2)?.kind === "judged" || events.at(-2)?.kind === "detailed").toBe(true);
  });

  test("plays every school, and a programme of several, rung by rung to its end", () => {
    const schools = SCHOOL_NAMES.map((name) => [name]);
    for (const names of [...schools, ["joining", "forward-back", "withdraw"] as const]) {
      const phases = names.map((name) => ({
        school: { name, numbers: initialNumbers(name) },
        start: null,
        target: null,
      }));
      const [block] = plan.blocks;
      const ladder = v.parse(ladderSchema, { ...block!.ladder, phases, rest: 0 });
      const sure = { ...traits, ability: 380, plateau: 390 };
      const random = seeded(12);
      const events = simulateSitting({
        plan: { ...plan, blocks: [{ ...block!, ladder }] },
        learners: [new Learner(sure, random)],
        startsAt: Date.UTC(2026, 4, 4, 17),
        minutes: [600],
        random,
      });
      const [played] = replay({ ...plan, blocks: [{ ...block!, ladder }] }, events).blocks;
      expect([names, played?.toppedOut]).toEqual([names, true]);
      expect(played?.passed.map(({ rung }) => rung)).toEqual(played?.rungs.map((_, i) => i));
    }
  });

  test("stops for pain and plays nothing after", () => {
    const events = sit(8, { painAfter: 3 });
    expect(replay(plan, events).ended).toBe("pain");
    const minutes = (events.at(-1)!.at - events[0]!.at) / 60_000;
    expect(minutes).toBeGreaterThanOrEqual(3);
    expect(minutes).toBeLessThan(5);
  });
});

test("seeded ids are well-formed and differ", () => {
  const random = seeded(9);
  const ids = Array.from({ length: 500 }, () => seededUuid(random));
  expect(new Set(ids).size).toBe(500);
  for (const id of ids) expect(v.safeParse(v.pipe(v.string(), v.uuid()), id).success).toBe(true);
});
