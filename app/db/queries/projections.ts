import * as v from "valibot";
import { levelSchema, type Level, type Span } from "~/core/record";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { dayRow, tempoRow } from "./rows";
import type { SessionChanges, SessionProjection } from "./session-changes";

/** Takes away everything that was counted from some sessions, before they are counted anew. */
export async function clearSessions(db: Queries, sessionIds: readonly string[]): Promise<void> {
  await db.execute("delete from rep where session_id = any($1::uuid[])", [sessionIds]);
  await db.execute("delete from rep_measure where session_id = any($1::uuid[])", [sessionIds]);
  await db.execute("delete from passed_tempo where session_id = any($1::uuid[])", [sessionIds]);
  await db.execute("delete from session_block where session_id = any($1::uuid[])", [sessionIds]);
}

/**
 * Writes what is counted from one session: what has changed, or all of it where nothing was there.
 * What is gone is taken away first; the rest is one statement, since each of them costs more than
 * what it writes. All are asked for before it first waits.
 */
export async function writeSession(
  db: Queries,
  it: SessionProjection,
  changes: SessionChanges,
): Promise<void> {
  await Promise.all([...takenAway(db, it, changes), written(db, it, changes)]);
}

const written = (db: Queries, it: SessionProjection, changes: SessionChanges) =>
  db.execute(WRITTEN, [
    it.sessionId,
    it.studioId,
    it.personId,
    it.day,
    it.startedAt,
    it.lastAt,
    it.ended ?? null,
    JSON.stringify(it.notes),
    JSON.stringify(it.questions),
    JSON.stringify(it.ratings),
    it.feeling ?? null,
    JSON.stringify(it.tasks),
    JSON.stringify(changes.blocks),
    JSON.stringify(changes.passed ? it.blocks : []),
    JSON.stringify(changes.reps),
    JSON.stringify(changes.measures),
  ]);

/** What is no longer so, or will be written otherwise. */
function takenAway(
  db: Queries,
  { sessionId, blocks }: SessionProjection,
  { fewerBlocks, oldPassed, oldReps, oldMeasures }: SessionChanges,
): Promise<unknown>[] {
  const asked: Promise<unknown>[] = [];
  const take = (sql: string, ...params: unknown[]) =>
    void asked.push(db.execute(sql, [sessionId, ...params]));
  if (fewerBlocks) {
    take("delete from session_block where session_id = $1 and position > $2", blocks.length);
  }
  if (oldPassed) take("delete from passed_tempo where session_id = $1");
  if (oldReps.length > 0) {
    const ids = oldReps.map(({ id }) => id);
    take("delete from rep where session_id = $1 and id = any($2::uuid[])", ids);
  }
  if (oldMeasures.length > 0) {
    const ids = oldMeasures.map(({ id }) => id);
    take("delete from rep_measure where session_id = $1 and play_id = any($2::uuid[])", ids);
  }
  return asked;
}

