import { expect, test } from "@jest/globals";
import fc from "fast-check";
import * as v from "valibot";
import { codesOf, shorthandSchema, spelt, typedLine, USUAL_SHORTHAND } from "./shorthand";

test("a line is spelt out, its minutes read, and what is no code stays as it was typed", () => {
  const of = (line: string) => {
    const { about, minutes } = typedLine(line);
    return { text: spelt(about, USUAL_SHORTHAND), minutes };
  };
  expect(of("waltz 5-8 s m 12")).toEqual({ text: "waltz 5-8, slow, from memory", minutes: 12 });
  expect(of("  waltz   x W 8min")).toEqual({ text: "waltz x, whole", minutes: 8 });
  expect(of("s then faster")).toEqual({ text: "slow then faster", minutes: undefined });
  expect(of("12")).toEqual({ text: "", minutes: 12 });
  expect(of("0")).toEqual({ text: "0", minutes: undefined });
  expect(of("op12")).toEqual({ text: "op12", minutes: undefined });
  // Alone it is a code, in a word it is a letter.
  expect(of("scales ms")).toEqual({ text: "scales ms", minutes: undefined });
});

test("without codes nothing but blanks is changed", () => {
  const word = fc.stringMatching(/^[a-z]{1,8}$/);
  fc.assert(
    fc.property(fc.array(word), fc.option(fc.integer({ min: 1, max: 999 })), (words, minutes) => {
      const line = [...words, ...(minutes === null ? [] : [minutes])].join("  ");
      const typed = typedLine(line);
      expect(typed.minutes).toBe(minutes ?? undefined);
      expect(spelt(typed.about, [])).toBe(words.join(" "));
    }),
  );
});

test("a list of codes is read line by line; one that stands twice, or says nothing, is refused", () => {
  const read = (list: string) => v.safeParse(shorthandSchema, codesOf(list));
  expect(read("s slow\n\nhs hands separately")).toMatchObject({
    output: [
      { code: "s", means: "slow" },
      { code: "hs", means: "hands separately" },
    ],
  });
  for (const wrong of ["s", "s slow\nS soft", "12 twelve", "toolong1 x"]) {
    expect(read(wrong).success).toBe(false);
  }
  expect(read("").output).toEqual([]);
});
