import * as v from "valibot";
import { OFFER_KINDS } from "~/core/cost";
import { ladderSchema } from "~/core/ladder";
import { BEAT_UNIT_NAMES, barTempoSchema, bpm, metreSchema } from "~/core/units";

const count = v.pipe(v.number(), v.integer(), v.minValue(0));
const bars = v.array(
  v.object({ number: count, metre: metreSchema, tempo: v.optional(barTempoSchema) }),
);
const part = v.object({ fromBar: count, toBar: count });

/** What a ladder costs: asked of the worker. */
export const costRequestSchema = v.object({
  id: count,
  ladder: ladderSchema,
  /** The passage; the part that the ladder names is taken from it. */
  block: v.object({
    fromBar: count,
    toBar: count,
    pickupBeats: count,
    startBeats: count,
    endBeats: count,
    order: v.array(count),
    beatUnit: v.picklist(BEAT_UNIT_NAMES),
    bars,
    around: v.object({ before: bars, after: bars }),
  }),
  /** From where it is climbed: its beginning, or where it stands today. */
  from: v.object({
    start: v.pipe(v.number(), v.transform(bpm)),
    place: v.object({ phase: count, stage: count }),
    /** Today's ceiling, where the record knows one. */
    ceiling: v.exactOptional(v.number()),
  }),
  /** P(clean) at every whole bpm from 10 to 400. */
  clean: v.array(v.number()),
  comfortable: v.number(),
  flawedBars: v.nullable(part),
  /** How often the climb is simulated. */
  runs: count,
  /** Whether offers are wanted too. */
  offers: v.boolean(),
});
export type CostRequest = v.InferOutput<typeof costRequestSchema>;

const rungs = v.array(v.object({ plays: v.number(), minutes: v.number() }));
const figures = {
  plays: v.number(),
  minutes: v.number(),
  minutesLow: v.number(),
  minutesHigh: v.number(),
  fits: v.number(),
};

/** What the worker tells, one after the other; `id` is that of the request. */
export const costAnswerSchema = v.variant("kind", [
  v.object({
    kind: v.literal("exact"),
    id: count,
    cost: v.object({ ...figures, rungs, exact: v.boolean() }),
    /** Per rung: whether there was a formula. */
    exactRungs: v.array(v.boolean()),
  }),
  v.object({
    kind: v.literal("simulated"),
    id: count,
    cost: v.object({ ...figures, rungs, runs: count }),
  }),
  v.object({
    kind: v.literal("offers"),
    id: count,
    offers: v.array(
      v.object({
        kind: v.picklist(OFFER_KINDS),
        ladder: ladderSchema,
        rungs: count,
        minutes: v.number(),
        fits: v.number(),
      }),
    ),
  }),
]);
export type CostAnswer = v.InferOutput<typeof costAnswerSchema>;
export type OfferTold = Extract<CostAnswer, { kind: "offers" }>["offers"][number];
