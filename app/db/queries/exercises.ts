import * as v from "valibot";
import { madeSchema } from "~/core/exercise";
import { ladderSchema, type Ladder } from "~/core/ladder";
import { PASSAGE_NOTES, type PassageNotes, type PassageRange } from "~/core/score";
import type { Queries } from "~/db/client";
import { dayRow, idRow, pieceRow } from "./rows";

const exercisePassageRow = v.object({
  fromBar: v.number(),
  toBar: v.number(),
  pickupBeats: v.number(),
  startBeats: v.optional(v.number(), 0),
  endBeats: v.number(),
  onlyNotes: v.optional(v.picklist(PASSAGE_NOTES), "all"),
  hardness: v.optional(v.nullable(v.number()), null),
  order: v.optional(v.array(v.number()), []),
  name: v.string(),
  focus: v.string(),
  ladder: v.nullable(ladderSchema),
});

/** A passage as an exercise has it: nobody's yet. */
export type ExercisePassage = PassageRange & {
  readonly onlyNotes: PassageNotes;
  readonly hardness: number | null;
  readonly order: readonly number[];
  readonly name: string;
  readonly focus: string;
  readonly ladder: Ladder | null;
};

const exerciseRow = v.object({
  id: idRow,
  name: v.string(),
  piece_id: idRow,
  piece: pieceRow,
  version: v.number(),
  passages: v.array(exercisePassageRow),
});
export type Exercise = v.InferOutput<typeof exerciseRow>;

const EXERCISE = `
  select exercise.id, name, piece_id, to_jsonb(piece) as piece, version, passages
  from exercise join piece on piece.id = piece_id`;

export const exerciseById = (db: Queries, studioId: string, id: string) =>
  db.one(exerciseRow, `${EXERCISE} where exercise.studio_id = $1 and exercise.id = $2`, [
    studioId,
    id,
  ]);

/** The exercises of a studio, by name. */
export const exercisesOf = (db: Queries, studioId: string) =>
  db.many(
    v.object({ id: idRow, name: v.string() }),
    `select id, name from exercise where studio_id = $1 order by name collate "und-x-icu"`,
    [studioId],
  );

/** Keeps a piece as an exercise; kept again it is the next version of the same one. */
export const keepExercise = (
  db: Queries,
  studioId: string,
  kept: {
    readonly id: string;
    readonly pieceId: string;
    readonly name: string;
    readonly passages: readonly ExercisePassage[];
    readonly at: Date;
  },
) =>
  db.execute(
    `insert into exercise (id, studio_id, piece_id, name, passages, kept_at)
     values ($1, $2, $3, $4, $5::jsonb, $6)
     on conflict (studio_id, piece_id) do update set name = excluded.name,
       passages = excluded.passages, kept_at = excluded.kept_at, version = exercise.version + 1`,
    [kept.id, studioId, kept.pieceId, kept.name, JSON.stringify(kept.passages), kept.at],
  );

const drawnRow = v.object({ id: idRow, name: v.string(), last: v.nullable(dayRow) });

/** What an exercise trains: how it was made, or what kind of piece it is. */
const TECHNIQUE = `coalesce(piece.made -> 'recipe' -> 'pattern' ->> 'kind', piece.kind)`;

/** The techniques that a room's exercises have. */
export const techniquesOf = async (db: Queries, studioId: string): Promise<string[]> =>
  (
    await db.many(
      v.object({ technique: v.string() }),
      `select distinct ${TECHNIQUE} as technique from exercise join piece on piece.id = piece_id
       where exercise.studio_id = $1 order by technique`,
      [studioId],
    )
  ).map(({ technique }) => technique);

interface Draw {
  /** Empty: any. */
  readonly technique: string;
  /** Part of the name; empty: any. */
  readonly find: string;
  /** Which of the draws: others come among those that were played equally long ago. */
  readonly draw: number;
}

/** Three exercises that a student never did, or did longest ago. */
export const notDoneLately = (
  db: Queries,
  studioId: string,
  personId: string,
  { technique, find, draw }: Draw,
) =>
  db.many(
    drawnRow,
    `select exercise.id, exercise.name, max(block.day) as last
     from exercise join piece on piece.id = exercise.piece_id
     left join passage on passage.person_id = $2
       and (passage.given_exercise = exercise.id or passage.piece_id = exercise.piece_id)
     left join session_block block on block.passage_id = passage.id
     where exercise.studio_id = $1 and ($3 = '' or ${TECHNIQUE} = $3)
       and ($4 = '' or position(lower($4) in lower(exercise.name)) > 0)
     group by exercise.id order by last nulls first, md5(exercise.id::text || $5) limit 3`,
    [studioId, personId, technique, find, String(draw)],
  );

/** How the newest exercise of a student was made: its compass is theirs. */
export const lastMade = async (db: Queries, studioId: string, personId: string) =>
  (
    await db.maybeOne(
      v.object({ made: madeSchema }),
      `select made from piece join person_piece on person_piece.piece_id = piece.id
       where piece.studio_id = $1 and person_piece.person_id = $2 and made is not null
       order by piece.created_at desc limit 1`,
      [studioId, personId],
    )
  )?.made;
