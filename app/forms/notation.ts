import * as v from "valibot";
import { err, ok, type Result } from "~/core/result";

const whole = v.pipe(v.string(), v.regex(/^\d{1,5}$/, "That is no number."), v.transform(Number));

/** What an address asks of the engraver: a width, and perhaps all parts or some of the bars. */
const engravingAskedSchema = v.pipe(
  v.object({
    width: v.pipe(
      whole,
      v.minValue(400, "That is too narrow."),
      v.maxValue(8000, "That is too wide."),
    ),
    all: v.optional(v.literal("1")),
    from: v.optional(whole),
    to: v.optional(whole),
  }),
  v.transform(({ width, all, from, to }) => ({
    width,
    allParts: all === "1",
    range: from !== undefined && to !== undefined ? { from, to } : undefined,
  })),
);

export type EngravingQuery = v.InferOutput<typeof engravingAskedSchema>;

/** Reads it, or gives the sentence of its refusal. */
export function readEngravingAsked(url: string): Result<EngravingQuery, string> {
  const read = v.safeParse(engravingAskedSchema, Object.fromEntries(new URL(url).searchParams));
  return read.success ? ok(read.output) : err(read.issues[0].message);
}
