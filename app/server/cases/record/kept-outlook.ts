import { outlooksOn, passagesOfPerson, putOutlook, type Studio } from "~/db/queries";
import { todayIn, type Services } from "../../services";
import { aheadInputs, chanceOfAll } from "./outlook";

/**
 * The chance of each student that everything stands at the concert: kept for the day, reckoned where
 * it is not. Nothing for those of whom nothing can be told, or without a concert ahead.
 */
export async function keptOutlooks(
  services: Services,
  studio: Studio,
  personIds: readonly string[],
): Promise<Map<string, number>> {
  const { db } = services;
  const today = todayIn(services, studio);
  const { concert_on: concert } = studio;
  const chances = new Map<string, number>();
  if (concert === null || concert < today) return chances;
  const kept = await outlooksOn(db, studio.id, today);
  const known = new Map(kept.map(({ person_id, chance }) => [person_id, chance]));
  for (const id of personIds) {
    let chance = known.get(id);
    if (chance === undefined) {
      const passages = await passagesOfPerson(db, studio.id, id);
      chance = chanceOfAll(passages, await aheadInputs(services, studio, id), concert);
      await putOutlook(db, studio.id, id, today, chance);
    }
    if (chance !== null) chances.set(id, chance);
  }
  return chances;
}
