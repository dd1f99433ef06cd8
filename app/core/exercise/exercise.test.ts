import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import * as v from "valibot";
import { LETTERS, sum, NOTHING } from "~/core/units";
import {
  CHORD_NAMES,
  compassOf,
  exerciseIn,
  midiOf,
  parsePitch,
  pitchText,
  recipeSchema,
  RHYTHMS,
  SCALE_NAMES,
  tonesOfExercise,
  type Pattern,
  type Recipe,
  type Tonic,
} from ".";

const recipe = (pattern: Pattern, change: Partial<Recipe> = {}): Recipe => ({
  pattern,
  direction: "up",
  rhythm: "quarter",
  words: "",
  ...compassOf("violin"),
  ...change,
});
const scale = (name: (typeof SCALE_NAMES)[number], octaves = 1): Pattern => ({
  kind: "scale",
  scale: name,
  octaves,
});
const tonic = (letter: Tonic["letter"], accidental: Tonic["accidental"] = 0): Tonic => ({
  letter,
  accidental,
});
const notes = (one: Recipe, key: Tonic): string[] => {
  const music = exerciseIn(one, key);
  if (!music.ok) throw new Error(music.error);
  return music.value.staves[0]!.flat().map(({ pitches }) => pitches.map(pitchText).join("+"));
};

describe("what else an exercise can be", () => {
  test("a typed scale, with the signature of its third; a scale with its chord after it", () => {
    const typed = (text: string): Recipe["row"] =>
      text.split(" ").map((each) => ({
        degree: Number(each.at(-1)),
        alter: each.startsWith("b") ? -1 : each.startsWith("#") ? 1 : 0,
      }));
    const own: Pattern = { kind: "scale", scale: "typed", octaves: 1 };
    const row = typed("1 b2 3 4 5 b6 b7");
    expect(notes(recipe(own, { row }), tonic("E")).join(" ")).toBe("E4 F4 G♯4 A4 B4 C5 D5 E5");
    const music = exerciseIn(recipe(own, { row: typed("1 2 b3 #4 5") }), tonic("A"));
    expect(music).toMatchObject({ ok: true, value: { minor: true, fifths: 0 } });
    const both = recipe({ ...own, scale: "natural-minor", arpeggio: true });
    expect(notes(both, tonic("A")).slice(8).join(" ")).toBe("A3 C4 E4 A4");
    const bad = [typed("1 3 2"), typed("2 3 4"), typed("1"), [{ degree: 9, alter: 0 as const }]];
    for (const each of bad) {
      expect(v.safeParse(recipeSchema, recipe(own, { row: each })).success).toBe(false);
    }
  });

  test("repeated notes, shifts, strokes by hand, and the rhythms one after the other", () => {
    const repeated: Pattern = { kind: "repeated", scale: "major", octaves: 1, times: 3 };
    expect(notes(recipe(repeated), tonic("G")).slice(0, 6).join(" ")).toBe("G3 G3 G3 A3 A3 A3");
    const shifts: Pattern = { kind: "shifts", scale: "major", reach: 4 };
    expect(notes(recipe(shifts), tonic("G")).join(" ")).toBe("G3 A3 G3 B3 G3 C4");
    const hands: Pattern = { kind: "sticking", hands: ["R", "L", "L"], times: 2 };
    const struck = exerciseIn(recipe(hands), tonic("C"));
    if (!struck.ok) throw new Error(struck.error);
    expect(struck.value).toMatchObject({ struck: true, fifths: 0 });
    expect(
      struck.value.staves[0]!.flat()
        .map(({ hand }) => hand)
        .join(""),
    ).toBe("RLLRLL");
    const rungs = exerciseIn(recipe(scale("major"), { rhythm: "ladder" }), tonic("C"));
    if (!rungs.ok) throw new Error(rungs.error);
    const bars = rungs.value.staves[0]!;
    // Eight notes in whole notes, halves, quarters, eighths, triplets and sixteenths.
    expect(bars).toHaveLength(8 + 4 + 2 + 1 + 1 + 1);
  });
});

test("as tones each note follows the one before, at its tempo", () => {
  const music = exerciseIn(recipe(scale("major"), { rhythm: "eighth" }), tonic("G"));
  if (!music.ok) throw new Error(music.error);
  const tones = tonesOfExercise(music.value, 120);
  expect(tones.map(({ at }) => at)).toEqual([0, 1, 2, 3, 4, 5, 6, 7].map((n) => n / 4));
  expect(tones[0]).toEqual({ at: 0, seconds: 0.25, midi: 55 });
  const trumpet = exerciseIn(recipe(scale("major"), compassOf("trumpet")), tonic("G"));
  if (!trumpet.ok) throw new Error(trumpet.error);
  // Written G3 on an instrument in B♭ sounds F3.
  expect(tonesOfExercise(trumpet.value, 120)[0]!.midi).toBe(53);
});

