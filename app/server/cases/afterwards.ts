import { flawsOfSession, logEntry, passagesOfPerson, studentById, studioById } from "~/db/queries";
import { todayIn, type Services } from "../services";
import { asOf } from "../plan/as-of";
import { passageLine } from "./passage-line";

/** A session as it went; nothing while no event has arrived. */
export async function afterwardsPage(services: Services, studioId: string, sessionId: string) {
  const { db } = services;
  const entry = await logEntry(db, studioId, sessionId);
  if (!entry) return undefined;
  const [studio, person, flaws, passages] = await Promise.all([
    studioById(db, studioId),
    studentById(db, studioId, entry.person_id),
    flawsOfSession(db, studioId, sessionId),
    passagesOfPerson(db, studioId, entry.person_id),
  ]);
  const today = todayIn(services, studio);
  const next = passages
    .filter(({ id, ladder }) => ladder && entry.blocks.some((block) => block.passageId === id))
    .map((each) => passageLine(each, today));
  return { person, entry: asOf(entry, today, studio.time_zone), flaws, next };
}
