import { logOf, passagesOfPerson, piecesOfPerson, studentById, studioById } from "~/db/queries";
import { gathered } from "~/db/client";
import { todayIn, type Services } from "../../services";
import { asOf } from "../../plan/as-of";
import { adviceOf } from "../record/advice";
import { questionsNow } from "../record/questions";
import { passageLine } from "../../plan/passage-line";

const LATEST = 4;

/** A student with their pieces, passages and latest sessions; `forStudent`: advised as for today. */
export async function studentPage(
  given: Services,
  studioId: string,
  personId: string,
  forStudent = false,
) {
  const services = { ...given, db: gathered(given.db) };
  const { db } = services;
  const [studio, person, pieces, passages, log] = await Promise.all([
    studioById(db, studioId),
    studentById(db, studioId, personId),
    piecesOfPerson(db, studioId, personId),
    passagesOfPerson(db, studioId, personId),
    logOf(db, studioId, personId, LATEST),
  ]);
  const today = todayIn(services, studio);
  const [{ waiting }, advice] = await Promise.all([
    questionsNow(services, studioId, personId),
    adviceOf(services, studioId, personId, { passages, forStudent }),
  ]);
  return {
    today,
    person,
    questions: waiting,
    ...advice,
    pieces,
    passages: passages.map((each) => passageLine(each, today)),
    log: log.map((entry) => asOf(entry, today, studio.time_zone)),
  };
}
