import type { Verdict } from "~/core/gate";
import { CEILING_PROBABILITY, cleanProbability, tempoAt } from "~/core/record";
import type { Bpm } from "~/core/units";
import type { Random } from "./random";

/**
 * A learner on one passage: a model, not a person. Success falls with tempo relative to ability;
 * clean plays near the limit teach most; days off cost a share of what was gained; a long sitting
 * tires.
 */
export interface LearnerTraits {
  /** The ceiling before any practice, in bpm. */
  readonly ability: number;
  /** Ability is never driven above this, in bpm. */
  readonly plateau: number;
  /** Gain in ln-tempo from one clean play at the limit; 0.002 is ordinary. */
  readonly learning: number;
  /** Share of the gain above the starting ability lost in one day off; 0.02 is ordinary. */
  readonly forgetting: number;
  /** Loss in ln-tempo per play within a sitting; 0.0005 is ordinary. */
  readonly fatigue: number;
  readonly width: number;
}

/**
 * How much a play teaches, 0–1, by how far it lies from the limit in ln-tempo and how it went: nobody
 * knows, so that what depends on it is tried under each.
 */
export const TEACHING = {
  /** Clean plays near the limit teach most. */
  "clean, near the limit": (distance: number, clean: boolean) =>
    clean ? Math.exp(-distance / 0.2) : 0,
  /** Clean plays teach alike, at whatever tempo. */
  "clean, at any tempo": (_: number, clean: boolean) => (clean ? 0.6 : 0),
  /** Whatever is tried near the limit teaches, flawed half as much. */
  "tried, near the limit": (distance: number, clean: boolean) =>
    (clean ? 0.8 : 0.4) * Math.exp(-distance / 0.2),
} as const satisfies Record<string, (distance: number, clean: boolean) => number>;
export type Teaching = keyof typeof TEACHING;

export interface Played {
  readonly tempo: Bpm;
  readonly chance: number;
  readonly effort: number;
}

export class Learner {
  private gain = 0;
  private playsToday = 0;

  constructor(
    private readonly traits: LearnerTraits,
    private readonly random: Random,
    private readonly teaching: Teaching = "clean, near the limit",
  ) {}

  private get centre(): number {
    return Math.log(this.traits.ability) + this.gain - this.traits.fatigue * this.playsToday;
  }

  /** P(clean) of the whole passage at a tempo, as able and as tired as now. */
  readonly cleanAt = (tempo: number): number =>
    cleanProbability({ centre: this.centre, width: this.traits.width }, tempo);

  /** The tempo at which every other play of the whole passage breaks now. */
  get ceiling(): number {
    return tempoAt({ centre: this.centre, width: this.traits.width }, CEILING_PROBABILITY);
  }

  /**
   * One play with its chance of being clean, and what it teaches. `tempo` is the fastest in it,
   * `effort` how much of the passage was played, so that a link teaches less than the whole.
   */
  play({ tempo, chance, effort }: Played): Verdict {
    const clean = this.random() < chance;
    this.playsToday += effort;
    const distance = Math.abs(Math.log(tempo) - this.centre);
    const teaches = TEACHING[this.teaching](distance, clean);
    const room = Math.log(this.traits.plateau / this.traits.ability) - this.gain;
    this.gain += effort * this.traits.learning * teaches * Math.max(0, Math.min(1, room * 6));
    return clean ? "clean" : "flawed";
  }

  /** Nights between sittings; the first restores, the others cost. */
  sleep(days: number): void {
    this.playsToday = 0;
    if (days > 1) this.gain *= (1 - this.traits.forgetting) ** (days - 1);
  }
}
