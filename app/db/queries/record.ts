import * as v from "valibot";
import { levelSchema } from "~/core/record";
import { beatUnitSchema } from "~/core/score";
import { BLOCK_KINDS, FEELINGS, FLAWS, RATED, RATINGS } from "~/core/session";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { dayRow, idRow, momentRow } from "./rows";

/** Where flaws fell in a piece, for one student: bar by bar, since a day. */
export const flawsByBar = (
  db: Queries,
  studioId: string,
  personId: string,
  pieceId: string,
  since: Day,
) =>
  db.many(
    v.object({ bar: v.number(), flawed: v.number() }),
    `select flaw_bar as bar, count(*) as flawed from rep join passage on passage.id = passage_id
     where rep.studio_id = $1 and person_id = $2 and piece_id = $3 and rep.day >= $4
       and flaw_bar is not null
     group by flaw_bar order by flaw_bar`,
    [studioId, personId, pieceId, since],
  );

/** Bar by bar for some students: plays of a piece that went over it, and where their flaws fell. */
export const barTallies = (
  db: Queries,
  studioId: string,
  pieceId: string,
  { of, since }: { readonly of: readonly string[]; readonly since: Day },
) =>
  db.many(
    v.object({
      person_id: idRow,
      bar: v.number(),
      plays: v.number(),
      flawed: v.number(),
      told: v.number(),
      here: v.number(),
    }),
    `select person_id, bar, count(*)::integer as plays,
       (count(*) filter (where verdict = 'flawed'))::integer as flawed,
       (count(*) filter (where flaw_bar is not null))::integer as told,
       (count(*) filter (where flaw_bar = bar))::integer as here
     from rep join passage on passage.id = passage_id
     cross join lateral generate_series(rep.from_bar, rep.to_bar) bar
     where rep.studio_id = $1 and piece_id = $2 and person_id = any($3::uuid[]) and rep.day >= $4
     group by person_id, bar`,
    [studioId, pieceId, of, since],
  );

/** The beats on which flaws fell most, where they were told with one, since a day. */
export const flawBeats = (
  db: Queries,
  studioId: string,
  personId: string,
  pieceId: string,
  since: Day,
) =>
  db.many(
    v.object({ bar: v.number(), beat: v.number(), flawed: v.number() }),
    `select flaw_bar as bar, flaw_beat as beat, count(*) as flawed
     from rep join passage on passage.id = passage_id
     where rep.studio_id = $1 and person_id = $2 and piece_id = $3 and rep.day >= $4
       and flaw_bar is not null and flaw_beat is not null
     group by flaw_bar, flaw_beat order by flawed desc, flaw_bar, flaw_beat limit 3`,
    [studioId, personId, pieceId, since],
  );

/** How many plays of a session were from memory, and how many of them clean. */
export const fromMemoryOf = (db: Queries, studioId: string, sessionId: string) =>
  db.one(
    v.object({ plays: v.number(), clean: v.number() }),
    `select count(*) as plays, count(*) filter (where verdict = 'clean') as clean from rep
     where studio_id = $1 and session_id = $2 and from_memory`,
    [studioId, sessionId],
  );

const keyRow = v.object({
  key: v.string(),
  plays: v.number(),
  clean: v.number(),
  fastest: v.nullable(v.number()),
  last: dayRow,
});

/** What was played of a passage in each key that it was asked for in, the latest first. */
export const recordByKey = (db: Queries, studioId: string, passageId: string) =>
  db.many(
    keyRow,
    `select key, count(*) as plays, count(*) filter (where verdict = 'clean') as clean,
       max(tempo) filter (where verdict = 'clean' and share = 1) as fastest, max(day) as last
     from rep where studio_id = $1 and passage_id = $2 and key is not null
     group by key order by last desc, key`,
    [studioId, passageId],
  );

export const passageDayRow = v.object({
  day: dayRow,
  reached_tempo: v.nullable(v.number()),
  comfortable: v.number(),
  comfortable_low: v.number(),
  comfortable_high: v.number(),
  /** Null while nothing near it was tried. */
  ceiling: v.nullable(v.number()),
  plays: v.number(),
  clean: v.number(),
  minutes: v.number(),
});
export type PassageDay = v.InferOutput<typeof passageDayRow>;

/** Day by day: reached, comfortable, ceiling, and what was played. */
export const passageDays = (db: Queries, studioId: string, passageId: string) =>
  db.many(
    passageDayRow,
    `select passage_day.day, passage_day.reached_tempo, comfortable, comfortable_low,
       comfortable_high, case when ceiling_low <= most then ceiling end as ceiling, sum(plays)::integer as plays, sum(clean)::integer as clean,
       sum(active_seconds) / 60 as minutes
     from passage_day join session_block using (passage_id, day)
     where passage_day.studio_id = $1 and passage_id = $2
     group by passage_day.passage_id, passage_day.day order by passage_day.day`,
    [studioId, passageId],
  );

