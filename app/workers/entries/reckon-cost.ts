import {
  cleanFrom,
  Climbs,
  DayClimbs,
  daysGiven,
  exactCost,
  offersFor,
  partOfBlock,
  tollsOf,
} from "~/core/cost";
import { staircase } from "~/core/ladder";
import { seeded } from "~/core/simulate";
import type { CostAnswer, CostRequest } from "../protocol/cost";

const BATCH = 100;
/** A first answer comes after so many runs, for ladders that take long. */
const FIRST_TOLD = 1000;
/** A ladder that is out of reach is known to be so after fewer runs. */
const MOST_PLAYS_DRAWN = 12e6;
const SEED = 20_261_123;

/**
 * Reckons what a ladder costs in small steps, telling each part when it is there: by formula, by
 * simulation, then the offers. Whoever runs it may stop after any step.
 */
export function* reckonCost(
  request: CostRequest,
  tell: (answer: CostAnswer) => void,
): Generator<void> {
  const { id, ladder, runs } = request;
  const block = { ...partOfBlock(request.block, ladder.part), ladder };
  const cleanAt = cleanFrom(request.clean, block.bars.length / request.block.bars.length);
  const rungs = staircase(ladder, { ...request.from, bars: block.bars, beatUnit: block.beatUnit });
  const tolls = tollsOf({ block, rungs, cleanAt });
  const days = daysGiven(ladder, request.from.place.stage);
  yield;
  const exact = exactCost(tolls, ladder);
  const exactRungs = exact.rungs.map((rung) => rung.exact);
  // Over several days each begins by the start rule: there is no formula for that.
  const byFormula = exact.exact && days === 1;
  const first = { ...exact, rungs: [...exact.rungs], exact: byFormula };
  tell({ kind: "exact", id, cost: first, exactRungs });
  yield;

  const random = () => seeded(SEED);
  const { comfortable, flawedBars, from } = request;
  const climbs = new Climbs(tolls, ladder, random());
  const byDays =
    days > 1
      ? new DayClimbs({ block, cleanAt, comfortable, from, days, random: random() })
      : undefined;
  const simulated = () => {
    const cost = climbs.told(ladder.minutes);
    const all = { ...cost, ...byDays?.told(), rungs: [...cost.rungs] };
    tell({ kind: "simulated", id, cost: all });
  };
  const counted = byDays ?? climbs;
  while (counted.done < runs && climbs.played + counted.played < MOST_PLAYS_DRAWN) {
    climbs.climb(Math.min(BATCH, runs - climbs.done));
    byDays?.climb(Math.min(BATCH, runs - byDays.done));
    if (counted.done === FIRST_TOLD) simulated();
    yield;
  }
  simulated();
  if (!request.offers) return;
  yield;
  const offers = yield* offersFor({
    ladder,
    block: request.block,
    cleanAt: cleanFrom(request.clean, 1),
    comfortable,
    from,
    random,
    flawedBars: flawedBars ?? undefined,
  });
  tell({
    kind: "offers",
    id,
    offers: offers.map(({ kind, ladder: changed, cost }) => ({
      kind,
      ladder: changed,
      rungs: cost.rungs.length,
      minutes: cost.minutes,
      fits: cost.fits,
    })),
  });
}
