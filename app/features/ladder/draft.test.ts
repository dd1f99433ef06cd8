import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { SCHOOL_NAMES } from "~/core/ladder";
import { check, firstDraft, initialNumbers } from "./draft";

describe("a ladder while it is drawn", () => {
  test("the first draft is a good ladder for any tempo mark and any comfortable tempo", () => {
    const tempo = fc.integer({ min: 10, max: 400 });
    fc.assert(
      fc.property(
        tempo,
        fc.option(fc.double({ min: 10, max: 400, noNaN: true })),
        (mark, comfort) => {
          expect(check(firstDraft(mark, comfort)).ok).toBe(true);
        },
      ),
    );
  });

  test("every school begins with numbers that it accepts", () => {
    for (const name of SCHOOL_NAMES) {
      const school = { name, numbers: initialNumbers(name) };
      expect(check({ ...firstDraft(96, null), school }).ok).toBe(true);
    }
  });

  test("a number that is missing is told at its field", () => {
    const checked = check({ ...firstDraft(96, null), start: NaN });
    expect(checked.ok ? [] : Object.keys(checked.errors)).toEqual(["start"]);
  });
});
