import {
  logOf,
  openSessionOf,
  painSince,
  passagesOfPerson,
  piecesOfPerson,
  studentById,
  studioById,
} from "~/db/queries";
import { addDays } from "~/core/units";
import { todayIn, type Services } from "../services";
import { passageLine } from "./passage-line";

const LATEST = 4;
const WHOLE_LOG = 1000;
/** So long after a stop for pain the cautions stand open. */
const CARE_DAYS = 14;
const OPEN_SESSION_HOURS = 12;

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

/** What can be played today, and the session that was left open. */
export async function todayPage(services: Services, studioId: string, personId: string) {
  const { db, now } = services;
  const since = new Date(now() - OPEN_SESSION_HOURS * 3_600_000);
  const studio = await studioById(db, studioId);
  const today = todayIn(services, studio);
  const [person, passages, open, pain] = await Promise.all([
    studentById(db, studioId, personId),
    passagesOfPerson(db, studioId, personId),
    openSessionOf(db, studioId, personId, since),
    painSince(db, studioId, addDays(today, -CARE_DAYS)),
  ]);
  const ready = passages
    .filter(({ ladder }) => ladder !== null)
    .map((each) => passageLine(each, today));
  return {
    today,
    person,
    /** Something hurt not long ago: the cautions stand open. */
    hurtLately: pain.some((row) => row.person_id === personId),
    passages: ready,
    withoutLadder: passages.length - ready.length,
    openSession: open ? { id: open.id, blocks: open.plan.blocks.length } : undefined,
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
