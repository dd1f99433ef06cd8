import type { Bar } from "~/core/ladder";
import {
  barsOf,
  barsWithTempo,
  courseOfPiece,
  tempoOfBars,
  type PassageTempo,
  type PieceTempi,
} from "~/core/score";
import type { Passage } from "~/db/queries";

/** The regions of a piece; undefined where its tempo mark goes for all of it. */
export const courseOf = ({ tempi, ...piece }: Passage["piece"]): PieceTempi | undefined =>
  tempi ? courseOfPiece({ ...piece, tempi }) : undefined;

/** What a passage takes from the tempi of its piece. */
export function passageTempo(
  passage: Pick<Passage, "piece" | "beatUnit" | "fromBar" | "toBar">,
): PassageTempo {
  const { piece, beatUnit: unit } = passage;
  const course = courseOf(piece);
  return course
    ? tempoOfBars(course, passage, unit)
    : { full: piece.markBpm, unit, subdivision: 1, across: [], bends: false };
}

/** Bars of a passage's piece, each as it goes when that passage is played. */
export function barsPlayed(
  { piece, fromBar, ladder }: Pick<Passage, "piece" | "fromBar" | "ladder">,
  range: { readonly fromBar: number; readonly toBar: number },
): Bar[] {
  const bars = barsOf(piece.metres, range);
  const course = courseOf(piece);
  return course ? barsWithTempo(course, fromBar, bars, ladder?.steady ?? false) : bars;
}
