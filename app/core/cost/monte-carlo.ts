import type { AfterFlawed } from "~/core/ladder";
import { gateRun } from "./gate-run";
import { MOST_PLAYS_ON_A_RUNG, playsAt, playsTable } from "./plays-table";
import type { Toll } from "./toll";

/** A stream of numbers in [0, 1). */
type Random = () => number;

export interface ClimbRules {
  readonly afterFlawed: AfterFlawed;
}

/** Beyond so many plays a whole climb is given up: it is out of reach. */
const MOST_PLAYS_IN_A_CLIMB = 4000;

/** How one rung is climbed: returns the plays; `toBelow` when the ladder goes lower by itself. */
type RungClimb = (random: Random) => { plays: number; toBelow: boolean; rests: number };

function climbOf(toll: Toll, index: number, { afterFlawed }: ClimbRules): RungClimb {
  const { then, plays: most } = afterFlawed;
  const lowers = then === "lower" && toll.below !== index;
  const rests = then === "rest";
  const table =
    lowers || rests || toll.gate.length !== 1 ? undefined : playsTable(toll.gate[0]!, toll.clean);
  if (table) {
    return (random) => ({ plays: playsAt(table, random()), toBelow: false, rests: 0 });
  }
  const run = gateRun(toll.gate, toll.seconds);
  return (random) => {
    run.reset();
    let flawed = 0;
    let rested = 0;
    for (let plays = 1; ; plays++) {
      const clean = random() < toll.clean;
      if (run.play(clean) || plays >= MOST_PLAYS_ON_A_RUNG) {
        return { plays, toBelow: false, rests: rested };
      }
      if (!clean) flawed++;
      if (flawed >= most && lowers) return { plays, toBelow: true, rests: rested };
      if (flawed >= most && rests) {
        rested++;
        flawed = 0;
      }
    }
  };
}

/**
 * Climbs a ladder many times, in batches, so that whoever runs it can stop between them. The
 * verdicts are drawn independently; nothing is learned on the way.
 */
export class Climbs {
  private readonly climbers: readonly RungClimb[];
  private readonly plays: Float64Array;
  private readonly seconds: Float64Array;
  private readonly totals: number[] = [];

  constructor(
    private readonly tolls: readonly Toll[],
    private readonly rules: ClimbRules,
    private readonly random: Random,
  ) {
    this.climbers = tolls.map((toll, i) => climbOf(toll, i, rules));
    this.plays = new Float64Array(tolls.length);
    this.seconds = new Float64Array(tolls.length);
  }

  get done(): number {
    return this.totals.length;
  }

  climb(times: number): void {
    for (let n = 0; n < times; n++) this.totals.push(this.once());
  }

  /** One climb, in minutes. */
  private once(): number {
    let total = 0;
    let plays = 0;
    for (let at = 0; at < this.tolls.length && plays <= MOST_PLAYS_IN_A_CLIMB;) {
      const toll = this.tolls[at]!;
      const climbed = this.climbers[at]!(this.random);
      let spent = climbed.plays * toll.seconds + climbed.rests * this.rules.afterFlawed.seconds;
      if (!climbed.toBelow) spent += this.inContext(toll, at);
      this.plays[at]! += climbed.plays;
      this.seconds[at]! += spent;
      total += spent;
      plays += climbed.plays;
      at = climbed.toBelow ? toll.below : at + 1;
      if (at < this.tolls.length && !climbed.toBelow) total += toll.rest;
    }
    return total / 60;
  }

  private inContext({ context }: Toll, at: number): number {
    if (!context) return 0;
    const p = Math.max(1e-3, context.clean);
    const times = Math.ceil(Math.log(1 - this.random()) / Math.log(1 - Math.min(1 - 1e-9, p)));
    const plays = Math.max(1, Math.min(MOST_PLAYS_ON_A_RUNG, times));
    this.plays[at]! += plays;
    return plays * context.seconds;
  }

  /** What the climbs so far came to. `given`: the minutes there are. */
  told(given: number): SimulatedCost {
    const runs = Math.max(1, this.totals.length);
    const sorted = Float64Array.from(this.totals).sort();
    const quantile = (at: number) =>
      sorted[Math.min(sorted.length - 1, Math.floor(at * runs))] ?? 0;
    const through = sorted.findIndex((minutes) => minutes > given);
    return {
      rungs: this.tolls.map((_, i) => ({
        plays: this.plays[i]! / runs,
        minutes: this.seconds[i]! / runs / 60,
      })),
      plays: this.plays.reduce((sum, each) => sum + each, 0) / runs,
      minutes: sorted.reduce((sum, each) => sum + each, 0) / runs,
      minutesLow: quantile(0.1),
      minutesHigh: quantile(0.9),
      fits: (through === -1 ? sorted.length : through) / runs,
      runs: this.totals.length,
    };
  }
}

export interface SimulatedCost {
  readonly rungs: readonly { readonly plays: number; readonly minutes: number }[];
  readonly plays: number;
  readonly minutes: number;
  readonly minutesLow: number;
  readonly minutesHigh: number;
  readonly fits: number;
  readonly runs: number;
}
