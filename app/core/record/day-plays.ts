import type { Verdict } from "~/core/gate";
import type { Bpm } from "~/core/units";
import { LAPSE } from "./model";

interface Cycle {
  readonly base: number;
  readonly slow: number;
  readonly fast: number;
}

/** Judged plays of one day, so many of a kind. */
export interface RecordedRep {
  readonly tempo: Bpm;
  readonly verdict: Verdict;
  /** So many of the same; default 1. */
  readonly count?: number;
  /** How much of the passage was played; default 1. A part of it is easier. */
  readonly share?: number;
  /** Slow plays at a base tempo and fast ones at `tempo`, clean only when all of them were. */
  readonly cycle?: Cycle | undefined;
  /** The key it was played in, where keys go round. */
  readonly key?: string | undefined;
}

/** Plays of one kind: what is as likely clean as the other. */
export interface Kind {
  readonly lnTempo: number;
  readonly lnBase: number | undefined;
  readonly slow: number;
  readonly fast: number;
  readonly share: number;
  clean: number;
  flawed: number;
}

const byName = (one: string, other: string): number => (one < other ? -1 : one > other ? 1 : 0);

/**
 * Plays put together by kind, for each key that they were in, and last for none. In an order of
 * their own: whoever gives them in another one learns the same to the last digit.
 */
export function byKeyAndKind(reps: readonly RecordedRep[]): Map<string, Kind[]> {
  const kinds = new Map<string, Map<string, Kind>>();
  for (const { tempo, verdict, count = 1, share = 1, cycle, key = "" } of reps) {
    const ofKey = kinds.get(key) ?? new Map<string, Kind>();
    kinds.set(key, ofKey);
    const name = `${tempo} ${share} ${cycle?.base} ${cycle?.slow} ${cycle?.fast}`;
    const kind = ofKey.get(name) ?? {
      lnTempo: Math.log(tempo),
      lnBase: cycle && Math.log(cycle.base),
      slow: cycle?.slow ?? 0,
      fast: cycle?.fast ?? 1,
      share,
      clean: 0,
      flawed: 0,
    };
    kind[verdict] += count;
    ofKey.set(name, kind);
  }
  const inOrder = (ofKey: ReadonlyMap<string, Kind>) =>
    [...ofKey]
      .toSorted(([a, one], [b, other]) => one.lnTempo - other.lnTempo || byName(a, b))
      .map(([, kind]) => kind);
  return new Map(
    [...kinds]
      .toSorted(([a], [b]) => Number(a === "") - Number(b === "") || byName(a, b))
      .map(([key, ofKey]) => [key, inOrder(ofKey)]),
  );
}

const LN_SURE = Math.log(1 - LAPSE);
const LEAST_LOG = Math.log(1e-9);

/** ln P(clean) of the whole at a distance ln t − y, for a fall of a width. */
function lnClean(distance: number, width: number): number {
  const over = distance / width;
  // Far above the fall the logarithm of one and something is that something.
  return LN_SURE - (over > 30 ? over : Math.log1p(Math.exp(over)));
}

/**
 * ln likelihood of plays for someone whose fall is half done at `y` (ln of a tempo) on that day.
 * Flaws are taken to fall evenly over the bars: a share s of them is clean with P(whole)^s; a cycle
 * when all its plays are. A flaw is never less likely than a slip.
 */
export function logLikelihood(kinds: readonly Kind[], y: number, width: number): number {
  let sum = 0;
  for (const { lnTempo, lnBase, slow, fast, share, clean, flawed } of kinds) {
    let once = fast * lnClean(lnTempo - y, width);
    if (lnBase !== undefined) once += slow * lnClean(lnBase - y, width);
    const log = Math.max(LEAST_LOG, once * share);
    if (clean > 0) sum += clean * log;
    if (flawed > 0) sum += flawed * Math.log(Math.max(LAPSE, 1 - Math.exp(log)));
  }
  return sum;
}
