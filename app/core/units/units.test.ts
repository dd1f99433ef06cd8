import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import {
  addDays,
  dayOf,
  daysBetween,
  isTimeZone,
  momentOf,
  weekdayOf,
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

const DAY_MS = 86_400_000;

describe("days and zones, on every day of the year, daylight saving or not", () => {
  const zone = fc.constantFrom(...Intl.supportedValuesOf("timeZone"));
  const day = fc.integer({ min: 0, max: 40 * 365 }).map((days) => addDays("1995-01-01", days));
  const time = fc
    .tuple(fc.integer({ min: 0, max: 23 }), fc.integer({ min: 0, max: 59 }))
    .map((parts) => parts.map((part) => String(part).padStart(2, "0")).join(":"));
  // Two islands' days that never were: they moved across the date line.
  const NEVER = ["Pacific/Apia 2011-12-30", "Pacific/Fakaofo 2011-12-30"];
  const shown = (at: number, timeZone: string) =>
    new Date(at).toLocaleString("sv-SE", { timeZone, dateStyle: "short", timeStyle: "short" });

  test("a day's moment falls on that day, and its clock shows the time or as much later as is skipped", () => {
    fc.assert(
      fc.property(zone, day, time, (timeZone, on, clock) => {
        fc.pre(!NEVER.includes(`${timeZone} ${on}`));
        const at = momentOf(on, clock, timeZone);
        const told = shown(at, timeZone);
        expect(told >= `${on} ${clock}`).toBe(true);
        const wanted = Date.parse(`${on}T${clock}:00Z`);
        const exists = [-DAY_MS, DAY_MS].some((away) => {
          const offset = Date.parse(`${shown(wanted + away, timeZone).replace(" ", "T")}:00Z`);
          return shown(wanted - (offset - wanted - away), timeZone) === `${on} ${clock}`;
        });
        if (exists) expect(told).toBe(`${on} ${clock}`);
      }),
      { numRuns: 400 },
    );
  });

  test("the day of any moment is what a calendar there shows", () => {
    const moment = fc.integer({ min: Date.UTC(1995, 0), max: Date.UTC(2035, 0) });
    fc.assert(
      fc.property(zone, moment, (timeZone, at) => {
        expect(dayOf(at, timeZone)).toBe(shown(at, timeZone).slice(0, 10));
      }),
      { numRuns: 400 },
    );
  });

  test("days forward and back are the same day, and one day is the next weekday", () => {
    fc.assert(
      fc.property(day, fc.integer({ min: -4000, max: 4000 }), (on, days) => {
        expect(daysBetween(on, addDays(on, days))).toBe(days);
        expect(addDays(addDays(on, days), -days)).toBe(on);
        expect(weekdayOf(addDays(on, days))).toBe((((weekdayOf(on) + days) % 7) + 7) % 7);
      }),
    );
  });

  test("what is no zone is told apart", () => {
    expect(["Europe/Vienna", "UTC", "Mars/Olympus", ""].map(isTimeZone)).toEqual([
      true,
      true,
      false,
      false,
    ]);
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
