import { barAt, firstPosition, metreAt, type MetreRegion, type Score } from "~/core/score";
import { formatMetre } from "~/core/units";
import { notationWords } from "~/words/notation";

/** What is shown and said of the bars of a piece, by position. */
export interface BarsShown {
  /** The first bar that can be chosen, and the last. */
  readonly first: number;
  readonly last: number;
  /** As it is printed. */
  readonly label: (position: number) => string;
  /** Its metre, key and notes, as far as they are known. */
  readonly said: (position: number) => string;
}

/** The bars of notes, told as they are for one part. */
export function barsOfScore(score: Score, partId: string): BarsShown {
  const first = firstPosition(score);
  const part = Math.max(
    0,
    score.parts.findIndex(({ id }) => id === partId),
  );
  const label = (position: number) => (position === 0 ? "" : (barAt(score, position)?.label ?? ""));
  return {
    first: Math.max(1, first),
    last: first + score.bars.length - 1,
    label,
    said: (position) => {
      const bar = barAt(score, position);
      if (!bar) return "";
      const { metre, fifths, notes } = bar;
      const name = position === 0 ? notationWords.pickup : label(position);
      return notationWords.bar(name, formatMetre(metre), { fifths, notes: notes[part] ?? 0 });
    },
  };
}

/** The bars of pages on paper: what they hold nobody has read. */
export const barsOfPaper = (piece: {
  readonly bars: number;
  readonly metres: readonly MetreRegion[];
}): BarsShown => ({
  first: 1,
  last: piece.bars,
  label: (position) => (position === 0 ? "" : String(position)),
  said: (position) =>
    notationWords.bar(
      position === 0 ? notationWords.pickup : String(position),
      formatMetre(metreAt(piece.metres, Math.max(1, position))),
    ),
});
