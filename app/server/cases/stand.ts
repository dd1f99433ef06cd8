import { eventsOf, sessionById } from "~/db/queries";
import type { Services } from "../services";

/** What the stand needs: the plan as it was fixed, and the events that have arrived. */
export async function standPage({ db }: Services, studioId: string, sessionId: string) {
  const [session, stored] = await Promise.all([
    sessionById(db, studioId, sessionId),
    eventsOf(db, studioId, sessionId),
  ]);
  return { personId: session.person_id, plan: session.plan, stored };
}

export async function storedEvents({ db }: Services, studioId: string, sessionId: string) {
  await sessionById(db, studioId, sessionId);
  return eventsOf(db, studioId, sessionId);
}
