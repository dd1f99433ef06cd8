import * as v from "valibot";
import { items, listSchema, oneOf, presets } from "../list-schema";
import { ownGate } from "../own-gate";
import type { School } from "../school";

/** Notes in one beat of a quarter, by note value. */
const NOTES_PER_BEAT = {
  whole: 1 / 4,
  half: 1 / 2,
  quarter: 1,
  eighth: 2,
  triplet: 3,
  sixteenth: 4,
  sextuplet: 6,
  arpeggio: 4,
} as const;
type NoteValue = keyof typeof NOTES_PER_BEAT;
const NOTE_VALUES = Object.keys(NOTES_PER_BEAT) as [NoteValue, ...NoteValue[]];

const numbers = v.object({
  values: listSchema("List at least one note value.", oneOf(NOTE_VALUES)),
});

const USUAL = items("whole", "half", "quarter", "eighth", "triplet", "sixteenth");

/** Rhythm ladder: the tempo stays, the note values get shorter (craft, 5.13). */
export const rhythm: School<v.InferOutput<typeof numbers>> = {
  numbers,
  fields: [
    {
      kind: "list",
      key: "values",
      options: NOTE_VALUES,
      initial: USUAL,
      presets: presets(USUAL, {
        bowed: [...USUAL, ...items("arpeggio")],
        plucked: items("quarter", "eighth", "triplet", "sixteenth", "arpeggio"),
        keyboard: items("quarter", "eighth", "triplet", "sixteenth", "arpeggio"),
        voice: items("whole", "half", "quarter", "eighth", "triplet"),
        percussion: items("quarter", "eighth", "triplet", "sixteenth", "sextuplet"),
      }),
    },
  ],
  tempo: "stays",
  *steps({ values }, { target }) {
    const shortest = Math.max(...values.map(({ name }) => NOTES_PER_BEAT[name]));
    for (const [stage, { name, clean }] of values.entries()) {
      const notes = NOTES_PER_BEAT[name];
      yield {
        tempo: target,
        stage,
        task: { kind: "note-value", name, full: stage === values.length - 1 },
        ease: notes / shortest,
        ...ownGate(clean),
      };
    }
  },
};
