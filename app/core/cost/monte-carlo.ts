import type { AfterFlawed } from "~/core/ladder";
import { attemptTable } from "./attempt-table";
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

/** What one go at a rung came to; one object for all of them, as there are millions. */
interface Go {
  plays: number;
  /** The ladder goes lower by itself. */
  toBelow: boolean;
  rests: number;
}

/** How one rung is climbed: fills `go`. */
type RungClimb = (random: Random, go: Go) => void;

/** The common gates, an attempt at a time; after each that is given up: lower, or a rest. */
function attemptClimb(table: Float64Array, lowers: boolean): RungClimb {
  return (random, go) => {
    go.plays = 0;
    go.rests = 0;
    for (;;) {
      const entry = playsAt(table, random());
      go.plays += (entry >> 1) + 1;
      const passed = (entry & 1) === 0;
      go.toBelow = !passed && lowers;
      if (passed || lowers || go.plays >= MOST_PLAYS_ON_A_RUNG) return;
      go.rests++;
    }
  };
}

/** Any other gate, through its own machine. */
function machineClimb(toll: Toll, most: number, lowers: boolean, rests: boolean): RungClimb {
  const run = gateRun(toll.gate, toll.playing);
  return (random, go) => {
    run.reset();
    let flawed = 0;
    go.toBelow = false;
    go.rests = 0;
    for (go.plays = 1; go.plays < MOST_PLAYS_ON_A_RUNG; go.plays++) {
      const clean = random() < toll.clean;
      if (run.play(clean)) return;
      if (clean || ++flawed < most) continue;
      if (lowers) {
        go.toBelow = true;
        return;
      }
      if (rests) go.rests++;
      flawed = 0;
    }
  };
}

function climbOf(toll: Toll, { afterFlawed }: ClimbRules): RungClimb {
  // On the first rung "lower" begins it again: its count returns to zero.
  const lowers = afterFlawed.then === "lower";
  const rests = afterFlawed.then === "rest";
  const [rule] = toll.gate;
  const single = toll.gate.length === 1 && rule ? rule : undefined;
  const table = lowers || rests || !single ? undefined : playsTable(single, toll.clean);
  if (table) {
    return (random, go) => {
      go.plays = playsAt(table, random());
      go.toBelow = false;
      go.rests = 0;
    };
  }
  const counted = single?.kind === "in-a-row" || single?.kind === "in-all";
  // A rest leaves the count as it is; only where a flawed play has emptied it is it a new attempt.
  const empties = single?.kind === "in-a-row" && single.afterFlawed === "reset";
  if (counted && (lowers || (rests && empties))) {
    return attemptClimb(attemptTable(single, toll.clean, afterFlawed.plays), lowers);
  }
  return machineClimb(toll, afterFlawed.plays, lowers, rests);
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
  private readonly go: Go = { plays: 0, toBelow: false, rests: 0 };

  constructor(
    private readonly tolls: readonly Toll[],
    private readonly rules: ClimbRules,
    private readonly random: Random,
  ) {
    this.climbers = tolls.map((toll) => climbOf(toll, rules));
    this.plays = new Float64Array(tolls.length);
    this.seconds = new Float64Array(tolls.length);
  }

  get done(): number {
    return this.totals.length;
  }

  /** Plays drawn so far, in all the climbs. */
  get played(): number {
    return this.plays.reduce((sum, each) => sum + each, 0);
  }

  climb(times: number): void {
    for (let n = 0; n < times; n++) this.totals.push(this.once());
  }

  /** One climb, in minutes. */
  private once(): number {
    const { go: climbed } = this;
    let total = 0;
    let plays = 0;
    for (let at = 0; at < this.tolls.length && plays <= MOST_PLAYS_IN_A_CLIMB;) {
      const toll = this.tolls[at]!;
      this.climbers[at]!(this.random, climbed);
      let spent = toll.begin + climbed.plays * toll.seconds;
      spent += climbed.rests * (this.rules.afterFlawed.seconds + toll.begin);
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
    return context.begin + plays * context.seconds;
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
      plays: this.played / runs,
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
