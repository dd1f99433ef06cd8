import type { AfterFlawed } from "~/core/ladder";
import { RungClimb, type Random } from "./rung-climb";
import type { Toll } from "./toll";
import { Totals, type SimulatedCost } from "./totals";

export interface ClimbRules {
  readonly afterFlawed: AfterFlawed;
}

/** Beyond so many plays a whole climb is given up: it is out of reach. */
const OUT_OF_REACH_PLAYS = 4000;

/**
 * Climbs a ladder in one go many times, in batches, so that whoever runs it can stop between them.
 * The verdicts are drawn independently; nothing is learned on the way.
 */
export class Climbs {
  private readonly climbers: readonly RungClimb[];
  private readonly totals: Totals;

  constructor(
    private readonly tolls: readonly Toll[],
    { afterFlawed }: ClimbRules,
    random: Random,
    private readonly mostPlays = OUT_OF_REACH_PLAYS,
  ) {
    this.climbers = tolls.map((toll) => new RungClimb(toll, afterFlawed, random));
    this.totals = new Totals(tolls.length);
  }

  get done(): number {
    return this.totals.runs;
  }

  /** Plays drawn so far, in all the climbs. */
  get played(): number {
    return this.totals.played;
  }

  climb(times: number): void {
    for (let n = 0; n < times; n++) this.once();
  }

  private once(): void {
    const { tolls, climbers, totals } = this;
    let seconds = 0;
    let plays = 0;
    let at = 0;
    // The first rung that was not passed yet.
    let front = 0;
    while (at < tolls.length && plays <= this.mostPlays) {
      const [toll, climber] = [tolls[at]!, climbers[at]!];
      const outcome = climber.visit();
      totals.add(at, climber);
      seconds += climber.seconds;
      plays += climber.plays;
      if (outcome === "left") break;
      if (outcome === "lowered") {
        at = toll.below;
        continue;
      }
      front = Math.max(front, at + 1);
      // Lowered in the middle of a list, it goes on where the list was left.
      at = toll.listed && tolls[at + 1]?.listed ? front : at + 1;
      if (at < tolls.length) seconds += toll.rest;
    }
    totals.end(seconds, at >= tolls.length);
  }

  /** What the climbs so far came to. `given`: the minutes there are. */
  told = (given: number): SimulatedCost => this.totals.told(given);
}
