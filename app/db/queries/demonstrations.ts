import * as v from "valibot";
import { placesSchema, type BarPlace } from "~/core/listen";
import type { Queries } from "~/db/client";
import { idRow } from "./rows";

const demonstrationRow = v.object({
  id: idRow,
  piece_id: idRow,
  name: v.string(),
  bytes: v.number(),
  hash: v.string(),
  media_type: v.string(),
  places: placesSchema,
});
export type Demonstration = v.InferOutput<typeof demonstrationRow>;

const COLUMNS = "id, piece_id, name, bytes, hash, media_type, places";

/** The demonstrations of some pieces, the newest first. */
export const demonstrationsOf = (db: Queries, studioId: string, pieceIds: readonly string[]) =>
  db.many(
    demonstrationRow,
    `select ${COLUMNS} from demonstration where studio_id = $1 and piece_id = any($2::uuid[])
     order by made_at desc, id`,
    [studioId, pieceIds],
  );

export const demonstrationById = (db: Queries, studioId: string, id: string) =>
  db.one(
    demonstrationRow,
    `select ${COLUMNS} from demonstration where studio_id = $1 and id = $2`,
    [studioId, id],
  );

/** Sent again under the same id, it changes nothing. */
export const insertDemonstration = (
  db: Queries,
  studioId: string,
  it: Omit<Demonstration, "places">,
  at: Date,
) =>
  db.execute(
    `insert into demonstration (studio_id, id, piece_id, name, bytes, hash, media_type, made_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8) on conflict (id) do nothing`,
    [studioId, it.id, it.piece_id, it.name, it.bytes, it.hash, it.media_type, at],
  );

export const placeBars = (db: Queries, studioId: string, id: string, places: readonly BarPlace[]) =>
  db.execute("update demonstration set places = $3::jsonb where studio_id = $1 and id = $2", [
    studioId,
    id,
    JSON.stringify(places),
  ]);

export const deleteDemonstration = (db: Queries, studioId: string, id: string) =>
  db.execute("delete from demonstration where studio_id = $1 and id = $2", [studioId, id]);

/** What the sound of a room's demonstrations takes up. */
export const demonstrationBytes = async (db: Queries, studioId: string): Promise<number> =>
  (
    await db.one(
      v.object({ bytes: v.number() }),
      "select coalesce(sum(bytes), 0)::bigint as bytes from demonstration where studio_id = $1",
      [studioId],
    )
  ).bytes;
