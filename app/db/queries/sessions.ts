import * as v from "valibot";
import {
  sessionEventSchema,
  sessionPlanSchema,
  type SessionEvent,
  type SessionPlan,
} from "~/core/session";
import type { Queries } from "~/db/client";
import { idRow, momentRow } from "./rows";

const sessionRow = v.object({ id: idRow, person_id: idRow, plan: sessionPlanSchema });

export const sessionById = (db: Queries, studioId: string, sessionId: string) =>
  db.one(sessionRow, "select id, person_id, plan from session where studio_id = $1 and id = $2", [
    studioId,
    sessionId,
  ]);

export const sessionIds = (db: Queries, studioId: string) =>
  db.many(
    v.object({ id: idRow }),
    "select id from session where studio_id = $1 order by created_at",
    [studioId],
  );

/** The newest session of a student in which something happened since a moment, not ended. */
export const openSessionOf = (db: Queries, studioId: string, personId: string, since: Date) =>
  db.maybeOne(
    sessionRow,
    `select session.id, session.person_id, plan from session
     left join session_outcome on session_id = session.id
     where session.studio_id = $1 and session.person_id = $2 and coalesce(last_at, session.created_at) >= $3
       and session_outcome.ended is null
     order by session.created_at desc limit 1`,
    [studioId, personId, since],
  );

export const insertSession = (
  db: Queries,
  studioId: string,
  session: { id: string; personId: string; plan: SessionPlan; createdAt: Date },
) =>
  db.execute(
    `insert into session (id, studio_id, person_id, plan, created_at)
     values ($1, $2, $3, $4::jsonb, $5)`,
    [session.id, studioId, session.personId, JSON.stringify(session.plan), session.createdAt],
  );

const eventRow = v.pipe(
  v.object({
    id: v.string(),
    seq: v.number(),
    at: momentRow,
    kind: v.string(),
    payload: v.unknown(),
  }),
  v.transform((row) => ({ ...row, at: row.at.getTime() })),
  sessionEventSchema,
);

/** All events of a session in order. */
export const eventsOf = (db: Queries, studioId: string, sessionId: string) =>
  db.many(
    eventRow,
    `select id, seq, at, kind, payload from session_event
     where studio_id = $1 and session_id = $2 order by seq`,
    [studioId, sessionId],
  );

/**
 * Some sessions with their events and the moment at which each began, to be counted anew. The events
 * come as one text: built as JSON values they would take twice as long.
 */
export const sessionsWhole = (db: Queries, studioId: string, ids: readonly string[]) =>
  db.many(
    v.object({
      ...sessionRow.entries,
      began: v.nullable(momentRow),
      events: v.pipe(v.string(), v.parseJson(), v.array(sessionEventSchema)),
    }),
    `select session.id, person_id, plan, (
       select greatest(
         least(at + clock_offset_ms * interval '1 millisecond', received_at), created_at
       ) from session_event where session_id = session.id order by seq limit 1
     ) as began, '[' || coalesce((
       select string_agg('{"id":"' || id || '","seq":' || seq
         || ',"at":' || round(extract(epoch from at) * 1000)
         || ',"kind":' || to_json(kind) || ',"payload":' || payload || '}', ',' order by seq)
       from session_event where session_id = session.id
     ), '') || ']' as events
     from session where studio_id = $1 and id = any($2::uuid[]) order by created_at, id`,
    [studioId, ids],
  );

export const insertEvents = (
  db: Queries,
  studioId: string,
  sessionId: string,
  events: readonly SessionEvent[],
  batch: { readonly receivedAt: Date; readonly clockOffset: number },
) =>
  db.execute(
    `insert into session_event (id, studio_id, session_id, seq, at, kind, payload, received_at,
       clock_offset_ms)
     select id, $1, $2, seq, to_timestamp(at / 1000.0), kind, payload, $4, $5
     from jsonb_to_recordset($3::jsonb)
       as event (id uuid, seq integer, at numeric, kind text, payload jsonb)`,
    [studioId, sessionId, JSON.stringify(events), batch.receivedAt, batch.clockOffset],
  );

/**
 * When a session really began: what its device wrote, put right by the device's clock, never after
 * it was received and never before the session was opened. Undefined without events.
 */
export const beganAt = (db: Queries, studioId: string, sessionId: string) =>
  db.maybeOne(
    v.object({ at: momentRow }),
    `select greatest(
       least(at + clock_offset_ms * interval '1 millisecond', received_at), created_at
     ) as at
     from session_event join session on session.id = session_id
     where session_event.studio_id = $1 and session_id = $2 order by seq limit 1`,
    [studioId, sessionId],
  );
