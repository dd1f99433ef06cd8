import * as v from "valibot";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { dayRow, idRow } from "./rows";

/** How evenly plays lay against their beats, taken together, in milliseconds. */
const TOGETHER = `
  sqrt(sum(spread * spread * greatest(coalesce(met, 2) - 1, 1))
    / sum(greatest(coalesce(met, 2) - 1, 1))) as spread,
  sum(bias * met) / nullif(sum(met) filter (where bias is not null), 0) as bias`;

const evennessRow = v.object({
  passage_id: idRow,
  day: dayRow,
  spread: v.number(),
  /** Below 0 early, above 0 late; null where it was not told. */
  bias: v.nullable(v.number()),
});

/** By passage, of one session. */
export const evennessOfSession = (db: Queries, studioId: string, sessionId: string) =>
  db.many(
    evennessRow,
    `select passage_id, max(day) as day, ${TOGETHER} from rep_measure
     where studio_id = $1 and session_id = $2 group by passage_id order by passage_id`,
    [studioId, sessionId],
  );

/** Of some passages day by day, from a day on or ever. */
export const evennessByDay = (
  db: Queries,
  studioId: string,
  passageIds: readonly string[],
  from?: Day,
) =>
  db.many(
    evennessRow,
    `select passage_id, day, ${TOGETHER} from rep_measure
     where studio_id = $1 and passage_id = any($2::uuid[]) and ($3::date is null or day >= $3)
     group by passage_id, day order by passage_id, day`,
    [studioId, passageIds, from ?? null],
  );
