import { LONGEST_UNBROKEN_MINUTES, MINUTE_MS, stretchesOf } from "~/core/units";
import { onceAfterMany, rungBefore, tooNearTheLimit, type Tally } from "~/core/ladder";
import type { BetweenKind } from "./between-kinds";
import { currentBlock, type Play, type StandState } from "./state";

export type Between =
  | { readonly kind: "break"; readonly minutes: number }
  | { readonly kind: "near-limit"; readonly near: number; readonly plays: number }
  | { readonly kind: "one-clean"; readonly tempo: number; readonly plays: number };

/** Half an hour and more of playing without a break of some minutes. */
function noBreak({ plays, advised, lastAt }: StandState): Between | undefined {
  const since = plays.slice(advised.break ?? 0);
  const last = stretchesOf(since.map(({ at }) => at)).at(-1);
  if (!last) return undefined;
  const minutes = ((lastAt ?? last.to) - last.from) / MINUTE_MS;
  return minutes > LONGEST_UNBROKEN_MINUTES ? { kind: "break", minutes } : undefined;
}

/** Judged plays by tempo, of the passage that is on. */
function talliesOf(plays: readonly Play[]): Tally[] {
  const byTempo = new Map<number, Tally>();
  for (const { tempo, verdict } of plays) {
    const { plays: n, clean } = byTempo.get(tempo) ?? { plays: 0, clean: 0 };
    byTempo.set(tempo, { tempo, plays: n + 1, clean: clean + (verdict === "clean" ? 1 : 0) });
  }
  return [...byTempo.values()];
}

const judgedOf = (state: StandState, kind: BetweenKind): Play[] =>
  state.plays
    .slice(state.advised[kind] ?? 0)
    .filter((play) => play.blockIndex === state.blockIndex && play.verdict && !play.endingWell);

/** Too much of it near the limit, and the last one broke. */
function nearLimit(state: StandState): Between | undefined {
  const { ceiling } = currentBlock(state).plan;
  const judged = judgedOf(state, "near-limit");
  if (ceiling === null || judged.at(-1)?.verdict !== "flawed") return undefined;
  const found = tooNearTheLimit(talliesOf(judged), ceiling);
  return found && { kind: "near-limit", ...found };
}

/** It has just gone on after one clean play of many. */
function oneClean(state: StandState): Between | undefined {
  const { state: block } = currentBlock(state);
  const judged = judgedOf(state, "one-clean");
  const last = judged.at(-1);
  const left = block.passed.at(-1);
  // A cycle of slow and fast plays has a gate of its own.
  if (!left || last?.rung !== left.rung || block.rung <= left.rung || last.cycle) return undefined;
  const [tally] = talliesOf(judged.filter((play) => play.rung === left.rung));
  if (!tally || !onceAfterMany(tally)) return undefined;
  return { kind: "one-clean", tempo: left.tempo, plays: tally.plays };
}

/** What is advised before the next play: a break, or a rung lower; each until it was answered. */
export function betweenPlays(state: StandState): Between | undefined {
  if ((state.ended ?? state.resting ?? state.endingWell ?? state.pending) !== undefined) {
    return undefined;
  }
  const { state: block } = currentBlock(state);
  const tired = noBreak(state);
  if (tired) return tired;
  const below = rungBefore(block.rungs, block.rung, block.tempo, 1);
  const canLower = below !== undefined && below.tempo < block.tempo;
  return canLower ? (nearLimit(state) ?? oneClean(state)) : undefined;
}

const LOWERING: readonly BetweenKind[] = ["near-limit", "one-clean"];

/** Some advice was answered: it comes again only for what is played from now on. */
export function answered(state: StandState, kinds: readonly BetweenKind[] = LOWERING): StandState {
  const now = Object.fromEntries(kinds.map((kind) => [kind, state.plays.length]));
  return { ...state, advised: { ...state.advised, ...now } };
}
