import * as v from "valibot";
import { beatUnitSchema } from "~/core/score";
import { BLOCK_KINDS, LOG_KINDS } from "~/core/session";
import type { Queries } from "~/db/client";
import { dayRow, idRow } from "./rows";

const logLineRow = v.object({
  id: v.string(),
  session_id: v.nullable(idRow),
  kind: v.picklist(LOG_KINDS),
  day: dayRow,
  /** The piece, or the item of a week; empty where neither is named. */
  title: v.string(),
  name: v.string(),
  from_bar: v.nullable(v.number()),
  to_bar: v.nullable(v.number()),
  beat_unit: v.nullable(beatUnitSchema),
  block: v.nullable(v.picklist(BLOCK_KINDS)),
  minutes: v.nullable(v.number()),
  start: v.nullable(v.number()),
  reached: v.nullable(v.number()),
  ended_at: v.nullable(v.number()),
  by_clock: v.nullable(v.number()),
  plays: v.nullable(v.number()),
  clean: v.nullable(v.number()),
  note: v.string(),
});
export type LogLine = v.InferOutput<typeof logLineRow>;

/** Which lines, of which everything that is left out asks for all. */
export interface LogFilter {
  readonly find: string;
  readonly kind: LogLine["kind"] | "";
  readonly from: string;
  readonly to: string;
}

/** What was played, done, written by hand, said and asked: each a line with its session's moment. */
const LINES = `
  with item as (
    select distinct on (item_id) item_id as id, title
    from week_item join item on item.id = item_id
    where item.studio_id = $1 and person_id = $2
    order by item_id, from_day desc
  ), session_said as (
    select * from session_outcome where studio_id = $1 and person_id = $2
  ), in_keys as (
    select rep.session_id, rep.passage_id, string_agg(distinct key, ', ' order by key) as keys
    from session_said join rep on rep.session_id = session_said.session_id
    where key is not null group by rep.session_id, rep.passage_id
  ), line as (
    select b.session_id || '-' || b.position as id, b.session_id, 'played' as kind, b.day,
      o.started_at as at, b.position as place, piece.title, passage.name,
      coalesce((b.part ->> 'fromBar')::integer, passage.from_bar) as from_bar,
      coalesce((b.part ->> 'toBar')::integer, passage.to_bar) as to_bar,
      coalesce(passage.beat_unit, piece.mark_unit) as beat_unit, null as block,
      b.active_seconds / 60 as minutes, b.start_tempo as start, b.reached_tempo as reached,
      b.end_tempo as ended_at, b.by_clock, b.plays, b.clean, coalesce(in_keys.keys, '') as note
    from session_block b join session_said o using (session_id)
    left join in_keys on in_keys.session_id = b.session_id and in_keys.passage_id = b.passage_id
    join passage on passage.id = b.passage_id join piece on piece.id = passage.piece_id
    where b.studio_id = $1 and b.person_id = $2
    union all
    select o.session_id || '-t' || n, o.session_id, 'task', o.day, o.started_at, 1000 + n,
      coalesce(item.title, ''), '', null, null, null, task ->> 'kind',
      (task ->> 'seconds')::numeric / 60, null, null, null, null, null, null, ''
    from session_said o
    cross join jsonb_array_elements(o.tasks) with ordinality as tasks (task, n)
    left join item on item.id = (task ->> 'itemId')::uuid
    union all
    select o.session_id || '-n' || n, o.session_id, 'said', o.day, o.started_at, 2000 + n,
      '', '', null, null, null, null, null, null, null, null, null, null, null, said
    from session_said o cross join jsonb_array_elements_text(o.notes) with ordinality as notes (said, n)
    union all
    select o.session_id || '-q' || n, o.session_id, 'asked', o.day, o.started_at, 3000 + n,
      '', '', null, null, null, null, null, null, null, null, null, null, null, said
    from session_said o
    cross join jsonb_array_elements_text(o.questions) with ordinality as questions (said, n)
    union all
    select o.session_id || '-p', o.session_id, 'pain', o.day, o.started_at, 4000,
      '', '', null, null, null, null, null, null, null, null, null, null, null, ''
    from session_said o where o.ended = 'pain'
    union all
    select by_hand.id::text, null, 'by-hand', day, (day + 1)::timestamptz, 5000,
      coalesce(item.title, ''), '', null, null, null, null, minutes, null, null, null, null, null,
      null, note
    from practice_by_hand by_hand left join item on item.id = by_hand.item_id
    where by_hand.studio_id = $1 and by_hand.person_id = $2
  ), wanted as (
    select * from line
    where ($3 = '' or position(lower($3) in lower(title || ' ' || name || ' ' || note)) > 0)
      and ($4 = '' or kind = $4)
      and ($5 = '' or day >= nullif($5, '')::date) and ($6 = '' or day <= nullif($6, '')::date)
  )`;

const ORDERS = {
  day: "day",
  what: `title collate "und-x-icu" || ' ' || name`,
  minutes: "minutes",
  reached: "reached",
  clean: "clean::numeric / nullif(plays, 0)",
} as const;

interface Part {
  readonly sort: keyof typeof ORDERS;
  readonly down: boolean;
  readonly limit: number;
  readonly offset: number;
}

const asked = (studioId: string, personId: string, { find, kind, from, to }: LogFilter) => [
  studioId,
  personId,
  find,
  kind,
  from,
  to,
];

/** A part of a student's log; lines without the number that is sorted by come last. */
export const logLines = (
  db: Queries,
  studioId: string,
  personId: string,
  filter: LogFilter,
  { sort, down, limit, offset }: Part,
) =>
  db.many(
    logLineRow,
    `${LINES} select id, session_id, kind, day, title, name, from_bar, to_bar, beat_unit, block,
       minutes, start, reached, ended_at, by_clock, plays, clean, note
     from wanted
     order by ${ORDERS[sort]} ${down ? "desc" : "asc"} nulls last, day desc, at desc, place
     limit $7 offset $8`,
    [...asked(studioId, personId, filter), limit, offset],
  );

const totalsRow = v.object({
  lines: v.number(),
  sessions: v.number(),
  days: v.number(),
  minutes: v.number(),
});

/** What a student's log comes to. */
export const logTotals = (db: Queries, studioId: string, personId: string, filter: LogFilter) =>
  db.one(
    totalsRow,
    `${LINES} select count(*) as lines, count(distinct session_id) as sessions,
       count(distinct day) as days, coalesce(sum(minutes), 0) as minutes
     from wanted`,
    asked(studioId, personId, filter),
  );
