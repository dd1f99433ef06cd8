import type { Gate } from "~/core/gate";
import { rungBefore, type Ladder, type Rung } from "~/core/ladder";
import { contextShare, playingSecondsOfRung, secondsOfRung, type Played } from "~/core/session";
import type { Bpm } from "~/core/units";

/** What one rung asks of a student: numbers only, so that it can be sent to a worker. */
export interface Toll {
  /** P(clean) of one play, 0–1. */
  readonly clean: number;
  /** Seconds of one play, count-in and breather included. */
  readonly seconds: number;
  /** Seconds of the playing in it: what a gate of minutes counts. */
  readonly playing: number;
  readonly gate: Gate;
  /** Seconds of rest after it. */
  readonly rest: number;
  /** Played until once clean after the gate has passed, where the ladder asks for context. */
  readonly context: { readonly clean: number; readonly seconds: number } | null;
  /** Index of the rung that a ladder going lower by itself goes back to. */
  readonly below: number;
}

/** P(clean) at a tempo, from the record or the prior. */
export type CleanAt = (tempo: number) => number;

export interface TollInputs {
  readonly block: Played & { readonly ladder: Ladder };
  readonly rungs: readonly Rung[];
  readonly cleanAt: CleanAt;
}

/**
 * P(clean) of one play of a rung. Flaws are taken to fall evenly over the bars, so that a part of
 * the passage, a share s of it, is clean with P(whole)^s; the plays of a cycle must all be clean.
 */
export function chanceOf({ tempo, cycle, ease, share }: Rung, cleanAt: CleanAt): number {
  const at = (bpm: Bpm, plays: number) => cleanAt(bpm * ease) ** (share * plays);
  return cycle ? at(tempo, cycle.slow) * at(cycle.fastTempo, cycle.fast) : at(tempo, 1);
}

/** The tolls of a staircase, in the order of its rungs. */
export function tollsOf({ block, rungs, cleanAt }: TollInputs): Toll[] {
  const known = new Map<string, Pick<Toll, "seconds" | "playing">>();
  const { afterFlawed } = block.ladder;
  return rungs.map((rung): Toll => {
    const key = `${rung.tempo} ${rung.links?.from} ${rung.links?.to} ${rung.cycle?.fast} ${rung.phase}`;
    const times = known.get(key) ?? {
      seconds: secondsOfRung(block, rung),
      playing: playingSecondsOfRung(block, rung),
    };
    known.set(key, times);
    const around = contextShare(block, rungs, rung);
    return {
      clean: chanceOf(rung, cleanAt),
      ...times,
      gate: rung.gate,
      rest: rung.rest,
      context:
        around === undefined
          ? null
          : { clean: cleanAt(rung.tempo) ** around, seconds: times.seconds * around },
      below:
        afterFlawed.then === "lower"
          ? (rungBefore(rungs, rung.index, rung.tempo, afterFlawed.steps)?.index ?? rung.index)
          : rung.index,
    };
  });
}
