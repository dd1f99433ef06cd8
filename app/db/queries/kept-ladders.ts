import * as v from "valibot";
import { ladderSchema, type Ladder } from "~/core/ladder";
import type { Queries } from "~/db/client";
import { idRow, momentRow } from "./rows";

const keptLadderRow = v.pipe(
  v.object({ id: idRow, name: v.string(), ladder: ladderSchema, kept_at: momentRow }),
  v.transform(({ kept_at, ...rest }) => ({ ...rest, keptAt: kept_at })),
);
export type KeptLadder = v.InferOutput<typeof keptLadderRow>;

/** The ladders that a studio keeps, by name. */
export const keptLadders = (db: Queries, studioId: string) =>
  db.many(
    keptLadderRow,
    `select id, name, ladder, kept_at from kept_ladder where studio_id = $1
     order by name collate "und-x-icu", kept_at`,
    [studioId],
  );

/** Keeps a ladder under a name; one that was kept under it before is replaced. */
export const keepLadder = (
  db: Queries,
  studioId: string,
  { id, name, ladder, keptAt }: { id: string; name: string; ladder: Ladder; keptAt: Date },
) =>
  db.execute(
    `insert into kept_ladder (id, studio_id, name, ladder, kept_at)
     values ($1, $2, $3, $4::jsonb, $5)
     on conflict (studio_id, name) do update set ladder = excluded.ladder, kept_at = excluded.kept_at`,
    [id, studioId, name, JSON.stringify(ladder), keptAt],
  );
