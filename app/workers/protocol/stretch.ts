import * as v from "valibot";

const seconds = v.pipe(v.number(), v.finite());

/** Asks for samples drawn out or together so that each point is heard at its time. */
export const stretchRequestSchema = v.object({
  id: v.number(),
  samples: v.instance(Float32Array<ArrayBuffer>),
  rate: v.pipe(v.number(), v.minValue(8000), v.maxValue(192_000)),
  points: v.pipe(v.array(v.object({ input: seconds, output: seconds })), v.minLength(2)),
});
export type StretchRequest = v.InferOutput<typeof stretchRequestSchema>;

export const stretchAnswerSchema = v.object({
  id: v.number(),
  samples: v.instance(Float32Array<ArrayBuffer>),
});
export type StretchAnswer = v.InferOutput<typeof stretchAnswerSchema>;
