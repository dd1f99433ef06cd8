import {
  cleanFrom,
  Climbs,
  exactCost,
  minutesGiven,
  offersFor,
  partOfBlock,
  tollsOf,
} from "~/core/cost";
import { staircase } from "~/core/ladder";
import { seeded } from "~/core/simulate";
import type { CostAnswer, CostRequest } from "../protocol/cost";

const BATCH = 500;
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
  const rungs = staircase(ladder, { ...request.from, bars: block.bars });
  const tolls = tollsOf({ block, rungs, cleanAt });
  const given = minutesGiven(ladder, request.from.place.stage);
  yield;
  const exact = exactCost(tolls, { minutes: given, afterFlawed: ladder.afterFlawed });
  const exactRungs = exact.rungs.map((rung) => rung.exact);
  tell({ kind: "exact", id, cost: { ...exact, rungs: [...exact.rungs] }, exactRungs });
  yield;

  const climbs = new Climbs(tolls, ladder, seeded(SEED));
  const simulated = () => {
    const cost = climbs.told(given);
    tell({ kind: "simulated", id, cost: { ...cost, rungs: [...cost.rungs] } });
  };
  while (climbs.done < runs && climbs.played < MOST_PLAYS_DRAWN) {
    climbs.climb(Math.min(BATCH, runs - climbs.done));
    if (climbs.done === FIRST_TOLD) simulated();
    yield;
  }
  simulated();
  if (!request.offers) return;
  yield;
  const { comfortable, flawedBars } = request;
  const offers = offersFor({
    ladder,
    block: request.block,
    cleanAt: cleanFrom(request.clean, 1),
    comfortable,
    from: request.from,
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