/** Judged plays of a passage by day and tempo: of all of it, as it should be. */
export const playsOfPassage = (db: Queries, studioId: string, passageId: string) =>
  db.many(
    v.object({ day: dayRow, tempo: v.number(), plays: v.number(), clean: v.number() }),
    `select day, tempo, count(*)::integer as plays,
       (count(*) filter (where verdict = 'clean'))::integer as clean
     from rep where studio_id = $1 and passage_id = $2 and layer is null and share >= 1
     group by day, tempo order by day, tempo`,
    [studioId, passageId],
  );

/** What was believed of a student's passages at the end of each of their weeks, since a day. */
export const levelsByWeek = (db: Queries, studioId: string, personId: string, since: Day) =>
  db.many(
    v.object({ passage_id: idRow, day: dayRow, level: levelSchema }),
    `select distinct on (passage_id, ($3::date - day) / 7) passage_id, day, level
     from passage_day join passage on passage.id = passage_id
     where passage_day.studio_id = $1 and passage.person_id = $2 and day > $3
     order by passage_id, ($3::date - day) / 7, day desc`,
    [studioId, personId, since],
  );

/** What is believed of each passage of a student that was played on so many days at least. */
export const levelsOfPerson = (
  db: Queries,
  studioId: string,
  personId: string,
  leastDays: number,
) =>
  db.many(
    v.object({ level: levelSchema }),
    `select distinct on (passage_id) level from (
       select passage_id, day, level, count(*) over (partition by passage_id) as days
       from passage_day join passage on passage.id = passage_id
       where passage_day.studio_id = $1 and person_id = $2
     ) known where days >= $3 order by passage_id, day desc`,
    [studioId, personId, leastDays],
  );

/** How sessions of the whole studio felt since a day, oldest first. */
export const saidSince = (db: Queries, studioId: string, since: Day) =>
  db.many(
    v.object({
      person_id: idRow,
      day: dayRow,
      feeling: v.nullable(v.picklist(FEELINGS)),
    }),
    `select person_id, day, feeling from session_outcome
     where studio_id = $1 and day >= $2 and feeling is not null
     order by started_at`,
    [studioId, since],
  );

const ratingsRow = v.object(v.entriesFromList(RATINGS, v.exactOptional(v.picklist(RATED))));

export const logRow = v.object({
  session_id: idRow,
  person_id: idRow,
  day: dayRow,
  started_at: momentRow,
  last_at: momentRow,
  ended: v.nullable(v.string()),
  notes: v.array(v.string()),
  questions: v.array(v.string()),
  ratings: ratingsRow,
  feeling: v.nullable(v.picklist(FEELINGS)),
  tasks: v.array(
    v.object({
      kind: v.picklist(BLOCK_KINDS),
      itemId: v.optional(v.nullable(idRow)),
      seconds: v.number(),
    }),
  ),
  blocks: v.array(
    v.object({
      passageId: idRow,
      title: v.string(),
      name: v.string(),
      fromBar: v.number(),
      toBar: v.number(),
      beatUnit: beatUnitSchema,
      start: v.number(),
      end: v.number(),
      reached: v.nullable(v.number()),
      /** The fastest tempo by the clock, where it went by it. */
      byClock: v.nullable(v.number()),
      /** Only some bars of the passage were practised. */
      ofPart: v.boolean(),
      plays: v.number(),
      clean: v.number(),
      minutes: v.number(),
    }),
  ),
});
export type LogEntry = v.InferOutput<typeof logRow>;

const LOG = `
  select o.session_id, o.person_id, o.day, o.started_at, o.last_at, o.ended, o.notes,
    o.questions, o.ratings, o.feeling, o.tasks,
    coalesce(jsonb_agg(jsonb_build_object(
      'passageId', passage.id, 'title', piece.title, 'name', passage.name,
      'fromBar', coalesce((b.part ->> 'fromBar')::integer, passage.from_bar),
      'toBar', coalesce((b.part ->> 'toBar')::integer, passage.to_bar), 'beatUnit', coalesce(passage.beat_unit, piece.mark_unit),
      'start', b.start_tempo, 'end', b.end_tempo, 'reached', b.reached_tempo, 'ofPart', b.part is not null,
      'byClock', b.by_clock,
      'plays', b.plays, 'clean', b.clean, 'minutes', b.active_seconds / 60
    ) order by b.position) filter (where b.position is not null), '[]'::jsonb) as blocks
  from session_outcome o
  left join session_block b using (session_id)
  left join passage on passage.id = b.passage_id
  left join piece on piece.id = passage.piece_id`;
const LOG_GROUP = "group by o.session_id order by o.started_at desc, o.last_at desc";

/** Whether a session leaves a line: something was played, done, said, or hurt. */
const LEAVES_A_LINE = (outcome: string) => `(
  ${outcome}.ended = 'pain' or ${outcome}.tasks <> '[]'
  or ${outcome}.notes <> '[]' or ${outcome}.questions <> '[]'
  or exists (select 1 from session_block where session_block.session_id = ${outcome}.session_id)
)`;

