import type { Gate } from "~/core/gate";
import { rungBefore, type Ladder, type Rung, type Segment } from "~/core/ladder";
import {
  inContext,
  needsContext,
  playTimes,
  shareOf,
  type Played,
  type PlayTimes,
} from "~/core/session";
import type { Bpm } from "~/core/units";

/** What one play costs, and how likely it is clean. */
export interface Stage {
  /** P(clean) of one play, 0–1. */
  readonly clean: number;
  /** Seconds of one play among others, with what is counted and breathed around it. */
  readonly seconds: number;
  /** Seconds that come on top each time the playing begins: at first, and after whatever stops it. */
  readonly begin: number;
  /** Seconds of the playing in it: what a gate of minutes counts. */
  readonly playing: number;
  /** The bars that are played. */
  readonly fromBar: number;
  readonly toBar: number;
}

/** What one rung asks of a student. */
export interface Toll extends Stage {
  readonly gate: Gate;
  /** Seconds of rest after it. */
  readonly rest: number;
  /** Played until once clean after the gate has passed, where the ladder asks for context. */
  readonly context: Stage | null;
  /** Index of the rung that a ladder going lower by itself goes back to. */
  readonly below: number;
  /** One of a list that is gone through at each rung. */
  readonly listed: boolean;
  /** Only some of its bars, for a ladder that cuts around the flawed ones. */
  readonly cut: (fromBar: number, toBar: number) => Stage;
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
 * the passage, a share s of it, is clean with P(whole)^s; the plays of a cycle must all be clean,
 * and so must the turns of a short link.
 */
export function chanceOf({ tempo, cycle, ease, share }: Rung, cleanAt: CleanAt): number {
  const at = (bpm: Bpm, plays: number) => cleanAt(bpm * ease) ** (share * plays);
  return cycle ? at(tempo, cycle.slow) * at(cycle.fastTempo, cycle.fast) : at(tempo, 1);
}

const barsAlone = (fromBar: number, toBar: number): Segment => ({
  fromBar,
  toBar,
  startBeat: 0,
  endBeats: 0,
});

/** The tolls of a staircase, in the order of its rungs. */
export function tollsOf({ block, rungs, cleanAt }: TollInputs): Toll[] {
  const known = new Map<string, PlayTimes>();
  const { afterFlawed } = block.ladder;
  /** Rungs that sound alike take alike. */
  const timesOf = (rung: Rung, segment: Segment | undefined): PlayTimes => {
    const { fromBar, toBar, startBeat, endBeats } = segment ?? barsAlone(0, 0);
    const where = [fromBar, startBeat, toBar, endBeats].join("-");
    const key = `${rung.tempo} ${rung.cycle?.slow}+${rung.cycle?.fast} ${where}`;
    const times = known.get(key) ?? playTimes(block, rung, segment);
    known.set(key, times);
    return times;
  };
  const stageOf = (rung: Rung, segment: Segment | undefined, share: number): Stage => {
    const { turns, ...times } = timesOf(rung, segment);
    const { fromBar, toBar } = segment ?? block;
    return {
      clean: chanceOf({ ...rung, share: share * turns }, cleanAt),
      ...times,
      fromBar,
      toBar,
    };
  };
  const part = (rung: Rung, segment: Segment) => stageOf(rung, segment, shareOf(block, segment));
  return rungs.map((rung): Toll => ({
    ...stageOf(rung, rung.segment, rung.share),
    gate: rung.gate,
    rest: rung.rest,
    context: needsContext(block, rungs, rung.index) ? part(rung, inContext(block)) : null,
    below:
      afterFlawed.then === "lower"
        ? (rungBefore(rungs, rung.index, rung.tempo, afterFlawed.steps)?.index ?? rung.index)
        : rung.index,
    listed: rung.task?.listed ?? false,
    cut: (fromBar, toBar) => part(rung, barsAlone(fromBar, toBar)),
  }));
}
