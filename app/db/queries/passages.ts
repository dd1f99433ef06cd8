import * as v from "valibot";
import { ladderSchema, type Ladder } from "~/core/ladder";
import type { PassageRange, PassageState, PassageNotes } from "~/core/score";
import type { BeatUnit } from "~/core/units";
import type { Queries } from "~/db/client";
import { idRow, passageRow, momentRow } from "./rows";

const PASSAGE = `
  select passage.id, passage.person_id, passage.piece_id, passage.name, passage.focus,
         passage.from_bar, passage.to_bar, passage.pickup_beats, passage.start_beats, passage.end_beats, passage.only_notes,
         passage.beat_unit,
         passage.hardness, passage.played_order,
         passage.state_set, passage.retired_at, to_jsonb(piece) as piece, ladder.ladder,
         latest.end_tempo as ended_tempo, latest.end_phase, latest.end_stage, latest.way,
         paced.pace, known_days.days, latest.day as last_day, known.passed,
         coalesce(played.plays, 0) as plays, keyed.weeks,
         (select count(*) from passage_day where passage_id = passage.id) as practice_days,
         (select reached_tempo from passage_day
          where passage_id = passage.id and reached_tempo is not null
          order by day desc limit 1) as reached, passage.given_from, passage.given_number,
         passage.given_exercise, passage.given_version,
         ladder.number as ladder_number
  from passage
  join piece on piece.id = passage.piece_id
  left join lateral (
    select ladder, number from ladder where passage_id = passage.id order by number desc limit 1
  ) ladder on true
  left join lateral (
    select end_tempo, end_phase, end_stage, way, session_block.day from session_block
    join session_outcome using (session_id)
    where passage_id = passage.id and plays > 0
    order by started_at desc limit 1
  ) latest on true
  left join lateral (
    select pace from session_block join session_outcome using (session_id)
    where passage_id = passage.id and pace is not null
    order by started_at desc limit 1
  ) paced on true
  left join lateral (
    select json_agg(json_build_object(
      'day', day, 'level', level, 'most', most
    ) order by day desc) as days
    from (
      select day, level, most from passage_day
      where passage_id = passage.id order by day desc limit 2
    ) newest
  ) known_days on true
  left join lateral (
    select jsonb_agg(jsonb_build_object(
      'material', material, 'tempo', tempo, 'top', top, 'whole', whole, 'days', days
    )) as passed
    from (
      select material, tempo, top, whole, count(*) as days from (
        select material, tempo, top, whole, day from passed_tempo
        where passage_id = passage.id group by material, tempo, top, whole, day
      ) on_days group by material, tempo, top, whole
    ) each_passed
  ) known on true
  left join lateral (
    select sum(plays)::integer as plays from session_block where passage_id = passage.id
  ) played on true
  left join lateral (
    select json_agg(json_build_object(
      'from_day', from_day, 'until_day', until_day, 'keys', coalesce(keys, '[]')
    ) order by from_day desc, set_at desc) as weeks
    from (
      select from_day, until_day, set_at, (
        select keys from week_item
        where assignment_id = assignment.id and passage_id = passage.id and decision <> 'finished'
        order by week_item.from_day desc, position limit 1
      ) as keys
      from assignment
      where studio_id = passage.studio_id and person_id = passage.person_id
      order by from_day desc, set_at desc limit 3
    ) newest
  ) keyed on true`;

export const passageById = (db: Queries, studioId: string, passageId: string) =>
  db.one(passageRow, `${PASSAGE} where passage.studio_id = $1 and passage.id = $2`, [
    studioId,
    passageId,
  ]);

/** Every passage of a studio, also those that are put away. */
export const passageIds = (db: Queries, studioId: string) =>
  db.many(v.object({ id: idRow }), "select id from passage where studio_id = $1", [studioId]);

/** A student's passages that are worked on, in the order of their pieces and bars. */
export const passagesOfPerson = (db: Queries, studioId: string, personId: string) =>
  db.many(
    passageRow,
    `${PASSAGE}
     where passage.studio_id = $1 and passage.person_id = $2 and passage.retired_at is null
     order by piece.created_at, piece.title, passage.from_bar, passage.to_bar, passage.created_at`,
    [studioId, personId],
  );

/** Passages of a piece that a student's teacher has put away, the latest first. */
export const passagesPutAway = (db: Queries, studioId: string, personId: string, pieceId: string) =>
  db.many(
    passageRow,
    `${PASSAGE}
     where passage.studio_id = $1 and passage.person_id = $2 and passage.piece_id = $3
       and passage.retired_at is not null order by passage.retired_at desc`,
    [studioId, personId, pieceId],
  );

