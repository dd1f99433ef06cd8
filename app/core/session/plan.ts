import * as v from "valibot";
import {
  ladderSchema,
  type Rung,
  RULES_NOW,
  rungsToday,
  storedRungs,
  storedRungSchema,
} from "~/core/ladder";
import {
  BEAT_UNIT_NAMES,
  barTempoSchema,
  bpm,
  metreSchema,
  nearestPlayable,
  TEMPO_LIMITS,
} from "~/core/units";
import { paceSchema } from "./pace";
import { partsAreWhole, partSchema } from "./parts";
import { whereOf } from "./where";

const wholeNumber = v.pipe(v.number(), v.integer(), v.minValue(0));

/**
 * What happens when the breather ends without a verdict. Never a silent "clean". `uncounted`: go on,
 * and leave the play out of the count; only where plays follow each other in time.
 */
export const NO_VERDICT_CHOICES = ["wait", "again", "uncounted"] as const;
export type NoVerdict = (typeof NO_VERDICT_CHOICES)[number];

const bars = v.array(
  v.object({
    number: wholeNumber,
    metre: metreSchema,
    /** How it goes where that is not simply the tempo of the passage. */
    tempo: v.optional(barTempoSchema),
  }),
);

/** A passage as it is to be played, before its ladder is unrolled. */
export const rolledBlockSchema = v.object({
  passageId: v.pipe(v.string(), v.uuid()),
  pieceTitle: v.string(),
  /** The passage's own name; empty when it has none. */
  passageName: v.string(),
  focus: v.string(),
  fromBar: wholeNumber,
  toBar: wholeNumber,
  pickupBeats: wholeNumber,
  /** Beats of the first bar that are left out. */
  startBeats: v.optional(wholeNumber, 0),
  endBeats: wholeNumber,
  /** The numbers of its bars in the order in which they are played, where it has repeats; else none. */
  order: v.optional(v.array(wholeNumber), []),
  bars: v.pipe(bars, v.minLength(1)),
  /** The bars before and after the passage, in reading order. */
  around: v.optional(v.object({ before: bars, after: bars }), { before: [], after: [] }),
  beatUnit: v.picklist(BEAT_UNIT_NAMES),
  /** The regions it goes over, with their full tempi, where its ladder climbs in percent of them. */
  tempi: v.optional(
    v.array(v.object({ fromBar: wholeNumber, unit: v.picklist(BEAT_UNIT_NAMES), bpm: v.number() })),
  ),
  ladder: ladderSchema,
  /** How much of the passage the ladder is for; below 1 where it names a part of its bars. */
  shareOfPassage: v.optional(v.pipe(v.number(), v.minValue(0), v.maxValue(1)), 1),
  /** Today's start, by the ladder's start rule. */
  start: v.pipe(
    v.number(),
    v.minValue(TEMPO_LIMITS.lowest),
    v.maxValue(TEMPO_LIMITS.highest),
    v.transform(bpm),
  ),
  /** Where in the row of phases and stages an earlier day has come to. */
  place: v.optional(v.object({ phase: wholeNumber, stage: wholeNumber }), { phase: 0, stage: 0 }),
  /** It was practised on an earlier day. */
  again: v.optional(v.boolean(), false),
  /** Tempi that were passed on earlier days, on what today begins with. */
  passedTempi: v.optional(v.array(v.number()), []),
  /** The estimated comfortable tempo when the session was opened. */
  comfortable: v.optional(v.nullable(v.number()), null),
  /** The ceiling when the session was opened. */
  ceiling: v.optional(v.nullable(v.number()), null),
  /** Count-in and breather as the player set them on an earlier day. */
  pace: v.optional(paceSchema),
});
export type RolledBlock = v.InferOutput<typeof rolledBlockSchema>;

const blockSchema = v.object({
  ...rolledBlockSchema.entries,
  /** The rungs that it was opened with. */
  rungs: v.pipe(v.array(storedRungSchema), v.minLength(1)),
});

/** The form of a plan as it is stored. */
const PLAN_VERSION = 2;

/** What a session is going to be; fixed when it is opened, so that replaying it never changes. */
export const sessionPlanSchema = v.pipe(
  v.object({
    version: v.literal(PLAN_VERSION),
    /** The rules it was opened under; what was played never changes when rules do. */
    rules: v.literal(RULES_NOW),
    noVerdict: v.picklist(NO_VERDICT_CHOICES),
    /** None in a session of tasks alone. */
    blocks: v.array(blockSchema),
    /** The first after a lesson: the teacher's words, and what the week asks. */
    opening: v.optional(v.object({ word: v.string(), asks: v.array(v.string()) })),
    /** The first after a stop for pain: short, easy and slow. */
    easyAgain: v.optional(v.boolean(), false),
    /** Blocks and tasks in their order; without it the blocks one after the other. */
    parts: v.optional(v.pipe(v.array(partSchema), v.minLength(1))),
  }),
  v.check(
    ({ blocks, parts }) => blocks.length > 0 || parts !== undefined,
    "A session has at least one part.",
  ),
  v.check(
    (plan) => partsAreWhole(plan),
    "The parts of a session are its blocks, in their order, and tasks.",
  ),
);

export type SessionPlan = v.InferOutput<typeof sessionPlanSchema>;
export type Block = SessionPlan["blocks"][number];

/** After pain nothing goes beyond where the day would have begun. */
const onlyEasy = (rungs: readonly Rung[], most: number): readonly Rung[] => {
  const easy = rungs.filter(({ tempo }) => tempo <= most);
  return easy.length > 0 ? easy : rungs.slice(0, 1);
};

interface PlanInputs extends Pick<SessionPlan, "noVerdict" | "parts" | "opening"> {
  readonly blocks: readonly RolledBlock[];
  readonly easyAgain?: boolean;
}

/** Of a day's start, after a stop for pain. */
const EASY_START = 0.7;

/** Where a block begins and what it goes through; after a stop for pain lower, and no higher than usual. */
export function stairsOf(usual: RolledBlock, easyAgain: boolean) {
  const { ladder, comfortable } = usual;
  const start = easyAgain ? nearestPlayable(usual.start * EASY_START) : usual.start;
  const block = { ...usual, start };
  const rungs = rungsToday(ladder, whereOf(block), comfortable ?? undefined);
  return { block, rungs: easyAgain ? onlyEasy(rungs, usual.start) : rungs };
}

/** Fixes what a session is going to be, by the rules of today. */
export const planOf = ({
  noVerdict,
  blocks,
  parts,
  opening,
  easyAgain = false,
}: PlanInputs): SessionPlan => ({
  version: PLAN_VERSION,
  rules: RULES_NOW,
  noVerdict,
  easyAgain,
  ...(opening ? { opening } : {}),
  blocks: blocks.map((usual) => {
    const { block, rungs } = stairsOf(usual, easyAgain);
    return { ...block, rungs: storedRungs(rungs, usual.ladder) };
  }),
  ...(parts ? { parts } : {}),
});
