import * as v from "valibot";

/** What the parser gives of an ABC file, as far as it is used here. */
const count = v.number();
const slurs = v.optional(v.array(v.unknown()));
const accidental = v.optional(v.string());

const pitchSchema = v.object({
  pitch: count,
  accidental,
  startTie: v.optional(v.unknown()),
  startSlur: slurs,
  endSlur: slurs,
});

const keySchema = v.object({
  root: v.optional(v.string()),
  acc: v.optional(v.string()),
  mode: v.optional(v.string()),
  accidentals: v.optional(v.array(v.object({ acc: v.string(), note: v.string() }))),
});
const meterSchema = v.object({
  type: v.string(),
  value: v.optional(v.array(v.object({ num: v.string(), den: v.optional(v.string()) }))),
});
const tempoSchema = v.object({
  duration: v.optional(v.array(v.number())),
  bpm: v.optional(v.number()),
  preString: v.optional(v.string()),
  postString: v.optional(v.string()),
});
const clefSchema = v.object({ type: v.optional(v.string()) });

const elementSchema = v.variant("el_type", [
  v.object({
    el_type: v.literal("note"),
    duration: count,
    pitches: v.optional(v.array(pitchSchema)),
    rest: v.optional(v.object({ type: v.string(), text: v.optional(v.unknown()) })),
    gracenotes: v.optional(v.array(v.object({ pitch: count, accidental }))),
    startTriplet: v.optional(count),
    tripletMultiplier: v.optional(count),
    endTriplet: v.optional(v.unknown()),
    startSlur: slurs,
    endSlur: slurs,
  }),
  v.object({
    el_type: v.literal("bar"),
    type: v.string(),
    startEnding: v.optional(v.unknown()),
    endEnding: v.optional(v.unknown()),
  }),
  v.object({ el_type: v.literal("key"), ...keySchema.entries }),
  v.object({ el_type: v.literal("meter"), ...meterSchema.entries }),
  v.object({ el_type: v.literal("clef"), ...clefSchema.entries }),
  v.object({ el_type: v.literal("tempo"), ...tempoSchema.entries }),
]);
export type AbcElement = v.InferOutput<typeof elementSchema>;
export type AbcNote = Extract<AbcElement, { el_type: "note" }>;
export type AbcBarLine = Extract<AbcElement, { el_type: "bar" }>;
export type AbcKey = v.InferOutput<typeof keySchema>;
export type AbcMeter = v.InferOutput<typeof meterSchema>;
export type AbcTempo = v.InferOutput<typeof tempoSchema>;

const staffSchema = v.object({
  clef: v.optional(clefSchema),
  key: v.optional(keySchema),
  meter: v.optional(meterSchema),
  title: v.optional(v.array(v.unknown())),
  voices: v.array(v.array(v.looseObject({ el_type: v.string() }))),
});

export const tuneSchema = v.object({
  lines: v.array(v.object({ staff: v.optional(v.array(staffSchema)) })),
  metaText: v.object({
    title: v.optional(v.unknown()),
    composer: v.optional(v.unknown()),
    tempo: v.optional(tempoSchema),
  }),
});
export type AbcTune = v.InferOutput<typeof tuneSchema>;

/** The element, if it is one that is used here. */
export function elementOf(raw: unknown): AbcElement | undefined {
  const read = v.safeParse(elementSchema, raw);
  return read.success ? read.output : undefined;
}
