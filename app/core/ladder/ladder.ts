import * as v from "valibot";
import { gateSchema } from "~/core/gate";
import { bpm, MOST_CLICKS_A_MINUTE, TEMPO_LIMITS, type Bpm } from "~/core/units";
import { numberBetween } from "./number-schema";
import { chosenSchoolSchema, tempiOf } from "./registry";
import { startRuleSchema } from "./start-rule";

const playable = v.pipe(
  numberBetween(TEMPO_LIMITS.lowest, TEMPO_LIMITS.highest, "bpm"),
  v.transform(bpm),
);
const whole = (min: number, max: number, unit: string) =>
  v.pipe(numberBetween(min, max, unit), v.integer("Give a whole number."));

/** A school with its numbers, start, target and gate: what a teacher sets for a passage. */
export const ladderSchema = v.pipe(
  v.object({
    school: chosenSchoolSchema,
    start: v.pipe(playable, v.integer("The start is a whole number of bpm.")),
    target: v.pipe(playable, v.integer("The target is a whole number of bpm.")),
    startRule: startRuleSchema,
    gate: gateSchema,
    /** After so many flawed plays on one rung the stand offers another way; default 4, 1–20. */
    offerAfter: whole(1, 20, "plays"),
    /** Rest between rungs in seconds; default 0, 0–600. */
    rest: whole(0, 600, "seconds"),
    /** Minutes meant for it in a day; default 10, 1–240. */
    minutes: whole(1, 240, "minutes"),
    /** The number is concealed until the end. */
    hidden: v.boolean(),
    countInBars: whole(1, 2, "bars"),
    /** Clicks per beat; default 1, 1–8. */
    subdivision: whole(1, 8, "clicks"),
  }),
  v.forward(
    v.check(
      ({ start, target }) => target >= start,
      "The target lies below the start: a ladder goes up.",
    ),
    ["target"],
  ),
  v.forward(
    v.check(
      ({ target, subdivision }) => target * subdivision <= MOST_CLICKS_A_MINUTE,
      ({ input }) =>
        `At ${input.target} bpm, ${input.subdivision} clicks a beat are ${input.target * input.subdivision} a minute; ${MOST_CLICKS_A_MINUTE} is the most.`,
    ),
    ["subdivision"],
  ),
);

export type Ladder = v.InferOutput<typeof ladderSchema>;

/** One step of the ladder. */
export interface Rung {
  readonly index: number;
  readonly tempo: Bpm;
}

/** The rungs from a start (today's, or the ladder's own) up to the target, lazily. */
export function* unroll(
  ladder: Pick<Ladder, "school" | "target">,
  start: Bpm,
): Generator<Rung, void> {
  let index = 0;
  for (const tempo of tempiOf(ladder.school, { start, target: ladder.target })) {
    yield { index: index++, tempo };
  }
}

/** The whole staircase at once. */
export const staircase = (ladder: Pick<Ladder, "school" | "target">, start: Bpm): Rung[] => [
  ...unroll(ladder, start),
];

/**
 * Live stepping up: the first rung faster than what was just played, so that a tempo nudged by
 * hand finds its way back onto the staircase. Undefined when the top was reached.
 */
export const rungAbove = (rungs: readonly Rung[], played: Bpm): Rung | undefined =>
  rungs.find(({ tempo }) => tempo > played);

/** Live stepping down: `steps` rungs below the tempo just played; the bottom rung holds. */
export function rungBelow(rungs: readonly Rung[], played: Bpm, steps: number): Rung | undefined {
  const below = rungs.findLastIndex(({ tempo }) => tempo < played);
  return rungs[Math.max(0, below - steps + 1)];
}
