import { addDays, daysBetween } from "~/core/units";
import {
  flawsByBar,
  passageById,
  passageDays,
  passagesOfPerson,
  pieceOfPerson,
  repsOfPassage,
  studentById,
  studioById,
} from "~/db/queries";
import { todayIn, type Services } from "../services";
import { passageLine } from "./passage-line";

const RECORD_DAYS = 90;
const FLAW_DAYS = 28;

/** A piece with a student's passages and where their flaws fell. */
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
    pieceOfPerson(db, studioId, personId, pieceId),
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

/** A passage over days. */
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
