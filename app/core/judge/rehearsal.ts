import type { Span } from "../record";

/** Plays that went over a bar. */
export interface BarTally {
  readonly plays: number;
  readonly flawed: number;
  /** Flawed ones that say in which bar. */
  readonly told: number;
  /** Those that name this one. */
  readonly here: number;
}

/** What one player's record says of a piece, bar by bar. */
export interface PlayerRecord {
  readonly bars: ReadonlyMap<number, BarTally>;
  /** The comfortable tempo of each passage that is practised, in one beat unit. */
  readonly passages: readonly {
    readonly fromBar: number;
    readonly toBar: number;
    readonly comfortable: Span;
  }[];
}

export interface RehearsalBar {
  readonly bar: number;
  /** Players who have played it often enough to tell. */
  readonly told: number;
  /** Those of them for whom it fails. */
  readonly failing: number;
  /** What nine in ten of those who practise it can play clean. */
  readonly together: Span | undefined;
}

export interface RehearsalRun {
  readonly fromBar: number;
  readonly toBar: number;
  /** The bar of the run that fails for most. */
  readonly worst: RehearsalBar;
  /** What holds together over the run: its slowest bar. */
  readonly together: Span | undefined;
}

/** Fewer plays tell nothing of a bar. */
const FEWEST_PLAYS = 5;
/** A bar fails for a player when so many of their plays go wrong in it. */
const FAILS_FROM = 1 / 10;
/** A bar is worth everybody's time when it fails for so many. */
const FOR_SO_MANY = 1 / 4;
/** Nine in ten hold together. */
const TOGETHER = 0.9;
/** ± so many standard deviations hold 80 %. */
const EIGHTY = 1.2816;

/** The share of plays that go wrong in a bar: flaws whose bar is not told fall like those told. */
const failingShare = ({ plays, flawed, told, here }: BarTally): number =>
  told === 0 ? 0 : (flawed / plays) * (here / told);

/** P(Z ≤ z) of a standard normal (Abramowitz and Stegun, 26.2.17; error below 1e-7). */
function normalBelow(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const upper = (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * tail;
  return z > 0 ? 1 - upper : upper;
}

/** How likely a player's comfortable tempo is below another, by its 80 % span in ln-tempo. */
function belowAt(tempo: number, { low, value, high }: Span): number {
  const spread = Math.max(1e-3, Math.log(high / low) / (2 * EIGHTY));
  return normalBelow((Math.log(tempo) - Math.log(value)) / spread);
}

/** How likely at most so many of the players are too slow for a tempo: exact, player by player. */
function holdsAt(tempo: number, players: readonly Span[], most: number): number {
  // chances[k]: exactly k of the players so far are too slow.
  let chances = [1];
  for (const player of players) {
    const slow = belowAt(tempo, player);
    const next = Array.from({ length: Math.min(most + 1, chances.length + 1) }, (_, k) => {
      const stays = (chances[k] ?? 0) * (1 - slow);
      return stays + (k > 0 ? chances[k - 1]! * slow : 0);
    });
    chances = next;
  }
  return chances.slice(0, most + 1).reduce((sum, each) => sum + each, 0);
}

/**
 * The tempo that nine in ten of the players can play clean (a clean play is nearly certain to
 * them), with the 80 % span that follows from what is believed of each. Nothing without players.
 */
export function tempoTogether(players: readonly Span[]): Span | undefined {
  if (players.length === 0) return undefined;
  const most = Math.floor((1 - TOGETHER) * players.length + 1e-9);
  const at = (chance: number) => {
    let [low, high] = [5, 800];
    for (let step = 0; step < 30; step++) {
      const middle = Math.sqrt(low * high);
      if (holdsAt(middle, players, most) > chance) low = middle;
      else high = middle;
    }
    return Math.sqrt(low * high);
  };
  return { low: at(0.9), value: at(0.5), high: at(0.1) };
}

/** The slowest of a player's passages over a bar: what they can play it in, whatever comes before. */
function comfortableAt(bar: number, { passages }: PlayerRecord): Span | undefined {
  const over = passages.filter(({ fromBar, toBar }) => fromBar <= bar && bar <= toBar);
  return over
    .map(({ comfortable }) => comfortable)
    .toSorted((a, b) => a.value - b.value)
    .at(0);
}

/** A piece before its rehearsal, bar by bar. */
export function beforeRehearsal(bars: number, players: readonly PlayerRecord[]): RehearsalBar[] {
  // Bars that the same passages go over hold together at the same tempo.
  const known = new Map<string, Span | undefined>();
  const together = (spans: readonly Span[]) => {
    const key = JSON.stringify(spans);
    if (!known.has(key)) known.set(key, tempoTogether(spans));
    return known.get(key);
  };
  return Array.from({ length: bars }, (_, index) => {
    const bar = index + 1;
    const tellers = players.flatMap((player) => {
      const record = player.bars.get(bar);
      return record && record.plays >= FEWEST_PLAYS ? [record] : [];
    });
    const failing = tellers.filter((tally) => failingShare(tally) >= FAILS_FROM).length;
    const spans = players.flatMap((player) => comfortableAt(bar, player) ?? []);
    return { bar, told: tellers.length, failing, together: together(spans) };
  });
}

const share = ({ told, failing }: RehearsalBar): number => (told === 0 ? 0 : failing / told);

/**
 * What to rehearse: bars that fail for a quarter of those who played them or more, neighbours
 * together, the worst first; at most three.
 */
export function toRehearse(bars: readonly RehearsalBar[], runs = 3): RehearsalRun[] {
  const failing = bars.filter((bar) => bar.failing > 0 && share(bar) >= FOR_SO_MANY);
  const groups: RehearsalBar[][] = [];
  for (const bar of failing) {
    const group = groups.at(-1);
    if (group?.at(-1)?.bar === bar.bar - 1) group.push(bar);
    else groups.push([bar]);
  }
  return groups
    .map((group) => ({
      fromBar: group[0]!.bar,
      toBar: group.at(-1)!.bar,
      worst: group.toSorted((a, b) => share(b) - share(a) || b.failing - a.failing)[0]!,
      together: group
        .flatMap(({ together }) => together ?? [])
        .toSorted((a, b) => a.value - b.value)
        .at(0),
    }))
    .toSorted((a, b) => share(b.worst) - share(a.worst) || b.worst.failing - a.worst.failing)
    .slice(0, runs);
}
