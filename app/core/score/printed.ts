import { barsIn, type PaperLayout } from "./paper";
import { firstPosition, type Score } from "./score";

/** The bars at which lines and pages begin; one alone says nothing and is left out. */
export interface PrintedBegins {
  readonly lines: readonly number[];
  readonly pages: readonly number[];
}

/** A pickup belongs to the line of bar 1. */
const told = (bars: readonly number[]): number[] => {
  const begins = [...new Set([1, ...bars.map((bar) => Math.max(1, bar))])];
  return begins.length > 1 ? begins : [];
};

/** Lines and pages as the maker of a score had them printed. */
export function printedInScore(score: Score): PrintedBegins {
  const first = firstPosition(score);
  const at = (kinds: readonly string[]) =>
    score.bars.flatMap(({ begins }, index) =>
      begins && kinds.includes(begins) ? [index + first] : [],
    );
  return { lines: told(at(["line", "page"])), pages: told(at(["page"])) };
}

/** The systems and pages on which bars were drawn over paper; the first bar has position `first`. */
export function printedOnPaper(layout: PaperLayout, first: number): PrintedBegins {
  const lines: number[] = [];
  const pages: number[] = [];
  let bar = first;
  layout.forEach((system, at) => {
    lines.push(bar);
    if (system.page !== layout[at - 1]?.page) pages.push(bar);
    bar += barsIn(system);
  });
  return { lines: told(lines), pages: told(pages) };
}
