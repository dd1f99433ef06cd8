import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { worthAMark, type PassageAfter } from "./index";

const passage = (change: Partial<PassageAfter>): PassageAfter => ({
  title: "Chandlery Reel",
  target: 120,
  reached: undefined,
  before: undefined,
  plays: 6,
  clean: 4,
  goal: undefined,
  newlySafe: false,
  ...change,
});
const kinds = (change: Partial<PassageAfter>) =>
  worthAMark([passage(change)], new Set(), "2026-05-04").map(({ kind }) => kind);

describe("what deserves a mark after a session", () => {
  test("only what really moved", () => {
    expect(kinds({})).toEqual([]);
    expect(kinds({ reached: 96, before: 96 })).toEqual([]);
    expect(kinds({ reached: 100, before: 96 })).toEqual(["ceiling"]);
    expect(kinds({ reached: 92, before: 84 })).toEqual(["three-quarters"]);
    expect(kinds({ reached: 120, before: 84 })).toEqual(["target"]);
    expect(kinds({ reached: 100, before: 96, goal: 98 })).toEqual(["week-goal"]);
    expect(kinds({ reached: 100, before: 100, clean: 6 })).toEqual(["first-try"]);
    expect(kinds({ reached: 120, before: 120, newlySafe: true })).toEqual(["safe"]);
  });

  test("no tempo is told that was not passed", () => {
    const tempo = fc.integer({ min: 20, max: 240 });
    const some = fc.option(tempo, { nil: undefined });
    fc.assert(
      fc.property(tempo, some, some, some, (target, reached, before, goal) => {
        const [mark] = worthAMark(
          [passage({ target, reached, before, goal })],
          new Set(),
          "2026-05-04",
        );
        const told = !mark
          ? []
          : "tempo" in mark
            ? [mark.tempo]
            : "to" in mark
              ? [mark.from, mark.to]
              : [];
        for (const each of told) expect([reached, before]).toContain(each);
      }),
    );
  });

  test("three days in a row, not two, and not with a day between", () => {
    const days = (all: string[]) => worthAMark([], new Set(all), "2026-05-04");
    expect(days(["2026-05-03", "2026-05-04"])).toEqual([]);
    expect(days(["2026-05-01", "2026-05-03", "2026-05-04"])).toEqual([]);
    expect(days(["2026-05-02", "2026-05-03", "2026-05-04"])).toEqual([
      { kind: "days-in-a-row", days: 3 },
    ]);
  });
});
