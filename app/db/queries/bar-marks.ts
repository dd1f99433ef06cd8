import * as v from "valibot";
import { PASSAGE_STATES, type PassageState } from "~/core/score";
import type { Queries } from "~/db/client";

const markRow = v.object({ bar: v.number(), mark: v.picklist(PASSAGE_STATES) });

/** The bars that a student's piece has marks on, in reading order. */
export const barMarksOf = (db: Queries, studioId: string, personId: string, pieceId: string) =>
  db.many(
    markRow,
    `select bar, mark from bar_mark
     where studio_id = $1 and person_id = $2 and piece_id = $3 order by bar`,
    [studioId, personId, pieceId],
  );

interface MarkedBars {
  readonly personId: string;
  readonly pieceId: string;
  readonly fromBar: number;
  readonly toBar: number;
}

/** Marks bars, or takes their marks away. */
export async function markBars(
  db: Queries,
  studioId: string,
  { personId, pieceId, fromBar, toBar }: MarkedBars,
  mark: PassageState | undefined,
  at: Date,
): Promise<void> {
  if (mark === undefined) {
    await db.execute(
      `delete from bar_mark
       where studio_id = $1 and person_id = $2 and piece_id = $3 and bar between $4 and $5`,
      [studioId, personId, pieceId, fromBar, toBar],
    );
    return;
  }
  await db.execute(
    `insert into bar_mark (studio_id, person_id, piece_id, bar, mark, marked_at)
     select $1, $2, $3, bar, $6, $7 from generate_series($4::int, $5::int) as bar
     on conflict (person_id, piece_id, bar)
     do update set mark = excluded.mark, marked_at = excluded.marked_at`,
    [studioId, personId, pieceId, fromBar, toBar, mark, at.toISOString()],
  );
}