/** A student's sessions, newest first; one without a play leaves no line. */
export const logOf = (db: Queries, studioId: string, personId: string, limit: number) =>
  db.many(
    logRow,
    `${LOG} where o.studio_id = $1 and o.person_id = $2 and ${LEAVES_A_LINE("o")}
     ${LOG_GROUP} limit $3`,
    [studioId, personId, limit],
  );

/** One session as the log tells it; nothing while no event has arrived. */
export const logEntry = (db: Queries, studioId: string, sessionId: string) =>
  db.maybeOne(logRow, `${LOG} where o.studio_id = $1 and o.session_id = $2 ${LOG_GROUP}`, [
    studioId,
    sessionId,
  ]);

/** When every student of the studio practised last, and what: pieces, tasks, minutes by hand. */
export const lastPractised = (db: Queries, studioId: string) =>
  db.many(
    v.object({
      person_id: idRow,
      day: dayRow,
      titles: v.array(v.string()),
      kinds: v.array(v.picklist(BLOCK_KINDS)),
      by_hand: v.number(),
    }),
    `select person.id as person_id, newest.day, coalesce((
       select jsonb_agg(title order by place) from (
         select piece.title, min(position) as place from session_block b
         join passage on passage.id = b.passage_id join piece on piece.id = passage.piece_id
         where b.studio_id = $1 and b.person_id = person.id and b.day = newest.day
         group by piece.title
       ) titled), '[]'::jsonb) as titles, coalesce((
       select jsonb_agg(distinct task ->> 'kind') from session_outcome done
       cross join lateral jsonb_array_elements(tasks) task
       where done.studio_id = $1 and done.person_id = person.id and done.day = newest.day
     ), '[]'::jsonb) as kinds, coalesce((
       select sum(minutes) from practice_by_hand hand
       where hand.studio_id = $1 and hand.person_id = person.id and hand.day = newest.day
     ), 0)::integer as by_hand
     from person cross join lateral (
       select greatest((
         select day from session_outcome latest
         where studio_id = $1 and person_id = person.id and ${LEAVES_A_LINE("latest")}
         order by day desc limit 1
       ), (
         select max(day) from practice_by_hand where studio_id = $1 and person_id = person.id
       )) as day
     ) newest where person.studio_id = $1 and newest.day is not null`,
    [studioId],
  );

/** What went wrong in a session, most frequent first. */
export const flawsOfSession = (db: Queries, studioId: string, sessionId: string) =>
  db.many(
    v.object({ what: v.picklist(FLAWS), times: v.number() }),
    `select flaw_what as what, count(*) as times from rep
     where studio_id = $1 and session_id = $2 and flaw_what is not null
     group by flaw_what order by times desc, what`,
    [studioId, sessionId],
  );

/** The latest days on which each passage of the studio was practised since a day, oldest first. */
export const lastDaysOfEach = (db: Queries, studioId: string, since: Day, most: number) =>
  db.many(
    v.object({
      person_id: idRow,
      title: v.string(),
      from_bar: v.number(),
      to_bar: v.number(),
      target: v.nullable(v.number()),
      days: v.array(v.object({ day: dayRow, reached: v.nullable(v.number()) })),
    }),
    `select passage.person_id, piece.title, from_bar, to_bar, newest.target, latest.days
     from (
       select passage_id,
         jsonb_agg(jsonb_build_object('day', day, 'reached', reached_tempo) order by day) as days
       from (
         select passage_id, day, reached_tempo,
           row_number() over (partition by passage_id order by day desc) as back
         from passage_day where studio_id = $1 and day >= $2
       ) numbered where back <= $3 group by passage_id
     ) latest
     join passage on passage.id = latest.passage_id join piece on piece.id = passage.piece_id
     left join lateral (
       select (ladder ->> 'target')::numeric as target from ladder
       where ladder.passage_id = latest.passage_id order by number desc limit 1
     ) newest on true
     where passage.retired_at is null order by piece.title, from_bar`,
    [studioId, since, most],
  );

/** Who said since a day that something hurt, whatever came after. */
export const whoSaidPain = (db: Queries, studioId: string, since: Day) =>
  db.many(
    v.object({ person_id: idRow }),
    `select distinct person_id from session_outcome
     where studio_id = $1 and day >= $2 and (ended = 'pain' or feeling = 'painful')`,
    [studioId, since],
  );

/** Sessions since a day that ended for pain. */
export const painSince = (db: Queries, studioId: string, since: Day) =>
  db.many(
    v.object({ person_id: idRow, day: dayRow }),
    `select distinct person_id, max(day) as day from session_outcome
     where studio_id = $1 and day >= $2 and ended = 'pain' group by person_id`,
    [studioId, since],
  );
