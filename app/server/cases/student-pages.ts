import { logOf, passagesOfPerson, piecesOfPerson, studentById, studioById } from "~/db/queries";
import { todayIn, type Services } from "../services";
import { passageLine } from "./passage-line";

const LATEST = 4;
const WHOLE_LOG = 1000;

/** A student with their pieces, passages and latest sessions. */
export async function studentPage(services: Services, studioId: string, personId: string) {
  const { db } = services;
  const [studio, person, pieces, passages, log] = await Promise.all([
    studioById(db, studioId),
    studentById(db, studioId, personId),
    piecesOfPerson(db, studioId, personId),
    passagesOfPerson(db, studioId, personId),
    logOf(db, studioId, personId, LATEST),
  ]);
  const today = todayIn(services, studio);
  return {
    today,
    person,
    pieces,
    passages: passages.map((each) => passageLine(each, today)),
    log,
  };
}

/** Every session, newest first. */
export async function logPage(services: Services, studioId: string, personId: string) {
  const [person, log] = await Promise.all([
    studentById(services.db, studioId, personId),
    logOf(services.db, studioId, personId, WHOLE_LOG),
  ]);
  return { person, log };
}
