import { metreAt, type MetreRegion } from "~/core/score";
import { fraction, type Metre } from "~/core/units";
import { valuesFor, writeMusicXml, type DraftBar } from "./draft";
import { barId, withSaid, type SaidOverBar } from "./music-xml";
import { escapeXml } from "./xml";

interface EmptyPiece {
  readonly title: string;
  readonly origin: string;
  readonly bars: number;
  readonly metres: readonly MetreRegion[];
}

const rests = ({ beats, unit }: Metre) =>
  valuesFor(fraction(beats, unit)).map((duration) => ({ pitches: [], duration }));

/** Bars of rest in the metres of a piece that has no notes. */
function emptyBars({ title, origin, bars, metres }: EmptyPiece): string {
  const written = Array.from({ length: bars }, (_, at): DraftBar => {
    const metre = metreAt(metres, at + 1);
    const fresh = at === 0 || metre !== metreAt(metres, at);
    return {
      voices: [rests(metre)],
      metre: fresh ? metre : undefined,
      ...(at === 0 ? { key: { fifths: 0, minor: false }, clefs: ["treble"] } : {}),
    };
  });
  const part = { name: title, transposition: 0, staves: 1, bars: written };
  const draft = { title, composer: origin, pickup: false, parts: [part], unread: [] };
  let bar = 0;
  return writeMusicXml(draft).replace(/<measure /g, (tag) => `${tag}id="${barId(++bar)}" `);
}

/** The engraver is not told whose the music is; whoever reads the file is. */
const withOrigin = (musicXml: string, origin: string): string =>
  origin && !musicXml.includes("<identification")
    ? musicXml.replace(
        "<part-list",
        () =>
          `<identification><creator type="composer">${escapeXml(origin)}</creator></identification><part-list`,
      )
    : musicXml;

/**
 * A piece as MusicXML: its notes as they are engraved, or empty bars, with what is said over them.
 */
export const pieceMusicXml = (
  piece: EmptyPiece,
  engraving: string | undefined,
  said: ReadonlyMap<number, SaidOverBar>,
): string =>
  withSaid(
    engraving === undefined ? emptyBars(piece) : withOrigin(engraving, piece.origin),
    said,
    barId,
  );
