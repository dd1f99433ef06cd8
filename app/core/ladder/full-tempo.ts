import type { Bpm } from "~/core/units";
import { percentOf, tempoAt } from "./percent";
import type { Rung, Where } from "./rung";

/** Whatever climbs: a ladder, or one that is still drawn. */
interface Climbing {
  readonly of: number | null;
  readonly start: number;
  readonly target: number;
  readonly phases: readonly { readonly start: number | null; readonly target: number | null }[];
}

function withTempi<T extends Climbing>(
  climbing: T,
  of: number | null,
  told: (tempo: number) => number,
): T {
  const phases = climbing.phases.map((phase) => ({
    ...phase,
    start: phase.start && told(phase.start),
    target: phase.target && told(phase.target),
  }));
  return { ...climbing, of, start: told(climbing.start), target: told(climbing.target), phases };
}

/** The ladder with percents for its tempi. */
export const ladderInPercent = <T extends Climbing>(ladder: T, full: number): T =>
  withTempi(ladder, null, (tempo) => percentOf(full, tempo));

/** A ladder whose tempi are percents, at those of a full tempo; the inverse. */
export const ladderAtFull = <T extends Climbing>(percents: T, full: number): T =>
  withTempi(percents, full, (percent) => tempoAt(full, percent));

export const whereInPercent = (where: Where, full: number): Where => ({
  ...where,
  start: percentOf(full, where.start) as Bpm,
  ...(where.ceiling === undefined ? {} : { ceiling: percentOf(full, where.ceiling) }),
});

/** A rung that was climbed to in percent, at its tempo. */
export const rungAtTempo = (rung: Rung, full: number): Rung => ({
  ...rung,
  tempo: tempoAt(full, rung.tempo),
  top: tempoAt(full, rung.top),
});

/** A ladder that went to the full tempo of its passage, which has moved since. */
export interface MovedLadder {
  readonly passageId: string;
  readonly fromBar: number;
  readonly toBar: number;
  readonly was: number;
  readonly is: number;
  /** A week that is set asks for it: it stays as it is there. */
  readonly inWeek: boolean;
}
