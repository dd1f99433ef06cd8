import { materialOf, type Rung } from "~/core/ladder";
import { triedAt } from "./done";
import { fastTempo } from "./loop";
import type { StandState } from "./state";

/** A rung that was passed, as far as it tells what this player can do. */
export interface PassedRung {
  /** What it was practice of; the same name from day to day. */
  readonly material: string;
  /** Its tempo, on which a start goes by. */
  readonly tempo: number;
  /** The fastest tempo in it: that of the fast plays of a cycle. */
  readonly top: number;
  /** The whole of what the ladder is for, as it should be in the end. */
  readonly whole: boolean;
}

/**
 * Whether a rung whose gate has passed counts as reached: with a clean play, and where the gate opens
 * whatever comes of it with half of them clean; never what lies beyond what is to be made firm.
 */
export function isReached(
  { beyond, gate }: Pick<Rung, "beyond" | "gate">,
  plays: number,
  clean: number,
): boolean {
  const whatever = gate.every(({ kind }) => kind === "played");
  return !beyond && clean > 0 && (!whatever || clean * 2 >= plays);
}

/**
 * The rungs of a block whose gate passed with at least one clean play at that tempo, oldest first.
 * Where the gate opens whatever comes of it, half of the plays must have been clean.
 */
export function passedRungs(state: StandState, blockIndex: number): PassedRung[] {
  const plan = state.plan.blocks[blockIndex]!;
  const { passed, rungs, done } = state.blocks[blockIndex]!;
  return passed.flatMap(({ rung: index, tempo }): PassedRung[] => {
    const rung = rungs[index]!;
    const { plays, clean } = triedAt(done, { rung: index, tempo });
    if (!isReached(rung, plays, clean)) return [];
    const tasks = rung.alternates ?? (rung.task ? [rung.task] : []);
    const whole = rung.share === 1 && tasks.every(({ full }) => full);
    return [{ material: materialOf(rung, plan), tempo, top: fastTempo(rung, tempo), whole }];
  });
}
