import * as v from "valibot";
import type { Queries } from "~/db/client";
import { dayRow, momentRow } from "./rows";

const number = v.nullable(v.number());
const said = v.nullable(v.string());
const place = {
  day: dayRow,
  piece: v.string(),
  passage: v.string(),
  from_bar: v.number(),
  to_bar: v.number(),
};

const playRow = v.object({
  ...place,
  at: v.pipe(v.string(), v.toDate()),
  tempo: v.number(),
  beat_unit: v.string(),
  verdict: v.string(),
  flaw_bar: number,
  flaw_beat: number,
  flaw_what: said,
  from_memory: v.boolean(),
  key: said,
  layer: said,
  share: v.number(),
  factor: number,
});

/** So many are read at once: there are thousands in a year, and others ask meanwhile. */
const PLAYS_AT_ONCE = 1000;

/**
 * Every play of a student that was judged, in the order in which they were played, in parts. Each
 * comes as one text: cell by cell they take four times as long.
 */
export async function* playsOfStudent(db: Queries, studioId: string, personId: string) {
  for (let offset = 0; ; offset += PLAYS_AT_ONCE) {
    const plays = await somePlays(db, [studioId, personId, PLAYS_AT_ONCE, offset]);
    if (offset === 0 || plays.length > 0) yield plays;
    if (plays.length < PLAYS_AT_ONCE) return;
  }
}

async function somePlays(db: Queries, asked: readonly unknown[]) {
  const { plays } = await db.one(
    v.object({ plays: v.pipe(v.string(), v.parseJson(), v.array(playRow)) }),
    `select coalesce(json_agg(play), '[]')::text as plays from (select rep.day, rep.at, piece.title as piece, passage.name as passage, rep.from_bar,
       rep.to_bar, tempo, coalesce(passage.beat_unit, piece.mark_unit) as beat_unit, verdict,
       flaw_bar, flaw_beat, flaw_what, from_memory, key, layer, share, factor
     from rep join passage on passage.id = passage_id join piece on piece.id = passage.piece_id
     where rep.studio_id = $1 and passage.person_id = $2
     order by rep.at, rep.id limit $3 offset $4) play`,
    asked,
  );
  return plays;
}

const sessionRow = v.object({
  day: dayRow,
  started_at: momentRow,
  last_at: momentRow,
  minutes: v.number(),
  plays: v.number(),
  clean: v.number(),
  ended: said,
  feeling: said,
  notes: v.array(v.string()),
  questions: v.array(v.string()),
});

/** Every session of a student with what it came to. */
export const sessionsOfStudent = (db: Queries, studioId: string, personId: string) =>
  db.many(
    sessionRow,
    `select o.day, started_at, last_at, ended, feeling, notes, questions,
       (coalesce(sum(active_seconds), 0) + coalesce((
         select sum((task ->> 'seconds')::numeric) from jsonb_array_elements(tasks) as task
       ), 0)) / 60 as minutes,
       coalesce(sum(plays), 0) as plays, coalesce(sum(clean), 0) as clean
     from session_outcome o left join session_block using (session_id)
     where o.studio_id = $1 and o.person_id = $2
     group by o.session_id order by started_at, o.session_id`,
    [studioId, personId],
  );

const progressRow = v.object({
  ...place,
  beat_unit: v.string(),
  reached_tempo: number,
  comfortable: v.number(),
  comfortable_low: v.number(),
  comfortable_high: v.number(),
  ceiling: v.number(),
  ceiling_low: v.number(),
  ceiling_high: v.number(),
});

/** What was estimated of each passage of a student on each day on which it was played. */
export const progressOfStudent = (db: Queries, studioId: string, personId: string) =>
  db.many(
    progressRow,
    `select passage_day.day, piece.title as piece, passage.name as passage, from_bar, to_bar,
       coalesce(passage.beat_unit, piece.mark_unit) as beat_unit, reached_tempo, comfortable,
       comfortable_low, comfortable_high, ceiling, ceiling_low, ceiling_high
     from passage_day join passage on passage.id = passage_id
     join piece on piece.id = passage.piece_id
     where passage_day.studio_id = $1 and passage.person_id = $2
     order by passage_day.day, piece.title, from_bar, passage.id`,
    [studioId, personId],
  );

const handedInRow = v.object({
  at: momentRow,
  due: dayRow,
  title: v.string(),
  line: v.string(),
  answer: said,
  rating: v.string(),
  answered_at: v.nullable(momentRow),
  comments: v.array(v.string()),
});

/** What a student has handed in, and what was said of it. */
export const handedInOfStudent = (db: Queries, studioId: string, personId: string) =>
  db.many(
    handedInRow,
    `select hand_in.at, due, title, line, answer, rating, answered_at, coalesce((
       select jsonb_agg(concat_ws(': ', 'bar ' || bar,
         case when hash is null then text else concat_ws(' ', '(spoken)', nullif(text, '')) end)
         order by said.at, said.id)
       from hand_in_comment said where hand_in_id = hand_in.id), '[]') as comments
     from hand_in where studio_id = $1 and person_id = $2 order by hand_in.at, hand_in.id`,
    [studioId, personId],
  );
