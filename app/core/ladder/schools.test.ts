import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import * as v from "valibot";
import { bpm, type BeatUnit, type Metre } from "~/core/units";
import {
  fieldsOf,
  initialNumbers,
  LADDER_DEFAULTS,
  ladderSchema,
  natureOf,
  SCHOOL_NAMES,
  staircase,
  type Ladder,
  type SchoolName,
} from ".";
import { aLadder, barsOf } from "./test/fixtures";

const rungs = (
  name: SchoolName,
  numbers: object,
  [start, target]: readonly [number, number],
  bars = 3,
) => {
  const ladder = aLadder({ name, numbers: { ...initialNumbers(name), ...numbers } }, start, target);
  return staircase(ladder, { start: bpm(start), bars: barsOf(bars) });
};
const tempi = (...args: Parameters<typeof rungs>) => rungs(...args).map(({ tempo }) => tempo + 0);
const woven = (...args: Parameters<typeof rungs>) =>
  rungs(...args).map(({ tempo, links }) => {
    const { from, to } = links!;
    return `${tempo}: ${from === to ? from : `${from}–${to}`}`;
  });

describe("schools that raise the tempo", () => {
  test("even steps 54 to 90 by 8", () => {
    expect(tempi("even-steps", { step: 8 }, [54, 90])).toEqual([54, 62, 70, 78, 86, 90]);
  });

  test("percent steps 48 to 96, 10 % then 5 % above three quarters of the target", () => {
    expect(tempi("percent-steps", {}, [48, 96])).toEqual([
      48, 53, 58, 64, 70, 77, 81, 85, 89, 93, 96,
    ]);
  });

  test("percent steps take the smaller step from the knee on, as shrinking steps do", () => {
    const numbers = { percent: 20, percentAbove: 5, knee: 50 };
    expect(tempi("percent-steps", numbers, [50, 100]).slice(0, 3)).toEqual([50, 53, 56]);
  });

  test("shrinking steps 60 to 100: +10, then +4 from 0.8 of the target", () => {
    expect(tempi("shrinking-steps", {}, [60, 100])).toEqual([60, 70, 80, 84, 88, 92, 96, 100]);
  });

  test("marks 50 to 88 by two, 55 to 90 by three", () => {
    expect(tempi("marks", { marks: 2 }, [50, 88])).toEqual([50, 54, 58, 63, 69, 76, 84, 88]);
    expect(tempi("marks", { marks: 3 }, [55, 90])).toEqual([55, 60, 69, 80, 90]);
  });

  test("forward and back touches the target, goes beyond it and settles on it", () => {
    expect(tempi("forward-back", { by: "marks", up: 3, down: 1 }, [63, 104])).toEqual([
      63, 72, 69, 80, 76, 88, 84, 96, 92, 104, 100, 112, 104,
    ]);
    expect(tempi("forward-back", { by: "bpm", unit: 5, up: 3, down: 1 }, [70, 95])).toEqual([
      70, 85, 80, 95, 90, 105, 95,
    ]);
  });

  test("overspeed goes beyond the target and confirms at it", () => {
    const numbers = { step: 10, in: "percent", beyond: 10 };
    expect(tempi("overspeed", numbers, [60, 80])).toEqual([60, 70, 80, 88, 80]);
  });

  test("by the date a tenth of the way each day, in two moves", () => {
    const days = { days: 2, shape: "linear", moves: 2 };
    expect(tempi("by-date", days, [60, 80])).toEqual([60, 65, 70, 70, 75, 80]);
    const last = rungs("by-date", { days: 3, shape: "proportional", moves: 1 }, [50, 100]);
    expect(last.map(({ stage, tempo }) => `${stage}: ${tempo}`)).toEqual([
      "0: 50",
      "0: 63",
      "1: 63",
      "1: 79",
      "2: 79",
      "2: 100",
    ]);
  });

  test("burst: base tempi to target ÷ ratio, the fast plays end at the target", () => {
    const plain = rungs("burst", { step: 10, ratio: 2, slow: 2, fast: 1 }, [40, 120]);
    expect(plain.map(({ tempo, top }) => [tempo, top])).toEqual([
      [40, 80],
      [50, 100],
      [60, 120],
    ]);
    const endurance = rungs("burst", { step: 20, ratio: 1.5, fast: 1, mostFast: 3 }, [60, 105]);
    expect(endurance.map(({ tempo, cycle }) => `${tempo}×${cycle!.fast}`)).toEqual([
      "60×1",
      "60×2",
      "60×3",
      "70×1",
      "70×2",
      "70×3",
    ]);
  });
});

