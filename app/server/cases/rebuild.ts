import {
  eventsOf,
  passageIds,
  sessionById,
  sessionIds,
  setCountedBy,
  studioById,
  studiosCountedBefore,
} from "~/db/queries";
import type { Services } from "../services";
import { COUNTING } from "./counting";
import { countSession, estimateDays } from "./project-session";

const EARLIEST = "0001-01-01";

/** Counts every session of a studio again, from its events alone. */
export async function rebuildProjections({ db }: Pick<Services, "db">, studioId: string) {
  const { time_zone } = await studioById(db, studioId);
  for (const { id } of await sessionIds(db, studioId)) {
    await db.transaction(async (tx) => {
      const session = await sessionById(tx, studioId, id);
      const events = await eventsOf(tx, studioId, id);
      await countSession(tx, studioId, time_zone, session, events);
    });
  }
  for (const { id } of await passageIds(db, studioId)) {
    await db.transaction((tx) => estimateDays(tx, studioId, id, EARLIEST));
  }
  await setCountedBy(db, studioId, COUNTING);
}

/** Brings what an older version has counted up to date. */
export async function recount(services: Pick<Services, "db">): Promise<void> {
  for (const { id } of await studiosCountedBefore(services.db, COUNTING)) {
    await rebuildProjections(services, id);
  }
}
