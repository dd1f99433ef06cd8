import { addDays, type Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { whoSaidPain } from "~/db/queries";
import { hurtSince, PAIN_DAYS } from "./pain";
import { whatHappened } from "./week-plan";

/** Of whom something hurts, by the record: nothing is set for them to play. */
export async function whoIsHurt(
  db: Queries,
  studioId: string,
  today: Day,
): Promise<ReadonlySet<string>> {
  const since = addDays(today, -PAIN_DAYS);
  const hurt = new Set<string>();
  for (const { person_id: id } of await whoSaidPain(db, studioId, since)) {
    const happened = await whatHappened(db, studioId, id, since, today);
    if (hurtSince(happened) !== undefined) hurt.add(id);
  }
  return hurt;
}
