import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import * as v from "valibot";
import { bpm, formatKey, LETTERS, MODES, parseKey, type Key } from "~/core/units";
import { ladderSchema, LADDER_DEFAULTS, rungAfter, rungBefore, staircase, wayOf } from ".";
import { aLadder, barsOf } from "./test/fixtures";

const even = { name: "even-steps", numbers: { step: 10 } };
const KEYS = { of: "keys", order: "each-rung", items: ["C", "G", "a"] };
const HANDS = {
  of: "tasks",
  order: "in-turn",
  items: [
    { name: "left hand", full: false },
    { name: "both hands", full: true },
  ],
};
const carrying = (tasks: object | null, school: { name: string; numbers: object } = even) =>
  aLadder(school, 60, 70, { phases: [{ school, start: null, target: null, tasks }] });
const rungsOf = (tasks: object, stage = 0, school = even) =>
  staircase(carrying(tasks, school), {
    start: bpm(60),
    bars: barsOf(2),
    place: { phase: 0, stage },
  });
const told = (tasks: object, stage = 0) =>
  rungsOf(tasks, stage).map(({ tempo, task }) => `${tempo} ${task?.name}`);

describe("a key", () => {
  test("is read as musicians type it", () => {
    const read = (text: string) => {
      const key = parseKey(text);
      return key && formatKey(key);
    };
    expect(["Eb", "f# minor", "B♭ major", "Am", "e", "C sharp min"].map(read)).toEqual([
      ...["E♭ major", "F♯ minor", "B♭ major", "A minor", "E minor", "C♯ minor"],
    ]);
    expect(["H", "", "Cis", "C♯♯", "minor"].map(read)).toEqual(Array(5).fill(undefined));
  });

  test("is read again from how it is written", () => {
    const key = fc.record<Key>({
      letter: fc.constantFrom(...LETTERS),
      accidental: fc.constantFrom<-1 | 0 | 1>(-1, 0, 1),
      mode: fc.constantFrom(...MODES),
    });
    fc.assert(fc.property(key, (each) => expect(parseKey(formatKey(each))).toEqual(each)));
  });
});

describe("tasks and keys besides the tempi", () => {
  test("all of them at each rung, before the next", () => {
    expect(told(KEYS)).toEqual([
      ...["60 C major", "60 G major", "60 A minor"],
      ...["70 C major", "70 G major", "70 A minor"],
    ]);
  });

  test("keys go round from where they were left; tasks that build on each other begin anew", () => {
    expect(told(KEYS, 1).slice(0, 3)).toEqual(["60 G major", "60 A minor", "60 C major"]);
    const hands = { ...HANDS, order: "each-rung" };
    expect(told(hands, 1).slice(0, 2)).toEqual(["60 left hand", "60 both hands"]);
  });

  test("one after the other, each the whole way; the next day goes on with the one that was left", () => {
    const both = ["60 both hands", "70 both hands"];
    expect(told(HANDS)).toEqual(["60 left hand", "70 left hand", ...both]);
    expect(told(HANDS, 1)).toEqual(both);
  });

  test("by turns within a rung, and only what is as it should be says something of the whole", () => {
    const rungs = rungsOf({ ...HANDS, order: "by-play" });
    expect(rungs).toHaveLength(2);
    expect(rungs[0]!.alternates?.map(({ full }) => full)).toEqual([false, true]);
    expect(rungs[0]!.task).toBeUndefined();
  });

  test("lowered, it is the same key that goes slower, and then on where the list was left", () => {
    const rungs = rungsOf(KEYS);
    const atSeventyG = rungs[4]!;
    const lower = rungBefore(rungs, atSeventyG.index, bpm(70), 1)!;
    expect(`${lower.tempo} ${lower.task!.name}`).toBe("60 G major");
    const next = rungAfter(rungs, lower.index, bpm(60), new Set([0, 1, 2, 3]))!;
    expect(next.index).toBe(atSeventyG.index);
  });

  test("a chain has an order of its own, a school that stays a list of its own", () => {
    const chain = { name: "joining", numbers: { order: "join-first", size: 1, step: 10 } };
    const stays = { name: "withdraw", numbers: { clicks: [{ name: "beats", clean: 0 }] } };
    const refused = (tasks: object, school: object) => {
      const phases = [{ school, start: null, target: null, tasks }];
      const read = v.safeParse(ladderSchema, { ...LADDER_DEFAULTS, ...carrying(null), phases });
      return read.issues?.[0].message;
    };
    expect(refused(HANDS, chain)).toMatch(/one after the other already/);
    expect(refused({ ...HANDS, order: "each-rung" }, chain)).toBeUndefined();
    expect(refused(HANDS, stays)).toMatch(/list of its own/);
    expect(refused({ ...KEYS, items: ["C", "Q"] }, even)).toMatch(/Write a key/);
  });

  test("a place in the row holds only while the list is the same", () => {
    expect(wayOf(carrying(null))).toBe("even-steps");
    expect(wayOf(carrying(KEYS))).not.toBe(wayOf(carrying(HANDS)));
  });

  test("layers can have tempi of their own", () => {
    const layers = [
      { name: "in the mind", clean: 0, tempo: 90 },
      { name: "play", clean: 0 },
    ];
    const rungs = staircase(aLadder({ name: "layers", numbers: { layers } }, 60, 80), {
      start: bpm(60),
      bars: barsOf(2),
    });
    expect(rungs.map(({ tempo }) => tempo)).toEqual([90, 80]);
  });
});
