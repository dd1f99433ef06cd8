import * as v from "valibot";
import { memoryPlanSchema, type MemoryPlan } from "~/core/week";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { dayRow, idRow } from "./rows";

const memoryRow = v.object({
  piece_id: idRow,
  title: v.string(),
  plan: memoryPlanSchema,
  stands: v.number(),
  stands_on: dayRow,
  /** It is told bar by bar which stand. */
  by_bars: v.boolean(),
});

const BY_BARS = `exists (select from memory_bar
  where memory_bar.person_id = memory_plan.person_id and memory_bar.piece_id = memory_plan.piece_id
) as by_bars`;

export const memoryOf = (db: Queries, studioId: string, personId: string) =>
  db.many(
    memoryRow,
    `select memory_plan.piece_id, title, plan, stands, stands_on, ${BY_BARS}
     from memory_plan join piece on piece.id = piece_id
     where memory_plan.studio_id = $1 and person_id = $2 order by title`,
    [studioId, personId],
  );

export const memoryOfAll = (db: Queries, studioId: string) =>
  db.many(
    v.object({ person_id: idRow, ...memoryRow.entries }),
    `select person_id, memory_plan.piece_id, title, plan, stands, stands_on, ${BY_BARS}
     from memory_plan join piece on piece.id = piece_id where memory_plan.studio_id = $1`,
    [studioId],
  );

export const putMemory = (
  db: Queries,
  studioId: string,
  personId: string,
  memory: { pieceId: string; plan: MemoryPlan; day: Day },
) =>
  db.execute(
    `insert into memory_plan (studio_id, person_id, piece_id, plan, stands_on)
     values ($1, $2, $3, $4::jsonb, $5)
     on conflict (person_id, piece_id) do update set plan = excluded.plan`,
    [studioId, personId, memory.pieceId, JSON.stringify(memory.plan), memory.day],
  );

export const markMemory = (
  db: Queries,
  studioId: string,
  personId: string,
  mark: { pieceId: string; stands: number; day: Day },
) =>
  db.execute(
    `update memory_plan set stands = $4, stands_on = $5
     where studio_id = $1 and person_id = $2 and piece_id = $3`,
    [studioId, personId, mark.pieceId, mark.stands, mark.day],
  );
