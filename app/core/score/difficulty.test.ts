import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { fraction } from "~/core/units";
import { difficultyOf, PASSAGE_STATES, proposePassages, type ScoreNote } from ".";
import { aScore } from "./test/fixtures";

const note = (at: number, midi: number, change: Partial<ScoreNote> = {}): ScoreNote => ({
  part: 0,
  staff: 1,
  voice: "1",
  onset: fraction(at, 16),
  duration: fraction(1, 16),
  letter: "C",
  alter: 0,
  octave: 4,
  midi,
  grace: false,
  tiedFrom: false,
  tiedTo: false,
  slur: "none",
  ...change,
});
const hard = (bars: ScoreNote[][], bpm = 60) =>
  difficultyOf(aScore(bars.map(() => ({}))), bars, 0, { bpm, unit: "quarter" });

test("a bar is told by its notes a second, leaps, signs outside the key, lengths and hands", () => {
  const running = Array.from({ length: 16 }, (_, i) => note(i, 60 + (i % 2)));
  const leaping = [note(0, 60), note(4, 84), note(8, 60, { alter: 1 })];
  const hands = [0, 4, 8, 12].flatMap((at, i) => [
    note(at, 72 + i, { staff: 1 }),
    note(at, 48 - i, { staff: 2, voice: "2" }),
  ]);
  const [first, second, third, empty] = hard([running, leaping, hands, []]);
  expect(first).toMatchObject({ bar: 1, perSecond: 4, widestLeap: 1, outsideKey: 0 });
  expect(second).toMatchObject({ widestLeap: 24, outsideKey: 1 });
  expect(third).toMatchObject({ handsApart: true });
  expect(empty).toMatchObject({ total: 0 });
  expect(hard([running], 120)[0]!.total).toBeGreaterThan(first!.total);
});

test("every bar in trouble is proposed once, in passages of at most eight that hold their hardest", () => {
  const marks = fc.dictionary(
    fc.integer({ min: 1, max: 60 }).map(String),
    fc.constantFrom(...PASSAGE_STATES),
    { maxKeys: 60 },
  );
  fc.assert(
    fc.property(marks, (marked) => {
      const passages = [{ fromBar: 10, toBar: 12 }];
      const proposed = proposePassages(marked, { 20: 1 }, passages);
      const bars = proposed.flatMap(({ fromBar, toBar, hardestBar }) => {
        expect(toBar - fromBar).toBeLessThan(8);
        expect(hardestBar >= fromBar && hardestBar <= toBar).toBe(true);
        return Array.from({ length: toBar - fromBar + 1 }, (_, i) => fromBar + i);
      });
      const trouble = Object.keys(marked)
        .map(Number)
        .filter((bar) => marked[bar] !== "safe" && (bar < 10 || bar > 12));
      expect(bars).toEqual(trouble.sort((a, b) => a - b));
    }),
  );
});

test("what does not go is harder than what nearly goes, whatever the notes say", () => {
  expect(proposePassages({ 3: "forming", 4: "raw" }, { 3: 0.9, 4: 0.1 }, [])).toEqual([
    { fromBar: 3, toBar: 4, hardestBar: 4 },
  ]);
});
