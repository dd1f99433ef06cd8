import { eventsOf, sessionById, sessionIds, studioById } from "~/db/queries";
import type { Services } from "../services";
import { projectSession } from "./project-session";

/** Counts every session of a studio again, from its events alone. */
export async function rebuildProjections({ db }: Pick<Services, "db">, studioId: string) {
  const { time_zone } = await studioById(db, studioId);
  for (const { id } of await sessionIds(db, studioId)) {
    await db.transaction(async (tx) => {
      const session = await sessionById(tx, studioId, id);
      const events = await eventsOf(tx, studioId, id);
      await projectSession(tx, studioId, time_zone, session, events);
    });
  }
}
