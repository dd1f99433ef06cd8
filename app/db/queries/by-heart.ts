import * as v from "valibot";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { dayRow, idRow } from "./rows";

interface OfPiece {
  readonly personId: string;
  readonly pieceId: string;
}
interface Bars {
  readonly fromBar: number;
  readonly toBar: number;
}

const standingRow = v.object({ piece_id: idRow, bar: v.number(), since: dayRow });

/** The bars that stand by heart, of all of a student's pieces; none behind a piece's end. */
export const standingBars = (db: Queries, studioId: string, personId: string) =>
  db.many(
    standingRow,
    `select piece_id, bar, since from memory_bar join piece on piece.id = piece_id
     where memory_bar.studio_id = $1 and person_id = $2 and bar <= piece.bars
     order by piece_id, bar`,
    [studioId, personId],
  );

const testRow = v.pipe(
  v.object({
    piece_id: idRow,
    day: dayRow,
    from_bar: v.number(),
    to_bar: v.number(),
    stood: v.boolean(),
    looked: v.boolean(),
  }),
  v.transform(({ piece_id: pieceId, from_bar: fromBar, to_bar: toBar, ...rest }) => ({
    pieceId,
    fromBar,
    toBar,
    ...rest,
  })),
);

/** Tests of memory, of all of a student's pieces, oldest first. */
export const memoryTests = (db: Queries, studioId: string, personId: string) =>
  db.many(
    testRow,
    `select piece_id, day, from_bar, to_bar, stood, looked from memory_test
     where studio_id = $1 and person_id = $2 order by tested_at`,
    [studioId, personId],
  );

/** Bars stand from a day on; those that stood already keep their day. */
export const standBars = (
  db: Queries,
  studioId: string,
  { personId, pieceId, fromBar, toBar }: OfPiece & Bars,
  since: Day,
) =>
  db.execute(
    `insert into memory_bar (studio_id, person_id, piece_id, bar, since)
     select $1, $2, $3, bar, $6 from generate_series($4::integer, $5::integer) as bar
     on conflict (person_id, piece_id, bar) do nothing`,
    [studioId, personId, pieceId, fromBar, toBar, since],
  );

export const dropBars = (
  db: Queries,
  studioId: string,
  { personId, pieceId, fromBar, toBar }: OfPiece & Bars,
) =>
  db.execute(
    `delete from memory_bar
     where studio_id = $1 and person_id = $2 and piece_id = $3 and bar between $4 and $5`,
    [studioId, personId, pieceId, fromBar, toBar],
  );

/** Keeps a test; one that is there already is not kept again, and 0 is given. */
export const insertMemoryTest = (
  db: Queries,
  studioId: string,
  test: OfPiece &
    Bars & {
      readonly id: string;
      readonly day: Day;
      readonly stood: boolean;
      readonly looked: boolean;
      readonly at: Date;
    },
) =>
  db.execute(
    `insert into memory_test (id, studio_id, person_id, piece_id, day, from_bar, to_bar, stood,
       looked, tested_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10) on conflict (id) do nothing`,
    [
      test.id,
      studioId,
      test.personId,
      test.pieceId,
      test.day,
      test.fromBar,
      test.toBar,
      test.stood,
      test.looked,
      test.at.toISOString(),
    ],
  );
