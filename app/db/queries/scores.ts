import * as v from "valibot";
import { SCORE_FORMATS, type ScoreFile } from "~/core/formats";
import { PASSAGE_NOTES, scoreNotesSchema, scoreSchema } from "~/core/score";
import type { Queries } from "~/db/client";
import { idRow } from "./rows";

const scoreRow = v.object({
  id: idRow,
  edition: v.number(),
  file_name: v.string(),
  format: v.picklist(SCORE_FORMATS),
  score: scoreSchema,
});
export type StoredScore = v.InferOutput<typeof scoreRow>;

const NEWEST = "where studio_id = $1 and piece_id = $2 order by edition desc limit 1";

/** The newest edition of a piece's notes, without the notes themselves. */
export const scoreOf = (db: Queries, studioId: string, pieceId: string) =>
  db.maybeOne(scoreRow, `select id, edition, file_name, format, score from score ${NEWEST}`, [
    studioId,
    pieceId,
  ]);

/** The scores of the pieces that passages are cut from; those without notes are not among them. */
export const scoresOfPassages = (db: Queries, studioId: string, passageIds: readonly string[]) =>
  db.many(
    v.object({ passage_id: idRow, only_notes: v.picklist(PASSAGE_NOTES), score: scoreSchema }),
    `select distinct on (passage.id) passage.id as passage_id, passage.only_notes, score.score
     from passage join score using (studio_id, piece_id)
     where passage.studio_id = $1 and passage.id = any($2::uuid[])
     order by passage.id, score.edition desc`,
    [studioId, passageIds],
  );

/** What the engraver is given of the newest edition. */
export const engravingOf = (db: Queries, studioId: string, pieceId: string) =>
  db.maybeOne(v.object({ engraving: v.string() }), `select engraving from score ${NEWEST}`, [
    studioId,
    pieceId,
  ]);

/** The notes of the newest edition, bar by bar. */
export const notesOf = (db: Queries, studioId: string, pieceId: string) =>
  db.maybeOne(v.object({ notes: scoreNotesSchema }), `select notes from score ${NEWEST}`, [
    studioId,
    pieceId,
  ]);

/** The file of the newest edition as it came. */
export const originalOf = (db: Queries, studioId: string, pieceId: string) =>
  db.one(
    v.object({ file_name: v.string(), original: v.instance(Uint8Array) }),
    `select file_name, original from score ${NEWEST}`,
    [studioId, pieceId],
  );

export const insertScore = (
  db: Queries,
  studioId: string,
  given: {
    readonly id: string;
    readonly pieceId: string;
    readonly fileName: string;
    readonly original: Uint8Array;
    readonly file: ScoreFile;
    readonly at: Date;
  },
) =>
  db.execute(
    `insert into score (id, studio_id, piece_id, edition, file_name, format, original, score,
       notes, engraving, added_at)
     select $1, $2, $3, coalesce(max(edition), 0) + 1, $4, $5, $6, $7::jsonb, $8::jsonb, $9, $10
     from score where studio_id = $2 and piece_id = $3`,
    [
      given.id,
      studioId,
      given.pieceId,
      given.fileName,
      given.file.format,
      given.original,
      JSON.stringify(given.file.score),
      JSON.stringify(given.file.notes),
      given.file.engraving,
      given.at.toISOString(),
    ],
  );

/** The part that a student plays of a piece; null where none was chosen. */
export const partOf = (db: Queries, studioId: string, personId: string, pieceId: string) =>
  db.one(
    v.object({ part_id: v.nullable(v.string()) }),
    "select part_id from person_piece where studio_id = $1 and person_id = $2 and piece_id = $3",
    [studioId, personId, pieceId],
  );

export const setPart = (
  db: Queries,
  studioId: string,
  personId: string,
  pieceId: string,
  partId: string,
) =>
  db.execute(
    `update person_piece set part_id = $4
     where studio_id = $1 and person_id = $2 and piece_id = $3`,
    [studioId, personId, pieceId, partId],
  );
