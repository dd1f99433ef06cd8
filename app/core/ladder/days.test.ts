import { describe, expect, test } from "@jest/globals";
import { bpm } from "~/core/units";
import {
  checkedStaircase,
  initialNumbers,
  rungsFrom,
  rungsToday,
  SCHOOL_NAMES,
  staircase,
  storedRungs,
  type Where,
} from ".";
import { aLadder, barsOf } from "./test/fixtures";

const chain = { name: "woven-chain", numbers: { unit: "bar", size: 1, step: 10, window: 8 } };
const where = (start: number, change: Partial<Where> = {}): Where => ({
  start: bpm(start),
  bars: barsOf(3),
  ...change,
});
const told = (ladder: Parameters<typeof staircase>[0], at: Where) =>
  staircase(ladder, at).map(({ tempo, links }) => `${links?.from}–${links?.to}: ${tempo}`);

describe("the next day", () => {
  test("a chain goes on at its link and tempo; each new link begins at the ladder's start", () => {
    const at = where(70, { place: { phase: 0, stage: 1 }, again: true });
    expect(told(aLadder(chain, 60, 80), at)).toEqual([
      ...["2–2: 70", "1–2: 80", "1–3: 60", "3–3: 70", "1–3: 80"],
    ]);
  });

  test("up and down by the clock, a cap ends the way up, and it is gone down from there", () => {
    const gate = [{ kind: "clock-plays", plays: 1, back: true }];
    const ladder = aLadder({ name: "even-steps", numbers: { step: 10 } }, 60, 100, {
      gate,
      mostAbove: 1,
    });
    const rungs = rungsToday(ladder, where(60), 75);
    expect(rungs.map(({ index, tempo }) => [index, tempo + 0])).toEqual([
      ...[
        [0, 60],
        [1, 70],
        [2, 80],
      ],
      ...[
        [3, 70],
        [4, 60],
      ],
    ]);
  });

  test("a school that stays at its tempo is led into by one easy play with the ladder's click", () => {
    const ladder = aLadder({ name: "withdraw", numbers: initialNumbers("withdraw") }, 60, 90);
    const first = staircase(ladder, where(60));
    expect(first[0]).toMatchObject({ tempo: 90 });
    const [easy, next] = staircase(
      ladder,
      where(60, { place: { phase: 0, stage: 4 }, again: true }),
    );
    expect(easy).toMatchObject({ tempo: 60, gate: [{ kind: "in-all", plays: 1 }], stage: 4 });
    expect(easy!.click).toBe(ladder.click);
    expect(next).toMatchObject({ tempo: 90, stage: 4 });
  });

  test("layers are led into by the last that was passed, by its name", () => {
    const ladder = aLadder({ name: "layers", numbers: initialNumbers("layers") }, 60, 90);
    const names = (stage: number) =>
      staircase(ladder, where(60, { place: { phase: 0, stage }, again: true })).map(
        ({ task, tempo }) => [task?.name, tempo],
      );
    expect(names(2).slice(0, 2)).toEqual([
      ["say the note names", 60],
      ["finger silently", 90],
    ]);
    expect(names(0)[0]).toEqual(["count and clap", 90]);
  });

  test("to consolidate is to make firm what the ceiling allows", () => {
    const numbers = { in: "bpm", below: 6, plays: 12, above: 4, over: 2 };
    const ladder = aLadder({ name: "consolidate", numbers }, 60, 90);
    const tempi = (ceiling?: number) =>
      staircase(ladder, where(60, ceiling === undefined ? {} : { ceiling })).map(
        ({ tempo, beyond }) => (beyond ? `(${tempo})` : `${tempo}`),
      );
    expect(tempi(80)).toEqual(["74", "(84)", "80"]);
    expect(tempi(120)).toEqual(["84", "(94)", "90"]);
    expect(tempi()).toEqual(["84", "(94)", "90"]);
  });
});

test("the rungs that a plan keeps are the same rungs again, of every school", () => {
  for (const name of SCHOOL_NAMES) {
    const ladder = aLadder({ name, numbers: initialNumbers(name) }, 60, 90, { rest: 5 });
    const rungs = staircase(ladder, where(60, { again: true }));
    const kept = JSON.parse(JSON.stringify(storedRungs(rungs, ladder))) as never;
    expect(rungsFrom(kept, ladder)).toEqual(rungs);
  }
});

describe("what leads out of the playable tempi is refused with a sentence", () => {
  const refused = (name: string, numbers: object, start: number, target: number) => {
    const result = checkedStaircase(aLadder({ name, numbers }, start, target), where(start));
    return result.ok ? undefined : result.error;
  };

  test("a comfort span below 10 bpm", () => {
    const span = { step: 6, steps: 2, hold: 60 };
    expect(refused("comfort-span", span, 20, 90)).toEqual({
      field: "start",
      sentence: "2 steps of 6 bpm from 20 lead to 8 bpm; 10 is the slowest.",
    });
    expect(refused("comfort-span", span, 22, 90)).toBeUndefined();
  });

  test("forward and back without room to overshoot", () => {
    const numbers = { by: "bpm", unit: 5, up: 3, down: 1 };
    expect(refused("forward-back", numbers, 300, 395)?.sentence).toMatch(/no room to overshoot/);
    expect(refused("forward-back", numbers, 300, 390)).toBeUndefined();
  });
});