describe("exercises are spelled as they are written by hand", () => {
  test("scales", () => {
    expect(notes(recipe(scale("major")), tonic("A", -1)).join(" ")).toBe(
      "A♭3 B♭3 C4 D♭4 E♭4 F4 G4 A♭4",
    );
    expect(notes(recipe(scale("harmonic-minor")), tonic("G", 1)).join(" ")).toBe(
      "G♯3 A♯3 B3 C♯4 D♯4 E4 F𝄪4 G♯4",
    );
    const melodic = recipe(scale("melodic-minor"), { direction: "up-down" });
    expect(notes(melodic, tonic("D")).join(" ")).toBe(
      "D4 E4 F4 G4 A4 B4 C♯5 D5 C5 B♭4 A4 G4 F4 E4 D4",
    );
    expect(notes(recipe(scale("blues")), tonic("A")).join(" ")).toBe("A3 C4 D4 E♭4 E4 G4 A4");
  });

  test("chords, intervals and figures", () => {
    const chord = { kind: "arpeggio", chord: "dominant-7", octaves: 1, inversion: 1 } as const;
    expect(notes(recipe({ ...chord, form: "straight" }), tonic("C")).join(" ")).toBe(
      "E4 G4 B♭4 C5 E5",
    );
    expect(notes(recipe({ ...chord, form: "blocked", inversion: 0 }), tonic("G")).join(" ")).toBe(
      "G3+B3+D4+F4 B3+D4+F4+G4",
    );
    const thirds = { kind: "intervals", scale: "major", octaves: 1, interval: 3 } as const;
    expect(
      notes(recipe({ ...thirds, together: false }), tonic("G"))
        .slice(0, 4)
        .join(" "),
    ).toBe("G3 B3 A3 C4");
    const figure = { kind: "degrees", scale: "major", octaves: 1, figure: [1, 2, 3, 1] } as const;
    expect(notes(recipe({ ...figure, figure: [...figure.figure] }), tonic("G")).join(" ")).toMatch(
      /^G3 A3 B3 G3 A3 B3 C4 A3/,
    );
  });
});

describe("any exercise in any key", () => {
  const pattern: fc.Arbitrary<Pattern> = fc.oneof(
    fc.record({
      kind: fc.constant("scale" as const),
      scale: fc.constantFrom(...SCALE_NAMES),
      octaves: fc.integer({ min: 1, max: 3 }),
    }),
    fc.record({
      kind: fc.constant("arpeggio" as const),
      chord: fc.constantFrom(...CHORD_NAMES),
      octaves: fc.integer({ min: 1, max: 3 }),
      form: fc.constantFrom("straight" as const, "broken" as const, "blocked" as const),
      inversion: fc.integer({ min: 0, max: 3 }),
    }),
    fc.record({
      kind: fc.constant("intervals" as const),
      scale: fc.constantFrom(...SCALE_NAMES),
      octaves: fc.integer({ min: 1, max: 2 }),
      interval: fc.integer({ min: 2, max: 6 }),
      together: fc.boolean(),
    }),
  );
  test("lies in its compass, fills its bars, or says in a sentence why not", () => {
    fc.assert(
      fc.property(
        pattern,
        fc.constantFrom(...LETTERS),
        fc.constantFrom(-1 as const, 0 as const, 1 as const),
        fc.constantFrom(...RHYTHMS),
        fc.constantFrom("up" as const, "down" as const, "up-down" as const),
        (what, letter, accidental, rhythm, direction) => {
          const one = recipe(what, { rhythm, direction });
          const made = exerciseIn(one, { letter, accidental });
          if (!made.ok) return expect(made.error).toMatch(/\.$/);
          const bars = made.value.staves[0]!;
          const [low, high] = [parsePitch(one.lowest)!, parsePitch(one.highest)!].map(midiOf);
          for (const { pitches } of bars.flat()) {
            for (const pitch of pitches) {
              expect(midiOf(pitch)).toBeGreaterThanOrEqual(low!);
              expect(midiOf(pitch)).toBeLessThanOrEqual(high!);
            }
          }
          // Each rung of the rhythm ladder may end in rests, as the last bar may.
          for (const bar of rhythm === "ladder" ? [] : bars.slice(0, -1)) {
            expect(bar.reduce((all, { duration }) => sum(all, duration), NOTHING)).toEqual([1, 1]);
          }
          expect(Math.abs(made.value.fifths)).toBeLessThanOrEqual(7);
        },
      ),
    );
  });

  test("keys of more than seven signs, too many octaves and no compass are refused", () => {
    const refused = (one: Recipe, key: Tonic) => {
      const made = exerciseIn(one, key);
      return made.ok ? "" : made.error;
    };
    expect(refused(recipe(scale("major")), tonic("D", 1))).toMatch(/9 sharps/);
    expect(refused(recipe(scale("major", 5)), tonic("C"))).toMatch(/compass ends at E7/);
    expect(refused(recipe(scale("major"), { lowest: "C5", highest: "C4" }), tonic("C"))).toMatch(
      /lowest note up/,
    );
    expect(v.safeParse(recipeSchema, recipe(scale("major", 40))).success).toBe(false);
  });

  test("pitches are read as they are written", () => {
    for (const text of ["B♭3", "F♯5", "C4"]) expect(pitchText(parsePitch(text)!)).toBe(text);
    expect(parsePitch("H2")).toBeUndefined();
  });
});