/** What some students practise of a piece. */
export const passagesOfPiece = (
  db: Queries,
  studioId: string,
  pieceId: string,
  personIds: readonly string[],
) =>
  db.many(
    passageRow,
    `${PASSAGE}
     where passage.studio_id = $1 and passage.piece_id = $2
       and passage.person_id = any($3::uuid[]) and passage.retired_at is null`,
    [studioId, pieceId, personIds],
  );

/** Passages of the studio by their ids, those that are put away left out. */
export const passagesNamed = (db: Queries, studioId: string, ids: readonly string[]) =>
  db.many(
    passageRow,
    `${PASSAGE}
     where passage.studio_id = $1 and passage.id = any($2::uuid[]) and passage.retired_at is null`,
    [studioId, ids],
  );

export interface NewPassage extends PassageRange {
  readonly id: string;
  readonly personId: string;
  readonly pieceId: string;
  readonly name: string;
  readonly focus: string;
  readonly onlyNotes: PassageNotes;
  readonly hardness: number | null;
  readonly order: readonly number[];
  /** In which its tempi are told; null: that of its piece. */
  readonly beatUnit: BeatUnit | null;
  /** What it is given from; which of its ladders or versions is in force is kept with it. */
  readonly given?: GivenFrom | undefined;
}

/** A passage of somebody else, or an exercise in one of its versions. */
export type GivenFrom =
  { readonly passage: string } | { readonly exercise: string; readonly version: number };

export const insertPassage = (db: Queries, studioId: string, passage: NewPassage) =>
  db.execute(
    `insert into passage (id, studio_id, person_id, piece_id, name, focus,
       from_bar, to_bar, pickup_beats, start_beats, end_beats, only_notes, hardness, played_order,
       beat_unit, given_from, given_number, given_exercise, given_version)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16,
       (select max(number) from ladder where passage_id = $16), $17, $18)`,
    [
      passage.id,
      studioId,
      passage.personId,
      passage.pieceId,
      passage.name,
      passage.focus,
      passage.fromBar,
      passage.toBar,
      passage.pickupBeats,
      passage.startBeats,
      passage.endBeats,
      passage.onlyNotes,
      passage.hardness,
      passage.order.length > 0 ? [...passage.order] : null,
      passage.beatUnit,
      passage.given && "passage" in passage.given ? passage.given.passage : null,
      passage.given && "exercise" in passage.given ? passage.given.exercise : null,
      passage.given && "exercise" in passage.given ? passage.given.version : null,
    ],
  );

export const setHardness = (
  db: Queries,
  studioId: string,
  passageId: string,
  hardness: number | null,
) =>
  db.execute("update passage set hardness = $3 where studio_id = $1 and id = $2", [
    studioId,
    passageId,
    hardness,
  ]);

export const setPassageState = (
  db: Queries,
  studioId: string,
  passageId: string,
  state: PassageState | null,
) =>
  db.execute("update passage set state_set = $3 where studio_id = $1 and id = $2", [
    studioId,
    passageId,
    state,
  ]);

/** Takes a passage off the stand, or puts it back on. */
export const retirePassage = (db: Queries, studioId: string, passageId: string, at: Date | null) =>
  db.execute("update passage set retired_at = $3 where studio_id = $1 and id = $2", [
    studioId,
    passageId,
    at,
  ]);

/** Puts a new ladder in force; the earlier ones stay. */
export const insertLadder = (
  db: Queries,
  studioId: string,
  passageId: string,
  { id, ladder, at }: { readonly id: string; readonly ladder: Ladder; readonly at: Date },
) =>
  db.execute(
    `insert into ladder (id, studio_id, passage_id, number, ladder, created_at)
     select $1, $2, $3, coalesce(max(number), 0) + 1, $4::jsonb, $5
     from ladder where passage_id = $3`,
    [id, studioId, passageId, JSON.stringify(ladder), at],
  );

/** Every ladder that a passage was given, the first first. */
export const laddersOf = (db: Queries, studioId: string, passageId: string) =>
  db.many(
    v.object({ at: momentRow, ladder: ladderSchema }),
    `select created_at as at, ladder from ladder
     where studio_id = $1 and passage_id = $2 order by number`,
    [studioId, passageId],
  );
