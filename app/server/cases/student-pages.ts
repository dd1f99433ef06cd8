import {
  assignmentsOf,
  logOf,
  passagesOfPerson,
  piecesOfPerson,
  practiceByHand,
  studentById,
  studioById,
} from "~/db/queries";
import { todayIn, type Services } from "../services";
import { asOf } from "../plan/as-of";
import { questionsNow } from "./questions";
import { passageLine } from "./passage-line";

const LATEST = 4;
const WHOLE_LOG = 1000;
const FIRST_DAY = "2000-01-01";

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
  const { waiting } = await questionsNow(services, studioId, personId);
  return {
    today,
    person,
    questions: waiting,
    pieces,
    passages: passages.map((each) => passageLine(each, today)),
    log: log.map((entry) => asOf(entry, today, studio.time_zone)),
  };
}

/** Every session, newest first. */
export async function logPage(services: Services, studioId: string, personId: string) {
  const { db } = services;
  const studio = await studioById(db, studioId);
  const today = todayIn(services, studio);
  const [person, log, byHand, weeks] = await Promise.all([
    studentById(db, studioId, personId),
    logOf(db, studioId, personId, WHOLE_LOG),
    practiceByHand(db, studioId, personId, FIRST_DAY, today),
    assignmentsOf(db, studioId, personId, WHOLE_LOG),
  ]);
  const entries = log.map((entry) => asOf(entry, today, studio.time_zone));
  const titles = new Map(
    weeks.flatMap(({ text }) => text.items.map(({ id, title }) => [id, title] as const)),
  );
  const named = byHand.map((entry) => ({ ...entry, title: titles.get(entry.item_id ?? "") ?? "" }));
  return { person, log: entries, byHand: named.toReversed() };
}
