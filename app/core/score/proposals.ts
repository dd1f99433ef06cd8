import type { PassageState } from "./state";

/** How well a bar goes, as it was touched while reading the piece once. */
export type BarMarks = Readonly<Record<number, PassageState>>;

export interface Proposal {
  readonly fromBar: number;
  readonly toBar: number;
  readonly hardestBar: number;
}

/** A longer stretch is too much to be worked at as one. */
const MOST_BARS = 8;

interface Ranged {
  readonly fromBar: number;
  readonly toBar: number;
}

/**
 * Passages for the bars that don't go yet or nearly: neighbours joined, at most eight bars each, with
 * the hardest named: what does not go before what nearly does, then by how hard the notes are. What
 * lies in a passage already is left out.
 */
export function proposePassages(
  marks: BarMarks,
  hardness: Readonly<Record<number, number>>,
  passages: readonly Ranged[],
): Proposal[] {
  const inWork = (bar: number) => passages.some((each) => bar >= each.fromBar && bar <= each.toBar);
  const trouble = Object.entries(marks)
    .filter(([bar, mark]) => mark !== "safe" && !inWork(Number(bar)))
    .map(([bar]) => Number(bar))
    .sort((a, b) => a - b);
  const runs: number[][] = [];
  for (const bar of trouble) {
    const run = runs.at(-1);
    if (run?.at(-1) === bar - 1) run.push(bar);
    else runs.push([bar]);
  }
  const weight = (bar: number) => (marks[bar] === "raw" ? 2 : 0) + (hardness[bar] ?? 0);
  return runs.flatMap(evenly).map((bars) => ({
    fromBar: bars[0]!,
    toBar: bars.at(-1)!,
    hardestBar: bars.reduce((hardest, bar) => (weight(bar) > weight(hardest) ? bar : hardest)),
  }));
}

/** A long run in as few parts as it takes, none much shorter than another. */
function evenly(run: readonly number[]): number[][] {
  const parts = Math.ceil(run.length / MOST_BARS);
  return Array.from({ length: parts }, (_, i) =>
    run.slice(Math.round((i * run.length) / parts), Math.round(((i + 1) * run.length) / parts)),
  );
}
