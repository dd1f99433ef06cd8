import { describe, expect, test } from "@jest/globals";
import * as v from "valibot";
import { bpm, formatMetre, parseMetre } from "~/core/units";
import { barsOf, metreAt, passageRangeOf, pieceShapeSchema, stateHeld } from ".";

const metre = (text: string) => parseMetre(text)!;
const shape = {
  bars: 24,
  pickupBeats: 1,
  metres: [
    { fromBar: 1, metre: metre("3/4") },
    { fromBar: 17, metre: metre("2/4") },
  ],
  markBpm: 96,
  markUnit: "quarter",
};
const fields = (schema: v.GenericSchema, value: unknown) => {
  const read = v.safeParse(schema, value);
  return read.success ? [] : Object.keys(v.flatten(read.issues).nested ?? {});
};

describe("a metre as it is written", () => {
  test("reading and writing are inverse", () => {
    for (const text of ["3/4", "6/8", "2+2+3/8", "8/4", "5/8"]) {
      expect(formatMetre(metre(text))).toBe(text);
    }
  });

  test("what is no metre is not read as one", () => {
    for (const text of ["", "3", "3/5", "0/4", "33/4", "2+/8", "<b>3/4</b>"]) {
      expect(parseMetre(text)).toBeUndefined();
    }
  });
});

describe("a piece from outside", () => {
  test("is refused at the field that is wrong", () => {
    expect(fields(pieceShapeSchema, shape)).toEqual([]);
    expect(fields(pieceShapeSchema, { ...shape, bars: 2001 })).toEqual(["bars"]);
    expect(fields(pieceShapeSchema, { ...shape, pickupBeats: 3 })).toEqual(["pickupBeats"]);
    expect(fields(pieceShapeSchema, { ...shape, markBpm: 401 })).toEqual(["markBpm"]);
    expect(fields(pieceShapeSchema, { ...shape, bars: 12 })).toEqual(["metres"]);
  });

  test("the metre in force changes with the bars", () => {
    expect(metreAt(shape.metres, 16)).toEqual(metre("3/4"));
    expect(metreAt(shape.metres, 17)).toEqual(metre("2/4"));
    expect(metreAt(shape.metres, 0)).toEqual(metre("3/4"));
  });
});

describe("a passage from outside", () => {
  const range = { fromBar: 15, toBar: 18, pickupBeats: 0, endBeats: 0 };
  const refused = (change: object) => fields(passageRangeOf(shape), { ...range, ...change });

  test("is refused at the field that is wrong", () => {
    expect(refused({})).toEqual([]);
    expect(refused({ toBar: 14 })).toEqual(["toBar"]);
    expect(refused({ toBar: 25 })).toEqual(["toBar"]);
    expect(refused({ fromBar: 0 })).toEqual(["fromBar"]);
    expect(refused({ pickupBeats: 3 })).toEqual(["pickupBeats"]);
    expect(refused({ endBeats: 2 })).toEqual(["endBeats"]);
  });

  test("its bars carry their metres", () => {
    expect(barsOf(shape.metres, range).map(({ metre: m }) => formatMetre(m))).toEqual([
      "3/4",
      "3/4",
      "2/4",
      "2/4",
    ]);
  });
});

const sure = { comfortableLow: 98, ceilingLow: 110 };
const record = (change: object) => ({
  ...{ comfortableLow: 60, ceilingLow: 80, plays: 20, passedTempi: 4, daysAtTarget: 0 },
  ...change,
});

test("a passage's state follows its record: raw, forming, safe", () => {
  const target = bpm(100);
  const state = (change: object) => {
    return stateHeld([record(change)], undefined, 0, target);
  };
  expect(stateHeld([], undefined, 0, target)).toBe("raw");
  expect(state({})).toBe("raw");
  expect(state({ ceilingLow: 86 })).toBe("forming");
  expect(state({ ceilingLow: 86, plays: 1, passedTempi: 1 })).toBe("raw");
  expect(state({ ceilingLow: 86, plays: 3, passedTempi: 2 })).toBe("forming");
  expect(state({ ...sure, daysAtTarget: 1 })).toBe("forming");
  expect(state({ ...sure, daysAtTarget: 2 })).toBe("safe");
  expect(state({ ...sure, comfortableLow: 96, daysAtTarget: 2 })).toBe("forming");
});

test("a state moves down only after two days of practice, or after three weeks without", () => {
  const target = bpm(100);
  const safe = record({ ...sure, daysAtTarget: 2 });
  const low = record({ ceilingLow: 70 });
  expect(stateHeld([low, safe], low, 1, target)).toBe("safe");
  expect(stateHeld([low, low], low, 1, target)).toBe("raw");
  expect(stateHeld([safe, low], safe, 1, target)).toBe("safe");
  const rusty = record({ comfortableLow: 80, ceilingLow: 90, daysAtTarget: 2 });
  expect(stateHeld([safe, safe], rusty, 20, target)).toBe("safe");
  expect(stateHeld([safe, safe], rusty, 21, target)).toBe("forming");
});
