import type { Gate } from "~/core/gate";
import { rungBefore, type Ladder, type Rung } from "~/core/ladder";
import {
  inContext,
  needsContext,
  playTimes,
  shareOf,
  type Played,
  type PlayTimes,
} from "~/core/session";
import type { Bpm } from "~/core/units";

/** What one rung asks of a student: numbers only, so that it can be sent to a worker. */
export interface Toll {
  /** P(clean) of one play, 0–1. */
  readonly clean: number;
  /** Seconds of one play among others, with what is counted and breathed around it. */
  readonly seconds: number;
  /** Seconds that come on top each time the playing begins: at first, and after a rest. */
  readonly begin: number;
  /** Seconds of the playing in it: what a gate of minutes counts. */
  readonly playing: number;
  readonly gate: Gate;
  /** Seconds of rest after it. */
  readonly rest: number;
  /** Played until once clean after the gate has passed, where the ladder asks for context. */
  readonly context: Pick<Toll, "clean" | "seconds" | "begin"> | null;
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

function contextToll(block: TollInputs["block"], rung: Rung, cleanAt: CleanAt): Toll["context"] {
  const around = inContext(block);
  const { seconds, begin } = playTimes(block, rung, around);
  return { clean: chanceOf({ ...rung, share: shareOf(block, around) }, cleanAt), seconds, begin };
}

/** The tolls of a staircase, in the order of its rungs. */
export function tollsOf({ block, rungs, cleanAt }: TollInputs): Toll[] {
  const known = new Map<string, PlayTimes>();
  const { afterFlawed } = block.ladder;
  return rungs.map((rung): Toll => {
    const key = `${rung.tempo} ${rung.links?.from} ${rung.links?.to} ${rung.cycle?.fast} ${rung.phase}`;
    const played = known.get(key) ?? playTimes(block, rung);
    known.set(key, played);
    const { turns, ...times } = played;
    return {
      clean: chanceOf({ ...rung, share: rung.share * turns }, cleanAt),
      ...times,
      gate: rung.gate,
      rest: rung.rest,
      context: needsContext(block, rungs, rung.index) ? contextToll(block, rung, cleanAt) : null,
      below:
        afterFlawed.then === "lower"
          ? (rungBefore(rungs, rung.index, rung.tempo, afterFlawed.steps)?.index ?? rung.index)
          : rung.index,
    };
  });
}
