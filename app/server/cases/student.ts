import { suggestedState, type PassageState } from "~/core/score";

import {
  flawsByBar,
  logEntry,
  logOf,
  openSessionOf,
  passageById,
  passageDays,
  passagesOfPerson,
  pieceById,
  piecesOfPerson,
  studentById,
  studioById,
  repsOfPassage,
  flawsOfSession,
  type Passage,
} from "~/db/queries";
import { addDays, daysBetween } from "~/core/units";
import { todayIn, type Services } from "../services";
import { startToday } from "./start-session";

const RECORD_DAYS = 90;
const FLAW_DAYS = 28;
const LOG_LENGTH = 60;
const OPEN_SESSION_HOURS = 12;

/** What the teacher says of a passage, or else what its record suggests. */
function stateOf(passage: Passage): PassageState {
  const { stateSet, comfortable, ceiling, ladder, piece } = passage;
  const record = comfortable === null || ceiling === null ? undefined : { comfortable, ceiling };
  return stateSet ?? suggestedState(record, ladder?.target ?? piece.markBpm);
}

/** A passage as lists and ribbons show it. */
export function passageLine(passage: Passage) {
  const { ladder, piece } = passage;
  return {
    id: passage.id,
    pieceId: piece.id,
    title: piece.title,
    name: passage.name,
    focus: passage.focus,
    fromBar: passage.fromBar,
    toBar: passage.toBar,
    beatUnit: piece.markUnit,
    state: stateOf(passage),
    stateSet: passage.stateSet,
    comfortable: passage.comfortable,
    ended: passage.endedTempo,
    reached: passage.reachedTempo,
    target: ladder?.target ?? null,
    minutes: ladder?.minutes ?? null,
    start: ladder ? startToday({ ...passage, ladder }) : null,
    lastDay: passage.lastDay,
  };
}
export type PassageLine = ReturnType<typeof passageLine>;

export async function studentPage(services: Services, studioId: string, personId: string) {
  const { db } = services;
  const [studio, person, pieces, passages, log] = await Promise.all([
    studioById(db, studioId),
    studentById(db, studioId, personId),
    piecesOfPerson(db, studioId, personId),
    passagesOfPerson(db, studioId, personId),
    logOf(db, studioId, personId, 4),
  ]);
  return {
    today: todayIn(services, studio),
    person,
    pieces,
    passages: passages.map(passageLine),
    log,
  };
}

export async function todayPage(services: Services, studioId: string, personId: string) {
  const { db, now } = services;
  const since = new Date(now() - OPEN_SESSION_HOURS * 3_600_000);
  const [studio, person, passages, open] = await Promise.all([
    studioById(db, studioId),
    studentById(db, studioId, personId),
    passagesOfPerson(db, studioId, personId),
    openSessionOf(db, studioId, personId, since),
  ]);
  const ready = passages.filter(({ ladder }) => ladder !== null).map(passageLine);
  return {
    today: todayIn(services, studio),
    person,
    passages: ready,
    withoutLadder: passages.length - ready.length,
    openSession: open ? { id: open.id, blocks: open.plan.blocks.length } : undefined,
  };
}

export async function logPage(services: Services, studioId: string, personId: string) {
  const [person, log] = await Promise.all([
    studentById(services.db, studioId, personId),
    logOf(services.db, studioId, personId, LOG_LENGTH),
  ]);
  return { person, log };
}

export async function piecePage(
  services: Services,
  studioId: string,
  personId: string,
  pieceId: string,
) {
  const { db } = services;
  const studio = await studioById(db, studioId);
  const since = addDays(todayIn(services, studio), -FLAW_DAYS);
  const [person, piece, passages, flaws] = await Promise.all([
    studentById(db, studioId, personId),
    pieceById(db, studioId, pieceId),
    passagesOfPerson(db, studioId, personId),
    flawsByBar(db, studioId, personId, pieceId, since),
  ]);
  return {
    person,
    piece,
    passages: passages.filter((passage) => passage.pieceId === pieceId).map(passageLine),
    flaws: Object.fromEntries(flaws.map(({ bar, flawed }) => [bar, flawed])),
  };
}

/** A passage with its student, its ladder and the plays that an estimate is made from. */
export async function ladderPage(services: Services, studioId: string, passageId: string) {
  const { db } = services;
  const studio = await studioById(db, studioId);
  const passage = await passageById(db, studioId, passageId);
  const person = await studentById(db, studioId, passage.personId);
  const today = todayIn(services, studio);
  const reps = await repsOfPassage(db, studioId, passageId, addDays(today, -RECORD_DAYS), today);
  return {
    person,
    piece: passage.piece,
    passage: passageLine(passage),
    range: {
      fromBar: passage.fromBar,
      toBar: passage.toBar,
      pickupBeats: passage.pickupBeats,
      endBeats: passage.endBeats,
    },
    ladder: passage.ladder,
    reps: reps.map(({ tempo, verdict, day, count }) => ({
      tempo,
      verdict,
      daysAgo: daysBetween(day, today),
      count,
    })),
  };
}

export async function progressPage(services: Services, studioId: string, passageId: string) {
  const { db } = services;
  const studio = await studioById(db, studioId);
  const passage = await passageById(db, studioId, passageId);
  const today = todayIn(services, studio);
  const [person, days, flaws] = await Promise.all([
    studentById(db, studioId, passage.personId),
    passageDays(db, studioId, passageId),
    flawsByBar(db, studioId, passage.personId, passage.pieceId, addDays(today, -FLAW_DAYS)),
  ]);
  return {
    today,
    person,
    piece: passage.piece,
    passage: passageLine(passage),
    days,
    flaws: Object.fromEntries(flaws.map(({ bar, flawed }) => [bar, flawed])),
  };
}

export async function afterwardsPage(services: Services, studioId: string, sessionId: string) {
  const { db } = services;
  const entry = await logEntry(db, studioId, sessionId);
  if (!entry) return undefined;
  const [person, flaws, passages] = await Promise.all([
    studentById(db, studioId, entry.person_id),
    flawsOfSession(db, studioId, sessionId),
    passagesOfPerson(db, studioId, entry.person_id),
  ]);
  const next = passages
    .filter(({ id, ladder }) => ladder && entry.blocks.some((block) => block.passageId === id))
    .map(passageLine);
  return { person, entry, flaws, next };
}