describe("schools with parts, tasks and clicks of their own", () => {
  test("comfort span 84, 6 bpm, 2 steps, each held a set time", () => {
    const held = rungs("comfort-span", { step: 6, steps: 2, hold: 90 }, [84, 84]);
    expect(held.map(({ tempo }) => tempo + 0)).toEqual([84, 78, 72, 84, 90, 96, 84]);
    expect(held[0]!.gate).toEqual([{ kind: "clock-minutes", minutes: 1.5, back: false }]);
  });

  test("woven chain, 3 links, 50 to 80 by 5", () => {
    expect(woven("woven-chain", { step: 5 }, [50, 80])).toEqual([
      ...["50: 1", "55: 1", "60: 1", "65: 1", "70: 1", "75: 1", "80: 1"],
      ...["50: 1–2", "55: 2", "60: 1–2", "65: 2", "70: 1–2", "75: 2", "80: 1–2"],
      ...["50: 1–3", "55: 3", "60: 2–3", "65: 3", "70: 1–3", "75: 3", "80: 1–3"],
    ]);
  });

  test("a window makes chains of links and then a chain of chains", () => {
    const all = rungs("woven-chain", { step: 10, window: 2 }, [50, 70], 4);
    const last = all.filter(({ stage }) => stage === all.at(-1)!.stage);
    expect(all.every(({ links }) => links!.of === 4)).toBe(true);
    expect(last.map(({ links }) => `${links!.from}–${links!.to}`)).toEqual(["1–4", "3–4", "1–4"]);
    expect(new Set(all.map(({ stage }) => stage)).size).toBe(6);
  });

  test("a link may be as small as a beat", () => {
    const [first, ...others] = rungs("woven-chain", { unit: "beat", size: 2 }, [60, 60], 2);
    expect(first!.segment).toEqual({ fromBar: 1, toBar: 1, startBeat: 0, endBeats: 2 });
    expect(first!.share).toBeCloseTo(1 / 4, 12);
    expect(others.at(-1)!.share).toBe(1);
  });

  test("forward and back never steps below its start", () => {
    const near = tempi("forward-back", { by: "bpm", unit: 5, up: 5, down: 4 }, [70, 78]);
    expect(Math.min(...near)).toBe(70);
  });

  test("joining, both orders: bars, pairs, the phrase", () => {
    expect(woven("joining", { order: "join-first", step: 10 }, [60, 80])).toEqual([
      ...["60: 1", "60: 2", "60: 3", "60: 1–2", "60: 2–3", "60: 1–3", "70: 1–3", "80: 1–3"],
    ]);
    expect(woven("joining", { order: "tempo-first", step: 20 }, [60, 80])).toEqual([
      ...["60: 1", "80: 1", "60: 2", "80: 2", "60: 3", "80: 3", "80: 1–2", "80: 2–3", "80: 1–3"],
    ]);
  });

  test("slow and fast alternate and end at the target", () => {
    expect(tempi("slow-fast", { rounds: 2 }, [50, 100])).toEqual([100, 50, 100, 50, 100]);
  });

  test("the click is withdrawn from the one that is set; what sounds the same is left out", () => {
    const click = { ...LADDER_DEFAULTS.click, pattern: { kind: "beats", subdivision: 3 } };
    const numbers = initialNumbers("withdraw");
    const ladder = aLadder({ name: "withdraw", numbers }, 60, 90, { click });
    const names = (metre: Metre) =>
      staircase(ladder, { start: bpm(60), bars: [{ number: 1, metre }] }).map((r) => r.task?.name);
    expect(names({ beats: 4, unit: 4 })).toEqual([
      ...["divided-3", "beats", "off-beats", "one-a-bar", "silent-bars", "none"],
    ]);
    // One bar of one beat: a click a bar is a click a beat.
    expect(names({ beats: 1, unit: 4 })).toEqual([
      ...["divided-3", "beats", "off-beats", "silent-bars", "none"],
    ]);
  });

  test("the click is withdrawn as it sounds in the beat unit of the tempo", () => {
    const ladder = aLadder({ name: "withdraw", numbers: initialNumbers("withdraw") }, 60, 90);
    const where = { start: bpm(60), bars: [{ number: 1, metre: { beats: 3, unit: 4 } as const }] };
    const names = (beatUnit: BeatUnit) =>
      staircase(ladder, { ...where, beatUnit }).map(({ task }) => task!.name);
    expect(names("quarter")).toContain("one-a-bar");
    // One beat a bar: a click a bar is a click a beat.
    expect(names("dotted-half")).toEqual([
      ...["subdivided", "beats", "off-beats", "silent-bars", "none"],
    ]);
  });

  test("consolidate: a few below, a few above, then at the target", () => {
    expect(tempi("consolidate", { plays: 3, by: 4 }, [60, 92])).toEqual([88, 96, 92]);
  });

  test("each layer stays at the tempo and may have its own gate", () => {
    const list = [
      { name: "air", clean: 1 },
      { name: "play", clean: 0 },
    ];
    const [air, play] = rungs("layers", { layers: list }, [60, 72]);
    expect(air).toMatchObject({ tempo: 72, task: { name: "air", full: false } });
    expect(air!.gate).toEqual([{ kind: "in-a-row", plays: 1, afterFlawed: "reset" }]);
    expect(play!.task?.full).toBe(true);
    expect(play!.gate).toHaveLength(1);
  });

  test("withdrawing the click leaves ever less of it; long notes are easier", () => {
    const clicks = rungs("withdraw", {}, [60, 90]).map(({ click }) => click.pattern.kind);
    expect(clicks).toEqual([
      ...["beats", "beats", "off-beats", "every-bars", "every-bars", "beats", "none"],
    ]);
    const ease = rungs("rhythm", {}, [60, 60]).map((rung) => rung.ease);
    expect(ease).toEqual([1 / 16, 1 / 8, 1 / 4, 1 / 2, 3 / 4, 1]);
  });
});

