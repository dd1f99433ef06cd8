import * as v from "valibot";
import { items, listSchema, ownWords, presets } from "../list-schema";
import { playable } from "../number-schema";
import { ownGate } from "../own-gate";
import type { School } from "../school";

const NO_TEMPO = "A tempo lies between 10 and 400 bpm; 0: the target.";

const numbers = v.object({
  layers: listSchema("List at least one layer: what is to be done first?", ownWords, {
    // 0: the target of the ladder.
    tempo: v.optional(v.union([v.literal(0), playable("tempo")], NO_TEMPO), 0),
  }),
});

const USUAL = items("count and clap", "say the note names", "finger silently", "play");

/** Layers: the same tempo, or one of their own, ever more of the task; the list is the teacher's (craft, 5.15). */
export const layers: School<v.InferOutput<typeof numbers>> = {
  numbers,
  fields: [
    {
      kind: "list",
      key: "layers",
      tempi: true,
      initial: USUAL,
      presets: presets(USUAL, {
        wind: items("count and clap", "say the note names", "finger with air only", "play plain"),
        bowed: items("count and clap", "left hand alone", "bow on open strings", "play"),
        plucked: items("count and clap", "left hand alone", "right hand alone", "together"),
        keyboard: items("right hand", "left hand", "hands together", "with pedal"),
        voice: items("speak in rhythm", "sing on one vowel", "sing the words", "from memory"),
        percussion: items("count aloud", "sticking on the knees", "hands alone", "with the feet"),
        free: items("slowly in the mind", "play plain", "play with all that belongs to it"),
      }),
    },
  ],
  tempo: "stays",
  // The last layer that was passed; before the first of them was, nothing leads in.
  leadIn({ layers: list }, stage) {
    const layer = list[Math.min(stage, list.length) - 1];
    return layer && { task: { kind: "layer", name: layer.name, full: false } };
  },
  *steps({ layers: list }, { target }) {
    for (const [stage, { name, clean, tempo: own }] of list.entries()) {
      const full = stage === list.length - 1;
      const tempo = own === 0 ? target : own;
      yield { tempo, stage, task: { kind: "layer", name, full }, ...ownGate(clean) };
    }
  },
};
