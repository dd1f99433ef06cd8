import * as v from "valibot";
import { shapeSchema, type Shape } from "~/core/session";
import type { Queries } from "~/db/client";
import { idRow } from "./rows";

const shapeRow = v.object({
  id: idRow,
  name: v.string(),
  shape: shapeSchema,
  /** Everyone in the room can use it. */
  shared: v.boolean(),
});

/** A student's own, and those that are everyone's. */
export const shapesOf = (db: Queries, studioId: string, personId: string) =>
  db.many(
    shapeRow,
    `select id, name, shape, shared from session_shape
     where studio_id = $1 and (person_id = $2 or shared) order by name collate "und-x-icu"`,
    [studioId, personId],
  );

export const keepShape = (
  db: Queries,
  studioId: string,
  personId: string,
  kept: { id: string; name: string; shape: Shape; shared: boolean; at: Date },
) =>
  db.execute(
    `insert into session_shape (id, studio_id, person_id, name, shape, shared, kept_at)
     values ($1, $2, $3, $4, $5::jsonb, $6, $7)
     on conflict (person_id, name) do update set shape = excluded.shape, shared = excluded.shared,
       kept_at = excluded.kept_at`,
    [kept.id, studioId, personId, kept.name, JSON.stringify(kept.shape), kept.shared, kept.at],
  );

export const dropShape = (db: Queries, studioId: string, personId: string, id: string) =>
  db.execute("delete from session_shape where studio_id = $1 and person_id = $2 and id = $3", [
    studioId,
    personId,
    id,
  ]);
