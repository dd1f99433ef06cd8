import { reckonCost } from "~/workers/entries/reckon-cost";
import type { CostRequest } from "~/workers/client";
import { stepsFrom } from "~/components/rung-lane";
import { staircaseShape } from "~/components/staircase-shape";
import { cleanTable } from "~/core/cost";
import { checkedStaircase, type Ladder } from "~/core/ladder";
import { cleanProbability } from "~/core/record";
import { COURSE_BARS, ladderOf } from "./schools";
import { median, ms, type Figure } from "./core";

const FRAME = { left: 44, right: 500, top: 26, bottom: 240, lane: [256, 320] as const };
const clean = cleanTable((tempo) => cleanProbability({ centre: Math.log(84), width: 0.08 }, tempo));

const question = (ladder: Ladder): CostRequest => ({
  id: 1,
  ladder,
  from: { start: ladder.start, place: { phase: 0, stage: 0 } },
  block: {
    fromBar: 1,
    toBar: 4,
    pickupBeats: 0,
    startBeats: 0,
    order: [],
    endBeats: 0,
    beatUnit: "quarter",
    bars: COURSE_BARS,
    around: { before: [], after: [] },
  },
  clean,
  comfortable: 70,
  flawedBars: null,
  runs: 10_000,
  offers: false,
});

function withStep(name: "even-steps" | "woven-chain", numbers: object, start: number): Ladder {
  const ladder = ladderOf(name);
  const [phase] = ladder.phases;
  const school = { ...phase!.school, numbers: { ...phase!.school.numbers, ...numbers } };
  return {
    ...ladder,
    start: start as Ladder["start"],
    phases: [{ ...phase!, school } as (typeof ladder.phases)[number]],
  };
}

/** The script of one redraw, apart from the browser's painting, and the cost in the worker. */
export function workshopFigures(): Figure[] {
  const long = withStep("woven-chain", { unit: "beat", step: 1, window: 64 }, 30);
  const where = { start: long.start, bars: COURSE_BARS };
  const drawn = () => {
    const unrolled = checkedStaircase(long, where);
    if (!unrolled.ok) throw new Error(unrolled.error.sentence);
    const steps = stepsFrom(unrolled.value);
    staircaseShape(steps, FRAME, { lowest: 20, highest: 100 });
    return steps.length;
  };
  const forty = {
    ...withStep("even-steps", { step: 1 }, 53),
    afterFlawed: ladderOf("even-steps").afterFlawed,
  };
  const asking: Ladder = { ...forty, afterFlawed: { ...forty.afterFlawed, then: "ask" } };
  const reckoned = (ladder: Ladder) =>
    median(5, () => [...reckonCost(question(ladder), () => undefined)]);
  return [
    { what: `unrolling and shaping ${drawn()} rungs`, value: ms(median(15, drawn)) },
    { what: "cost of 40 rungs, 10,000 climbs", value: ms(reckoned(asking)) },
    { what: "the same, going lower by itself", value: ms(reckoned(forty)) },
  ];
}