/** The outcome, its blocks, what was passed and the plays, of one session. */
const WRITTEN = `
  with outcome as (
    insert into session_outcome
      (session_id, studio_id, person_id, day, started_at, last_at, ended, notes,
       questions, ratings, feeling, tasks)
    values ($1, $2, $3, $4, $5, $6, $7, $8::jsonb, $9::jsonb, $10::jsonb, $11, $12::jsonb)
    on conflict (session_id) do update set day = excluded.day,
      started_at = excluded.started_at, last_at = excluded.last_at,
      ended = excluded.ended, notes = excluded.notes, questions = excluded.questions,
      ratings = excluded.ratings, feeling = excluded.feeling, tasks = excluded.tasks
  ), blocks as (
    insert into session_block (session_id, position, studio_id, person_id, passage_id, day,
      start_tempo, end_tempo, reached_tempo, target_tempo, plays, clean, active_seconds, topped_out,
      end_phase, end_stage, way, pace, step, part, by_clock)
    select $1, position, $2, $3, "passageId", $4, "startTempo", "endTempo", "reachedTempo",
      "targetTempo", plays, clean, "activeSeconds", "toppedOut",
      (place ->> 'phase')::integer, (place ->> 'stage')::integer, way, pace, step,
      nullif(part, 'null'), "byClock"
    from jsonb_to_recordset($13::jsonb) as block (position integer, "passageId" uuid,
      "startTempo" numeric, "endTempo" numeric, "reachedTempo" numeric, "targetTempo" numeric,
      plays integer, clean integer, "activeSeconds" numeric, "toppedOut" boolean, place jsonb,
      way text, pace jsonb, step numeric, part jsonb,
      "byClock" numeric)
    on conflict (session_id, position) do update set passage_id = excluded.passage_id,
      start_tempo = excluded.start_tempo, end_tempo = excluded.end_tempo,
      reached_tempo = excluded.reached_tempo, target_tempo = excluded.target_tempo,
      plays = excluded.plays, clean = excluded.clean, active_seconds = excluded.active_seconds,
      topped_out = excluded.topped_out, end_phase = excluded.end_phase,
      end_stage = excluded.end_stage, way = excluded.way, pace = excluded.pace,
      step = excluded.step, part = excluded.part, by_clock = excluded.by_clock
  ), passed_rungs as (
    insert into passed_tempo (session_id, position, material, tempo, top, whole, studio_id,
      passage_id, day)
    select $1, block.ordinality, material, tempo, top, whole, $2, "passageId", $4
    from rows from (jsonb_to_recordset($14::jsonb) as ("passageId" uuid, passed jsonb))
      with ordinality as block,
      jsonb_to_recordset(block.passed) as passed (material text, tempo numeric, top numeric, whole boolean)
  ), measures as (
    insert into rep_measure (play_id, session_id, studio_id, passage_id, day, source, bias, spread,
      met, missed, extra)
    select id, $1, $2, "passageId", $4, source, bias, spread, met, missed, extra
    from json_to_recordset($16::json) as measure (id uuid, "passageId" uuid, source text,
      bias numeric, spread numeric, met integer, missed integer, extra integer)
  )
  insert into rep (id, session_id, studio_id, passage_id, day, at, tempo, verdict,
    from_bar, to_bar, flaw_bar, flaw_beat, flaw_what, from_memory,
    share, factor, layer, key, cycle_base, cycle_slow, cycle_fast)
  select id, $1, $2, "passageId", $4, to_timestamp(at / 1000.0), top, verdict,
    "fromBar", "toBar", bar, beat, what, coalesce("fromMemory", false),
    share, factor, layer, key,
    (cycle ->> 'base')::numeric, (cycle ->> 'slow')::integer, (cycle ->> 'fast')::integer
  from json_to_recordset($15::json) as rep (id uuid, "passageId" uuid, at numeric,
    top numeric, verdict text, "fromBar" integer, "toBar" integer, bar integer, beat integer, what text,
    "fromMemory" boolean,
    share numeric, factor numeric, layer text, key text, cycle json)`;

const playedDayRow = v.object({
  day: dayRow,
  target: tempoRow,
  hardness: v.nullable(v.number()),
  /** The fastest tempo of the whole that was passed up to that day, and the step above it. */
  passed: v.nullable(v.number()),
  step: v.nullable(v.number()),
});

const nothing = <T>(value: T | null): T | undefined => value ?? undefined;
const maybe = <S extends v.GenericSchema>(schema: S) =>
  v.pipe(v.nullable(schema), v.transform(nothing));

const recordRow = v.object({
  days: v.array(playedDayRow),
  /** Judged plays of one kind each; those that were only a layer, or with less of a click, left out. */
  reps: v.array(
    v.object({
      day: dayRow,
      tempo: tempoRow,
      verdict: v.picklist(["clean", "flawed"]),
      share: v.number(),
      key: maybe(v.string()),
      cycle: maybe(v.object({ base: v.number(), slow: v.number(), fast: v.number() })),
      count: v.number(),
    }),
  ),
  before: maybe(v.object({ day: dayRow, level: levelSchema })),
});

