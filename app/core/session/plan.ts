import * as v from "valibot";
import { ladderSchema } from "~/core/ladder";
import { BEAT_UNIT_NAMES, bpm, metreSchema, TEMPO_LIMITS } from "~/core/units";
import { partsAreWhole, partSchema } from "./parts";

const wholeNumber = v.pipe(v.number(), v.integer(), v.minValue(0));

/** What happens when the breather ends without a verdict. Never a silent "clean". */
export const NO_VERDICT_CHOICES = ["wait", "again"] as const;
export type NoVerdict = (typeof NO_VERDICT_CHOICES)[number];

const bars = v.array(v.object({ number: wholeNumber, metre: metreSchema }));

const blockSchema = v.object({
  passageId: v.pipe(v.string(), v.uuid()),
  pieceTitle: v.string(),
  /** The passage's own name; empty when it has none. */
  passageName: v.string(),
  focus: v.string(),
  fromBar: wholeNumber,
  toBar: wholeNumber,
  pickupBeats: wholeNumber,
  endBeats: wholeNumber,
  bars: v.pipe(bars, v.minLength(1)),
  /** The bars before and after the passage, in reading order. */
  around: v.optional(v.object({ before: bars, after: bars }), { before: [], after: [] }),
  beatUnit: v.picklist(BEAT_UNIT_NAMES),
  ladder: ladderSchema,
  /** Today's start, by the ladder's start rule. */
  start: v.pipe(
    v.number(),
    v.minValue(TEMPO_LIMITS.lowest),
    v.maxValue(TEMPO_LIMITS.highest),
    v.transform(bpm),
  ),
  /** Where in the row of phases and stages an earlier day has come to. */
  place: v.optional(v.object({ phase: wholeNumber, stage: wholeNumber }), { phase: 0, stage: 0 }),
  /** The estimated comfortable tempo when the session was opened. */
  comfortable: v.optional(v.nullable(v.number()), null),
});

/** What a session is going to be; fixed when it is opened, so that replaying it never changes. */
export const sessionPlanSchema = v.pipe(
  v.object({
    version: v.literal(1),
    noVerdict: v.picklist(NO_VERDICT_CHOICES),
    blocks: v.pipe(v.array(blockSchema), v.minLength(1)),
    /** Blocks and tasks in their order; without it the blocks one after the other. */
    parts: v.optional(v.pipe(v.array(partSchema), v.minLength(1))),
  }),
  v.check(
    (plan) => partsAreWhole(plan),
    "The parts of a session are its blocks, in their order, and tasks.",
  ),
);

export type SessionPlan = v.InferOutput<typeof sessionPlanSchema>;
export type Block = SessionPlan["blocks"][number];
