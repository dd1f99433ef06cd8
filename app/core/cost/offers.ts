import {
  checkedStaircase,
  datedPhase,
  fieldsOf,
  ladderSchema,
  type ChosenSchool,
  type Ladder,
  type NumberField,
  type Where,
} from "~/core/ladder";
import type { Played } from "~/core/session";
import { partOfBlock } from "./part";
import { nearestPlayable, type Bpm } from "~/core/units";
import * as v from "valibot";
import { DayClimbs } from "./by-days";
import type { Cost } from "./exact";
import { likelyCost } from "./likely";
import type { Random } from "./rung-climb";
import type { CleanAt } from "./toll";

export const OFFER_KINDS = [
  "larger-step",
  "lighter-gate",
  "smaller",
  "higher",
  "lower-target",
  "days",
] as const;
export type OfferKind = (typeof OFFER_KINDS)[number];

/** A change that would make the ladder fit better, with what it would then cost. */
export interface Offer {
  readonly kind: OfferKind;
  readonly ladder: Ladder;
  readonly cost: Cost;
}

export interface OfferInputs {
  readonly ladder: Ladder;
  readonly block: Played;
  readonly cleanAt: CleanAt;
  readonly comfortable: number;
  /** From where and from which place it is climbed; without them, from its beginning. */
  readonly from?: Pick<Where, "start" | "place" | "ceiling">;
  /** A new stream of numbers, the same each time. */
  readonly random: () => Random;
  /** The bars in which most flaws fell lately, if anyone said. */
  readonly flawedBars: { readonly fromBar: number; readonly toBar: number } | undefined;
}

/** Climbs that an offer is reckoned from: its chance within about two in a hundred. */
const RUNS = 400;
const ENOUGH = 0.6;
const WORTH_SAYING = 0.04;
const HOPELESS = 0.05;
const LONGEST_MINUTES = 60;
const MUCH_SHORTER = 0.7;
const MOST_DAYS = 30;
const LOWER_TARGETS = [0.95, 0.9, 0.85, 0.8, 0.75, 0.7, 0.65];
const STEP_FACTORS = [1.25, 1.5, 2, 2.5, 3];
const HOLD_SHARES = [0.75, 0.5, 0.25];
const FEWEST_CLOCK_MINUTES = 0.25;

/** The days that a ladder is spread over: those set, or the practice days that are left to it. */
export function daysGiven(ladder: Ladder, stage = 0): number {
  const dated = datedPhase(ladder);
  return dated ? Math.max(ladder.days, dated.numbers.days - stage, 1) : ladder.days;
}

/** A ladder over its part of the passage, for this student; undefined where it can't be drawn. */
function reckonable(inputs: OfferInputs, ladder: Ladder) {
  const block = partOfBlock(inputs.block, ladder.part);
  const { from, cleanAt, comfortable } = inputs;
  const start = Math.max(ladder.start, from?.start ?? 0) as Bpm;
  const where = { ...from, start: from?.place ? start : ladder.start };
  const unrolled = checkedStaircase(ladder, {
    ...where,
    bars: block.bars,
    beatUnit: block.beatUnit,
  });
  if (!unrolled.ok) return undefined;
  // A shorter part is cleaner: flaws are taken to fall evenly over the bars of the passage.
  const share = block.bars.length / inputs.block.bars.length;
  return {
    block: { ...block, ladder },
    rungs: unrolled.value,
    cleanAt: (tempo: number) => cleanAt(tempo) ** share,
    comfortable,
    from: where,
  };
}

function costOf(inputs: OfferInputs, ladder: Ladder): Cost | undefined {
  const known = reckonable(inputs, ladder);
  const days = daysGiven(ladder, inputs.from?.place?.stage);
  return known && likelyCost({ ...known, days, random: inputs.random, runs: RUNS });
}

/** The fewest days over which it is likely enough to be through; at most thirty. */
function enoughDays(inputs: OfferInputs): number | undefined {
  const known = reckonable(inputs, inputs.ladder);
  if (!known) return undefined;
  const climbs = new DayClimbs({ ...known, days: MOST_DAYS, random: inputs.random() });
  climbs.climb(RUNS);
  const more = Array.from({ length: MOST_DAYS }, (_, i) => i + 1);
  return more.find((days) => days > inputs.ladder.days && climbs.within(days) >= ENOUGH);
}

/** A school with some of its numbers changed. */
function withNumbers(
  { name, numbers }: ChosenSchool,
  change: (field: NumberField, value: number) => number,
): ChosenSchool {
  const entries = fieldsOf(name).flatMap((field) => {
    const value = (numbers as Readonly<Record<string, unknown>>)[field.key];
    if (field.kind !== "number" || typeof value !== "number") return [];
    return [[field.key, change(field, value)] as const];
  });
  return { name, numbers: { ...numbers, ...Object.fromEntries(entries) } } as ChosenSchool;
}

