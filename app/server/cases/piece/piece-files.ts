import { pieceMusicXml, type SaidOverBar } from "~/core/formats";
import { courseOfPiece } from "~/core/score";
import {
  barMarksOf,
  engravingOf,
  flawsByBar,
  notesOf,
  passagesOfPerson,
  pieceOfPerson,
  scoreOf,
  studioById,
} from "~/db/queries";
import type { PieceDocument } from "../../archive/piece-document";
import type { Told } from "../../archive/told";
import { todayIn, type Services } from "../../services";
import { stateOf } from "../../plan/passage-line";

const EVER = "0001-01-01";

/** A piece on a student's stand with everything that is written on it, as one document. */
export async function pieceDocument(
  services: Services,
  studioId: string,
  personId: string,
  pieceId: string,
): Promise<PieceDocument> {
  const { db } = services;
  const today = todayIn(services, await studioById(db, studioId));
  const piece = await pieceOfPerson(db, studioId, personId, pieceId);
  const [passages, flaws, marks, score, notes] = [
    await passagesOfPerson(db, studioId, personId),
    await flawsByBar(db, studioId, personId, pieceId, EVER),
    await barMarksOf(db, studioId, personId, pieceId),
    await scoreOf(db, studioId, pieceId),
    await notesOf(db, studioId, pieceId),
  ];
  return {
    format: "fidus-piece",
    version: 1,
    title: piece.title,
    origin: piece.origin,
    kind: piece.kind,
    bars: piece.bars,
    pickupBeats: piece.pickupBeats,
    metres: piece.metres,
    mark: { unit: piece.markUnit, bpm: piece.markBpm },
    tempi: piece.tempi,
    passages: passages
      .filter((passage) => passage.pieceId === pieceId)
      .map((passage) => ({
        name: passage.name,
        focus: passage.focus,
        fromBar: passage.fromBar,
        toBar: passage.toBar,
        pickupBeats: passage.pickupBeats,
        startBeats: passage.startBeats,
        endBeats: passage.endBeats,
        notes: passage.onlyNotes,
        order: [...passage.order],
        beatUnit: passage.beatUnit,
        state: stateOf(passage, today),
        ladder: passage.ladder,
      })),
    flaws,
    marks,
    score: score?.score ?? null,
    notes: notes?.notes ?? null,
  };
}

/** What is written over the bars: where passages begin, tempi, marks and flaws. */
function saidOver(told: Told, document: PieceDocument): Map<number, SaidOverBar> {
  const said = new Map<number, SaidOverBar>();
  const add = (bar: number, more: Partial<SaidOverBar>) => {
    const { rehearsal, words, tempo } = said.get(bar) ?? { rehearsal: [], words: [] };
    said.set(bar, {
      rehearsal: [...rehearsal, ...(more.rehearsal ?? [])],
      words: [...words, ...(more.words ?? [])],
      tempo: more.tempo ?? tempo,
    });
  };
  for (const { name, fromBar, toBar, focus } of document.passages) {
    add(fromBar, { rehearsal: [name || told.bars(fromBar, toBar)], words: focus ? [focus] : [] });
  }
  for (const { fromBar, unit, bpm, words } of courseOfPiece({
    ...document,
    markBpm: document.mark.bpm,
    markUnit: document.mark.unit,
  }).regions) {
    add(fromBar, { words: words ? [words] : [], tempo: { unit, bpm: Math.round(bpm * 10) / 10 } });
  }
  for (const { bar, mark } of document.marks) add(bar, { words: [told.state(mark)] });
  for (const { bar, flawed } of document.flaws) add(bar, { words: [told.flawed(flawed)] });
  return said;
}

/** The same piece as MusicXML, with all that the format has room for. */
export async function pieceAsMusicXml(
  { db }: Services,
  told: Told,
  studioId: string,
  pieceId: string,
  document: PieceDocument,
): Promise<string> {
  const engraving = document.score && (await engravingOf(db, studioId, pieceId));
  return pieceMusicXml(document, engraving?.engraving, saidOver(told, document));
}