describe("every school", () => {
  const ends = fc
    .tuple(fc.integer({ min: 20, max: 300 }), fc.integer({ min: 20, max: 300 }))
    .map(([a, b]) => [Math.min(a, b), Math.max(a, b)] as const);
  /** Numbers anywhere inside the limits that the fields state. */
  const anyNumbers = (name: SchoolName) =>
    fc.record(
      Object.fromEntries(
        fieldsOf(name).map((field) => {
          if (field.kind === "list") return [field.key, fc.constant(field.initial)];
          if (field.kind === "choice") return [field.key, fc.constantFrom(...field.options)];
          return [field.key, fc.integer({ min: Math.ceil(field.min), max: field.max })];
        }),
      ),
    );
  const anySchool = fc
    .constantFrom(...SCHOOL_NAMES)
    .chain((name) => fc.tuple(fc.constant(name), anyNumbers(name), ends));

  test("takes its own starting numbers", () => {
    for (const name of SCHOOL_NAMES) {
      expect(() => aLadder({ name, numbers: initialNumbers(name) }, 60, 90)).not.toThrow();
    }
  });

  test("whatever the numbers, rungs are whole bpm and a rising one ends exactly on the target", () => {
    fc.assert(
      fc.property(anySchool, fc.integer({ min: 1, max: 6 }), ([name, numbers, ends], bars) => {
        let ladder: Ladder;
        try {
          ladder = aLadder({ name, numbers }, ...ends);
        } catch {
          return;
        }
        const all = staircase(ladder, { start: bpm(ends[0]), bars: barsOf(bars) });
        expect(all.length).toBeGreaterThan(0);
        for (const { tempo, top, share } of all) {
          expect(Number.isInteger(tempo) && Number.isInteger(top)).toBe(true);
          expect(share).toBeGreaterThan(0);
        }
        if (natureOf(name).tempo === "centres") return;
        const last = all.at(-1)!;
        if (all.length < 5000) expect([last.top, last.share]).toEqual([ends[1], 1]);
      }),
    );
  });
});

describe("numbers that can't be", () => {
  const refused = (name: SchoolName, numbers: object) => {
    const school = { name, numbers: { ...initialNumbers(name), ...numbers } };
    const read = v.safeParse(ladderSchema, {
      ...aLadder({ name: "even-steps", numbers: { step: 5 } }, 60, 90),
      phases: [{ school, start: null, target: null }],
    });
    return read.success ? [] : read.issues.map((issue) => [v.getDotPath(issue), issue.message]);
  };

  test("are refused at their field with a sentence", () => {
    const at = (key: string) => `phases.0.school.numbers.${key}`;
    expect(refused("forward-back", { up: 2, down: 2 })).toEqual([
      [at("up"), "2 forward and 2 back never arrives: go further forward than back."],
    ]);
    expect(refused("burst", { ratio: 1 })[0]?.[0]).toBe(at("ratio"));
    expect(refused("woven-chain", { window: 1 })[0]?.[0]).toBe(at("window"));
    expect(refused("by-date", { days: 0 })[0]?.[0]).toBe(at("days"));
    expect(refused("layers", { layers: [] })).toEqual([
      [at("layers"), "List at least one layer: what is to be done first?"],
    ]);
    expect(refused("even-steps", { step: 0 })[0]?.[0]).toBe(at("step"));
  });
});
