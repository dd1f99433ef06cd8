import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import * as v from "valibot";
import { bpm } from "~/core/units";
import {
  checkedStaircase,
  ladderSchema,
  rungAfter,
  rungBefore,
  rungsToday,
  staircase,
  todaysStart,
  unroll,
  type Ladder,
  type StartRule,
} from ".";
import { aLadder, barsOf } from "./test/fixtures";

const even = (step: number) => ({ name: "even-steps", numbers: { step } });
const where = (start: number, place = { phase: 0, stage: 0 }, bars = 4) => ({
  start: bpm(start),
  bars: barsOf(bars),
  place,
});
const tempi = (ladder: Ladder, ...at: Parameters<typeof where>) =>
  staircase(ladder, where(...at)).map(({ tempo }) => tempo + 0);

const phase = (school: object, start: number | null = null, target: number | null = null) => ({
  school,
  start,
  target,
  tasks: null,
});
const joining = {
  name: "joining",
  numbers: { order: "join-first", size: 1, step: 5 },
};
const thin = {
  name: "withdraw",
  numbers: {
    clicks: [
      { name: "beats", clean: 0 },
      { name: "none", clean: 0 },
    ],
  },
};

describe("a ladder from outside", () => {
  const fields = (change: object) => {
    const result = v.safeParse(ladderSchema, { ...aLadder(even(8), 54, 90), ...change });
    return result.success ? [] : result.issues.map((issue) => v.getDotPath(issue));
  };

  test("bad numbers are refused at their field", () => {
    expect(fields({ target: 50 })).toEqual(["target"]);
    expect(fields({ target: 401 })).toEqual(["target"]);
    expect(fields({ start: 9 })).toEqual(["start"]);
    expect(fields({ phases: [] })).toEqual(["phases"]);
    expect(fields({ gate: [] })).toEqual(["gate"]);
    expect(fields({ phases: [phase(even(8), 80, 60)] })).toEqual(["phases.0.target"]);
    const click = aLadder(even(8), 54, 90).click;
    const dense = { ...click, pattern: { kind: "beats", subdivision: 8 } };
    expect(fields({ target: 200, click: dense })).toEqual(["click.pattern"]);
  });

  test("more than 5,000 rungs, or a tempo beyond the limits, is refused with a sentence", () => {
    const chain = { name: "woven-chain", numbers: { unit: "beat", size: 1, step: 1, window: 64 } };
    const long = checkedStaircase(aLadder(chain, 60, 140), where(60, undefined, 20));
    expect(long.ok ? "" : long.error.field).toBe("phases.0.school");
    const above = aLadder(even(8), 54, 90, { phases: [phase(even(8), 100, null)] });
    const refused = checkedStaircase(above, where(54));
    expect(refused.ok ? "" : refused.error.field).toBe("phases.0.start");
    const over = aLadder(even(10), 380, 400, { overspeed: { in: "bpm", beyond: 10 } });
    const beyond = checkedStaircase(over, where(380));
    expect(beyond.ok ? "" : beyond.error.sentence).toContain("410");
  });
});

describe("a programme", () => {
  const programme = aLadder(even(10), 60, 90, {
    phases: [phase(joining, 45, 45), phase(even(10)), phase(thin)],
  });

  test("goes through its schools in order, each with its own tempi", () => {
    const rungs = staircase(programme, where(45, undefined, 2));
    expect(rungs.map(({ phase: at, tempo }) => `${at}: ${tempo}`)).toEqual([
      ...["0: 45", "0: 45", "0: 45", "1: 60", "1: 70", "1: 80", "1: 90", "2: 90", "2: 90"],
    ]);
    expect(rungs.map(({ index }) => index)).toEqual(rungs.map((_, i) => i));
  });

  test("goes on the next day at its phase and stage, at today's start", () => {
    expect(tempi(programme, 68, { phase: 1, stage: 0 })).toEqual([68, 78, 88, 90, 90, 90]);
    const last = staircase(programme, where(60, { phase: 2, stage: 1 }));
    expect(last.map(({ task }) => task?.name)).toEqual(["none"]);
  });

  test("a place beyond a list that became shorter is its last stage", () => {
    const rungs = staircase(programme, where(60, { phase: 2, stage: 9 }));
    expect(rungs.map(({ task }) => task?.name)).toEqual(["none"]);
  });

  test("overspeed, warm-up and the cap above comfort are options over any rising ladder", () => {
    const options = { overspeed: { in: "bpm", beyond: 6 }, warmUp: 2 };
    const ladder = aLadder(even(10), 60, 80, options);
    expect(tempi(ladder, 60)).toEqual([42, 51, 60, 70, 80, 86, 80]);
    const capped = aLadder(even(10), 60, 100, { mostAbove: 2 });
    expect(rungsToday(capped, where(60), 75).map(({ tempo }) => tempo + 0)).toEqual([
      60, 70, 80, 90,
    ]);
  });

  test("by the date, today ends with today's stage", () => {
    const numbers = { days: 4, perWeek: 7, shape: "linear", moves: 1 };
    const ladder = aLadder({ name: "by-date", numbers }, 60, 100);
    const today = rungsToday(ladder, where(70, { phase: 0, stage: 1 }), undefined);
    expect(today.map(({ tempo }) => tempo + 0)).toEqual([70, 80]);
  });

  test("unrolling is lazy: the first rung costs nothing of the rest", () => {
    const rungs = unroll(aLadder(even(1), 10, 400), where(10));
    expect(rungs.next().value).toMatchObject({ index: 0, tempo: 10 });
    rungs.return();
  });
});