/** A ladder whose schools have some of their numbers changed. */
const withSchools = (
  { phases }: Ladder,
  change: Parameters<typeof withNumbers>[1],
): Pick<Ladder, "phases"> => ({
  phases: phases.map((phase) => ({ ...phase, school: withNumbers(phase.school, change) })),
});

/** Fewer plays at each rung, or less time on its clock: from the smallest change to the largest. */
function lighter(ladder: Ladder): Partial<Ladder>[] {
  const fewer = Array.from({ length: 9 }, (_, i) => ({
    gate: ladder.gate.map((rule) =>
      "plays" in rule ? { ...rule, plays: Math.max(1, rule.plays - i - 1) } : rule,
    ),
  }));
  const shorter = HOLD_SHARES.map((share) => ({
    gate: ladder.gate.map((rule) =>
      rule.kind === "clock-minutes"
        ? { ...rule, minutes: Math.max(FEWEST_CLOCK_MINUTES, rule.minutes * share) }
        : rule,
    ),
    ...withSchools(ladder, ({ hold, min, by = 1 }, value) =>
      hold ? Math.max(min, Math.round((value * share) / by) * by) : value,
    ),
  }));
  const differs = (change: Partial<Ladder>) =>
    JSON.stringify({ ...ladder, ...change }) !== JSON.stringify(ladder);
  return [...fewer, ...shorter].filter(differs);
}

/** The candidates of one kind, from the smallest change to the largest. */
function candidates(kind: OfferKind, inputs: OfferInputs): Partial<Ladder>[] {
  const { ladder, block, comfortable, flawedBars } = inputs;
  switch (kind) {
    case "larger-step":
      return STEP_FACTORS.map((factor) =>
        withSchools(ladder, ({ stride, max }, value) =>
          stride ? Math.min(max, Math.ceil(value * factor)) : value,
        ),
      );
    case "lighter-gate":
      return lighter(ladder);
    case "smaller": {
      const { fromBar, toBar } = ladder.part ?? block;
      const half = Math.ceil((toBar - fromBar + 1) / 2);
      if (toBar === fromBar) return [];
      const first = { part: { fromBar, toBar: fromBar + half - 1 } };
      return flawedBars ? [{ part: flawedBars }] : [first];
    }
    case "higher": {
      const room = Math.min(ladder.target, Math.floor(comfortable)) - ladder.start;
      if (room < 4) return [];
      const starts = [0.5, 1].map((share) => nearestPlayable(ladder.start + room * share));
      return starts.map((start) => ({ start }));
    }
    case "lower-target": {
      const { start, target } = ladder;
      const targets = LOWER_TARGETS.map((share) => nearestPlayable(target * share));
      // Schools with targets of their own are not moved by the ladder's.
      if (ladder.phases.some((phase) => phase.target !== null)) return [];
      return targets.filter((lower) => lower > start).map((lower) => ({ target: lower }));
    }
    case "days":
      return [enoughDays(inputs) ?? MOST_DAYS]
        .filter((days) => days > ladder.days)
        .map((days) => ({ days }));
  }
}

/** More likely to fit; of two that hardly do, the shorter. */
const isBetter = (a: Cost, b: Cost): boolean =>
  Math.abs(a.fits - b.fits) < WORTH_SAYING ? a.minutes < b.minutes : a.fits > b.fits;

/** The smallest change of a kind that is enough, or else the best there is. */
function bestOf(kind: OfferKind, inputs: OfferInputs, now: Cost): Offer | undefined {
  let best: Offer | undefined;
  for (const change of candidates(kind, inputs)) {
    const read = v.safeParse(ladderSchema, { ...inputs.ladder, ...change });
    if (!read.success) continue;
    const cost = costOf(inputs, read.output);
    if (!cost) continue;
    // Over an hour a day or hardly ever: that is no way out.
    const days = daysGiven(read.output, inputs.from?.place?.stage);
    if (cost.minutes > LONGEST_MINUTES * days || cost.fits < HOPELESS) continue;
    const better = cost.fits >= now.fits + WORTH_SAYING;
    const shorter = cost.minutes <= MUCH_SHORTER * now.minutes;
    if (!better && !shorter) continue;
    if (!best || isBetter(cost, best.cost)) best = { kind, ladder: read.output, cost };
    if (cost.fits >= ENOUGH) break;
  }
  return best;
}

/**
 * What would make a ladder fit into its minutes, each computed for this student, the best first;
 * nothing when it is likely to fit as it is. A step a kind, so that whoever runs it can stop.
 */
export function* offersFor(inputs: OfferInputs): Generator<void, Offer[]> {
  const now = costOf(inputs, inputs.ladder);
  if (!now || now.fits >= ENOUGH) return [];
  const offers: Offer[] = [];
  for (const kind of OFFER_KINDS) {
    yield;
    offers.push(...[bestOf(kind, inputs, now) ?? []].flat());
  }
  return offers.sort((a, b) => (isBetter(a.cost, b.cost) ? -1 : 1));
}