/**
 * What a passage is estimated from, from a day on: the days on which it was played, each with the
 * target it then had, its plays (less those of a session whose plays are known), and what was
 * believed of it before.
 */
export const recordFrom = (
  db: Queries,
  studioId: string,
  passageId: string,
  from: Day,
  known?: string,
) =>
  db.one(
    recordRow,
    `select coalesce((
       select json_agg(json_build_object('day', played.day, 'target', played.target,
         'hardness', hardness, 'passed', fastest.passed, 'step', fastest.step) order by played.day)
       from (
         select distinct on (session_block.day) session_block.day, target_tempo as target
         from session_block join session_outcome using (session_id)
         where session_block.studio_id = $1 and passage_id = $2 and session_block.day >= $3
         order by session_block.day, started_at desc
       ) played
       join passage on passage.id = $2
       left join lateral (
         select reached_tempo as passed, step from session_block
         where passage_id = $2 and session_block.day <= played.day and reached_tempo is not null
           and part is null
         order by reached_tempo desc, session_block.day desc limit 1
       ) fastest on true
     ), '[]'::json) as days,
     coalesce((
       select json_agg(kind) from (
         select day, tempo, verdict, share, count(*) as count, key, cycle_base,
           case when cycle_base is not null then json_build_object(
             'base', cycle_base, 'slow', cycle_slow, 'fast', cycle_fast) end as cycle
         from (
           select distinct session_id from session_block
           where studio_id = $1 and passage_id = $2 and day >= $3
             and ($4::uuid is null or session_id <> $4)
         ) other
         -- Session by session: the plays of the one that is known are not gone through.
         cross join lateral (
           select * from rep
           where session_id = other.session_id and passage_id = $2 and layer is null offset 0
         ) rep
         group by tempo, verdict, day, share, key, cycle_base, cycle_slow, cycle_fast
       ) kind
     ), '[]'::json) as reps,
     (
       select json_build_object('day', day, 'level', level) from (
         select day, level from passage_day
         where studio_id = $1 and passage_id = $2 and day < $3 order by day desc limit 1
       ) last
     ) as before`,
    [studioId, passageId, from, known ?? null],
  );

export interface EstimatedDay {
  readonly day: Day;
  readonly level: Level;
  readonly most: number | null;
  readonly comfortable: Span;
  readonly ceiling: Span;
}

/**
 * Stores what was reached and estimated on days; the fastest gate passed comes from the blocks. What
 * was reckoned of the student's days ahead is dropped with it.
 */
export const putPassageDays = (
  db: Queries,
  studioId: string,
  passageId: string,
  days: readonly EstimatedDay[],
) =>
  db.execute(
    `with dropped as (
       delete from outlook where studio_id = $1
         and person_id = (select person_id from passage where id = $2)
     )
     insert into passage_day (studio_id, passage_id, day, level, most, reached_tempo,
       comfortable, comfortable_low, comfortable_high, ceiling, ceiling_low, ceiling_high)
     select $1, $2, day, level, most,
       (select max(reached_tempo) from session_block b
        where b.passage_id = $2 and b.day = made.day and part is null),
       (comfortable ->> 'value')::numeric, (comfortable ->> 'low')::numeric,
       (comfortable ->> 'high')::numeric, (ceiling ->> 'value')::numeric,
       (ceiling ->> 'low')::numeric, (ceiling ->> 'high')::numeric
     from jsonb_to_recordset($3::jsonb)
       as made (day date, level jsonb, most numeric, comfortable jsonb, ceiling jsonb)
     on conflict (passage_id, day) do update set reached_tempo = excluded.reached_tempo,
       level = excluded.level, most = excluded.most,
       comfortable = excluded.comfortable, comfortable_low = excluded.comfortable_low,
       comfortable_high = excluded.comfortable_high, ceiling = excluded.ceiling,
       ceiling_low = excluded.ceiling_low, ceiling_high = excluded.ceiling_high`,
    [studioId, passageId, JSON.stringify(days)],
  );
