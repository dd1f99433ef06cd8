import type { RungClimb } from "./rung-climb";

export interface SimulatedCost {
  readonly rungs: readonly { readonly plays: number; readonly minutes: number }[];
  readonly plays: number;
  readonly minutes: number;
  readonly minutesLow: number;
  readonly minutesHigh: number;
  readonly fits: number;
  readonly runs: number;
}

/** What many climbs came to. */
export class Totals {
  private readonly plays: Float64Array;
  private readonly seconds: Float64Array;
  private readonly minutes: number[] = [];
  private readonly through: boolean[] = [];

  constructor(rungs: number) {
    this.plays = new Float64Array(rungs);
    this.seconds = new Float64Array(rungs);
  }

  get runs(): number {
    return this.minutes.length;
  }

  get played(): number {
    return this.plays.reduce((sum, each) => sum + each, 0);
  }

  /** One visit to a rung. */
  add(rung: number, { plays, seconds }: Pick<RungClimb, "plays" | "seconds">): void {
    this.plays[rung]! += plays;
    this.seconds[rung]! += seconds;
  }

  /** One climb is over, at its top or left on the way. */
  end(seconds: number, through: boolean): void {
    this.minutes.push(seconds / 60);
    this.through.push(through);
  }

  told(given: number): SimulatedCost {
    const { minutes, through } = this;
    const runs = Math.max(1, minutes.length);
    const sorted = Float64Array.from(minutes).sort();
    const quantile = (at: number) =>
      sorted[Math.min(sorted.length - 1, Math.floor(at * runs))] ?? 0;
    const fitting = minutes.filter((each, i) => through[i] && each <= given).length;
    return {
      rungs: Array.from(this.plays, (plays, i) => ({
        plays: plays / runs,
        minutes: this.seconds[i]! / runs / 60,
      })),
      plays: this.played / runs,
      minutes: sorted.reduce((sum, each) => sum + each, 0) / runs,
      minutesLow: quantile(0.1),
      minutesHigh: quantile(0.9),
      fits: fitting / runs,
      runs: minutes.length,
    };
  }
}