describe("live stepping", () => {
  const rungs = staircase(aLadder(even(8), 54, 90), where(54));
  const after = (index: number, played: number) => rungAfter(rungs, index, bpm(played))?.tempo;
  const before = (index: number, played: number, steps: number) =>
    rungBefore(rungs, index, bpm(played), steps)?.tempo;

  test("a tempo nudged by hand finds its way back onto the staircase", () => {
    expect(after(0, 54)).toBe(62);
    expect(after(0, 60)).toBe(62);
    expect(after(1, 66)).toBe(70);
    expect(after(2, 50)).toBe(54);
    expect(after(5, 90)).toBeUndefined();
  });

  test("going down k steps stops at the bottom", () => {
    expect(before(2, 70, 1)).toBe(62);
    expect(before(2, 70, 2)).toBe(54);
    expect(before(1, 66, 1)).toBe(62);
    expect(before(0, 54, 3)).toBe(54);
  });

  test("where the tempo goes back and forth, the order of the rungs is kept", () => {
    const numbers = { by: "bpm", unit: 5, up: 3, down: 1 };
    const both = staircase(aLadder({ name: "forward-back", numbers }, 70, 95), where(70));
    const walked: number[] = [];
    for (let rung = both[0]; rung; rung = rungAfter(both, rung.index, rung.tempo)) {
      walked.push(rung.tempo);
    }
    expect(walked).toEqual([70, 85, 80, 95, 90, 105, 95]);
    expect(rungBefore(both, 2, bpm(80), 1)?.index).toBe(0);
  });

  test("any staircase that is passed rung by rung is walked to its end", () => {
    const school = fc.constantFrom(even(7), joining, thin, {
      name: "woven-chain",
      numbers: { unit: "bar", size: 1, step: 9, window: 2 },
    });
    fc.assert(
      fc.property(school, fc.integer({ min: 1, max: 5 }), (chosen, bars) => {
        const all = staircase(aLadder(chosen, 60, 90), where(60, undefined, bars));
        let rung = all[0];
        for (let n = 0; n < all.length; n++) {
          expect(rung?.index).toBe(n);
          rung = rungAfter(all, rung!.index, rung!.tempo);
        }
        expect(rung).toBeUndefined();
      }),
    );
  });

  test("where the tempo stays, lower is the stage before", () => {
    const stays = staircase(aLadder(thin, 60, 90), where(60));
    expect(rungBefore(stays, 1, bpm(90), 1)?.index).toBe(0);
  });
});

describe("where today starts", () => {
  const evidence = {
    first: bpm(54),
    target: bpm(90),
    ended: bpm(78),
    comfortable: 66.7,
    passed: 78,
    tempi: [54, 70, 62, 78, 86, 90].map(bpm),
  };
  const start = (rule: StartRule, change = {}) => todaysStart(rule, { ...evidence, ...change });

  test("each rule reads its own evidence", () => {
    expect(start({ kind: "as-set" })).toBe(54);
    expect(start({ kind: "half-of-target" })).toBe(38);
    expect(start({ kind: "percent-of-target", percent: 75 })).toBe(62);
    expect(start({ kind: "comfortable" })).toBe(62);
    expect(start({ kind: "where-ended" })).toBe(78);
    expect(start({ kind: "measured" })).toBe(78);
    expect(start({ kind: "where-ended-less", steps: 2 })).toBe(62);
  });

  test("without a record it is the start that was set", () => {
    const nothing = { ended: undefined, comfortable: undefined };
    for (const rule of [
      { kind: "comfortable" },
      { kind: "where-ended" },
      { kind: "where-ended-less", steps: 1 },
    ] as const) {
      expect(start(rule, nothing)).toBe(54);
    }
  });

  test("it never lies above the target or outside 10–400", () => {
    const far = { ended: bpm(120), passed: 120 };
    expect(start({ kind: "where-ended" }, far)).toBe(90);
    expect(start({ kind: "half-of-target" }, { target: bpm(12) })).toBe(10);
  });

  test("what is reckoned never lies above what was passed; what is set or planned may", () => {
    const passed = { ended: bpm(86), comfortable: 88, passed: 70 };
    for (const kind of ["where-ended", "comfortable", "measured"] as const) {
      expect(start({ kind }, passed)).toBe(70);
      expect(start({ kind }, { ...passed, passed: undefined })).toBe(54);
    }
    expect(start({ kind: "where-ended-less", steps: 1 }, passed)).toBe(62);
    expect(start({ kind: "percent-of-target", percent: 100 }, passed)).toBe(70);
    const untouched = { ended: undefined, passed: undefined };
    expect(start({ kind: "percent-of-target", percent: 90 }, untouched)).toBe(78);
    expect(start({ kind: "where-ended" }, { ...passed, planned: true })).toBe(86);
  });
});
