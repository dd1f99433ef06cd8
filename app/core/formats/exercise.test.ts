import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { compassOf, exerciseIn, midiOf, RHYTHMS, type Recipe } from "~/core/exercise";
import { compare, fraction, sum } from "~/core/units";
import { exerciseFile } from ".";

const TOLD = {
  title: "Scale",
  composer: "",
  part: "Violin",
  mark: { unit: "quarter", bpm: 72 },
} as const;

test("an exercise goes through notation and comes out with its bars, notes, key and pitches", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...RHYTHMS),
      fc.constantFrom("violin", "harp", "trombone", "clarinet", "guitar"),
      fc.constantFrom("C" as const, "A" as const, "F" as const),
      fc.integer({ min: 1, max: 2 }),
      fc.constantFrom("up" as const, "up-down" as const),
      (rhythm, instrument, letter, octaves, direction) => {
        const recipe: Recipe = {
          pattern: { kind: "scale", scale: "melodic-minor", octaves },
          direction,
          rhythm,
          words: "legato",
          ...compassOf(instrument),
        };
        const music = exerciseIn(recipe, { letter, accidental: 0 });
        if (!music.ok) return;
        const file = exerciseFile(music.value, recipe, TOLD);
        if (!file.ok) throw new Error(file.error);
        const { score, notes } = file.value;
        const { staves, fifths, minor } = music.value;
        expect(score.unread).toEqual([]);
        expect(score.pickup).toBe(false);
        expect(score.bars[0]).toMatchObject({ fifths, minor, length: [1, 1] });
        expect(score.tempi[0]).toMatchObject({ unit: "quarter", bpm: 72, words: "legato" });
        const written = staves.flatMap((bars) => bars.flat().flatMap(({ pitches }) => pitches));
        // A note held over beats may be written as two that are tied.
        const begun = notes.flat().filter(({ tiedFrom }) => !tiedFrom);
        expect(begun).toHaveLength(written.length);
        for (const bar of notes) {
          for (const { onset, duration } of bar) {
            expect(compare(sum(onset, duration), fraction(1))).toBeLessThanOrEqual(0);
          }
        }
        const [first] = begun;
        const { letter: named, alter, octave } = written[0]!;
        const sounding = midiOf(written[0]!) + music.value.sounds;
        expect(first).toMatchObject({ letter: named, alter, octave, midi: sounding });
      },
    ),
  );
});
