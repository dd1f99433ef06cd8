import * as v from "valibot";
import { stagesSchema, type Stages } from "~/core/score";
import type { Queries } from "~/db/client";
import { idRow, pieceRow, type Piece } from "./rows";

const COLUMNS =
  "id, title, origin, kind, bars, pickup_beats, metres, mark_bpm, mark_unit, tempi, made";

export const pieceById = (db: Queries, studioId: string, pieceId: string) =>
  db.one(pieceRow, `select ${COLUMNS} from piece where studio_id = $1 and id = $2`, [
    studioId,
    pieceId,
  ]);

/** A piece that lies on a student's stand. */
export const pieceOfPerson = (db: Queries, studioId: string, personId: string, pieceId: string) =>
  db.one(
    pieceRow,
    `select ${COLUMNS} from piece join person_piece on person_piece.piece_id = piece.id
     where piece.studio_id = $1 and person_piece.person_id = $2 and piece.id = $3`,
    [studioId, personId, pieceId],
  );

/** What the pieces of a room are called. */
export const titlesOf = (db: Queries, studioId: string) =>
  db.many(
    v.object({ id: idRow, title: v.string() }),
    "select id, title from piece where studio_id = $1 order by title, id",
    [studioId],
  );

/** The pieces on a student's stand, newest first. */
export const piecesOfPerson = (db: Queries, studioId: string, personId: string) =>
  db.many(
    pieceRow,
    `select ${COLUMNS} from piece join person_piece on person_piece.piece_id = piece.id
     where piece.studio_id = $1 and person_piece.person_id = $2
     order by person_piece.added_at desc, title`,
    [studioId, personId],
  );

/** Lays a piece of the studio on a student's stand; false where it lies there already. */
export const putOnStand = async (
  db: Queries,
  studioId: string,
  personId: string,
  pieceId: string,
): Promise<boolean> => {
  const rows = await db.execute(
    `insert into person_piece (studio_id, person_id, piece_id) values ($1, $2, $3)
     on conflict do nothing`,
    [studioId, personId, pieceId],
  );
  return rows > 0;
};

const stagesRow = v.object({ piece_id: idRow, stages: v.nullable(stagesSchema) });

/** Where each of a student's pieces stands; null where the usual stages were never touched. */
export const stagesOf = (db: Queries, studioId: string, personId: string) =>
  db.many(
    stagesRow,
    "select piece_id, stages from person_piece where studio_id = $1 and person_id = $2",
    [studioId, personId],
  );

export const setStages = (
  db: Queries,
  studioId: string,
  personId: string,
  pieceId: string,
  stages: Stages,
) =>
  db.execute(
    `update person_piece set stages = $4::jsonb
     where studio_id = $1 and person_id = $2 and piece_id = $3`,
    [studioId, personId, pieceId, JSON.stringify(stages)],
  );

/** The values of a piece in the order of COLUMNS. */
const valuesOf = (piece: Piece) => [
  piece.id,
  piece.title,
  piece.origin,
  piece.kind,
  piece.bars,
  piece.pickupBeats,
  JSON.stringify(piece.metres),
  piece.markBpm,
  piece.markUnit,
  piece.tempi && JSON.stringify(piece.tempi),
  piece.made && JSON.stringify(piece.made),
];

export async function insertPiece(
  db: Queries,
  studioId: string,
  personId: string,
  piece: Piece,
): Promise<void> {
  await db.execute(
    `insert into piece (studio_id, ${COLUMNS})
     values ($1, $2, $3, $4, $5, $6, $7, $8::jsonb, $9, $10, $11::jsonb, $12::jsonb)`,
    [studioId, ...valuesOf(piece)],
  );
  await db.execute(
    "insert into person_piece (studio_id, person_id, piece_id) values ($1, $2, $3)",
    [studioId, personId, piece.id],
  );
}

export const updatePiece = (db: Queries, studioId: string, piece: Piece) =>
  db.execute(
    `update piece set title = $3, origin = $4, kind = $5, bars = $6, pickup_beats = $7,
       metres = $8::jsonb, mark_bpm = $9, mark_unit = $10, tempi = $11::jsonb,
       made = $12::jsonb
     where studio_id = $1 and id = $2`,
    [studioId, ...valuesOf(piece)],
  );

/** The bars at which passages in use begin and end, in reading order. */
export const barsCut = async (
  db: Queries,
  studioId: string,
  pieceId: string,
): Promise<number[]> => {
  const rows = await db.many(
    v.object({ bar: v.number() }),
    `select distinct bar from passage, unnest(array[from_bar, to_bar]) as bar
     where studio_id = $1 and piece_id = $2 and retired_at is null order by bar`,
    [studioId, pieceId],
  );
  return rows.map(({ bar }) => bar);
};

/** The last bar that a passage in use reaches; 0 without passages. */
export const lastBarCut = (db: Queries, studioId: string, pieceId: string) =>
  db.one(
    v.object({ last: v.number() }),
    `select coalesce(max(to_bar), 0) as last from passage
     where studio_id = $1 and piece_id = $2 and retired_at is null`,
    [studioId, pieceId],
  );
