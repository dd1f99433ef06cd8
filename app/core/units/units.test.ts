import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import {
  momentOf,
  BEAT_UNIT_NAMES,
  beats,
  bpm,
  convertTempo,
  markFrom,
  METRONOME_MARKS,
  notesPerSecond,
  secondsPerBar,
  tempo,
  wholeBpm,
} from ".";

describe("tempo", () => {
  test("a tempo outside 10–400 is refused with the value in the sentence", () => {
    for (const value of [9.99, 400.01, -3, 0]) {
      const result = tempo(value);
      expect(result.ok).toBe(false);
      if (!result.ok) expect(result.error.sentence).toContain(String(value));
    }
    expect(tempo(NaN).ok).toBe(false);
    expect(tempo(10).ok && tempo(400).ok).toBe(true);
  });

  test("halves round up", () => {
    expect(wholeBpm(52.5)).toBe(53);
    expect(wholeBpm(52.49)).toBe(52);
  });

  test("a bar of four at 120 lasts two seconds", () => {
    expect(secondsPerBar(beats(4), bpm(120))).toBe(2);
    expect(notesPerSecond(bpm(90), 4)).toBe(6);
  });
});

describe("beat units", () => {
  test("dotted quarter = 60 is eighth = 180 and quarter = 90", () => {
    expect(convertTempo(bpm(60), "dotted-quarter", "eighth")).toBe(180);
    expect(convertTempo(bpm(60), "dotted-quarter", "quarter")).toBe(90);
  });

  test("there and back is the same tempo", () => {
    const unit = fc.constantFrom(...BEAT_UNIT_NAMES);
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 400 }), unit, unit, (value, from, to) => {
        const there = convertTempo(bpm(value), from, to);
        expect(convertTempo(there, to, from)).toBeCloseTo(value, 9);
      }),
    );
  });
});

describe("metronome marks", () => {
  test("between 60 and 144 they are the traditional ones", () => {
    const between = METRONOME_MARKS.filter((mark) => mark >= 60 && mark <= 144);
    expect(between).toEqual([
      60, 63, 66, 69, 72, 76, 80, 84, 88, 92, 96, 100, 104, 108, 112, 116, 120, 126, 132, 138, 144,
    ]);
  });

  test("they run from 10 to 400, by 2 at the bottom and by 8 at the top", () => {
    expect(METRONOME_MARKS.slice(0, 3)).toEqual([10, 12, 14]);
    expect(METRONOME_MARKS.slice(-2)).toEqual([392, 400]);
  });

  test("one up and one down from a mark is that mark; the ends hold", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: METRONOME_MARKS.length - 2 }), (index) => {
        const mark = METRONOME_MARKS[index]!;
        expect(markFrom(markFrom(mark, 1), -1)).toBe(mark);
      }),
    );
    expect(markFrom(bpm(400), 1)).toBe(400);
    expect(markFrom(bpm(10), -3)).toBe(10);
    expect(markFrom(bpm(61), 1)).toBe(63);
    expect(markFrom(bpm(61), -1)).toBe(60);
  });
});

test("a time that is skipped when the clocks go forward is as much later", () => {
  const told = (day: string, time: string, timeZone: string) =>
    new Date(momentOf(day, time, timeZone)).toLocaleTimeString("sv-SE", {
      timeZone,
      timeStyle: "short",
    });
  expect(told("2026-03-08", "02:30", "America/New_York")).toBe("03:30");
  expect(told("2026-03-29", "01:30", "Europe/London")).toBe("02:30");
  expect(told("2026-03-08", "03:30", "America/New_York")).toBe("03:30");
  expect(told("2026-11-01", "01:30", "America/New_York")).toBe("01:30");
});
