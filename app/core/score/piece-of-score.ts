import { formatMetre, valueOf, type Fraction } from "~/core/units";
import { usualBeatUnit, type MetreRegion, type PieceShape } from "./piece";
import { firstPosition, type Score } from "./score";

/** Where a score says nothing of it. */
const USUAL_MARK = 90;

/** Beats that a pickup takes up, begun ones counted whole. */
const beatsIn = (length: Fraction, unit: number): number => Math.ceil(valueOf(length) * unit);

/** The shape that a score gives its piece: bars, pickup, metres, and the first tempo marked. */
export function pieceOfScore(score: Score): PieceShape {
  const [opening] = score.bars;
  const first = firstPosition(score);
  const metres: MetreRegion[] = [];
  score.bars.forEach(({ metre }, index) => {
    const fromBar = index + first;
    const before = metres.at(-1);
    if (fromBar === 0 || (before && formatMetre(before.metre) === formatMetre(metre))) return;
    metres.push({ fromBar, metre });
  });
  const marked = score.tempi.find(({ bpm }) => bpm !== null);
  const { metre } = metres[0]!;
  const pickup = score.pickup ? beatsIn(opening!.length, metre.unit) : 0;
  return {
    bars: score.bars.length - (score.pickup ? 1 : 0),
    pickupBeats: Math.min(metre.beats - 1, pickup),
    metres,
    markBpm: marked?.bpm ?? USUAL_MARK,
    markUnit: marked?.unit ?? usualBeatUnit(metre),
  };
}

const metresText = (metres: readonly MetreRegion[]): string =>
  metres
    .map(({ fromBar, metre }, i) => `${i > 0 ? `${fromBar} ` : ""}${formatMetre(metre)}`)
    .join(", ");

/** Where a score says something else than its piece, in sentences; its tempo only if it marks one. */
export function shapeDifferences(
  piece: PieceShape,
  score: PieceShape,
  marksTempo: boolean,
): string[] {
  const told: string[] = [];
  const tell = (what: string, file: string | number, here: string | number) => {
    if (file !== here) told.push(`The file says ${what} ${file}, the piece ${here}.`);
  };
  tell("bars:", score.bars, piece.bars);
  tell("pickup beats:", score.pickupBeats, piece.pickupBeats);
  tell("metre:", metresText(score.metres), metresText(piece.metres));
  if (marksTempo) {
    tell("tempo:", `${score.markUnit} = ${score.markBpm}`, `${piece.markUnit} = ${piece.markBpm}`);
  }
  return told;
}
