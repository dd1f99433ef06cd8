import { tempiOfPiece, USUAL_STAGES } from "~/core/score";
import { addDays, dayOf } from "~/core/units";
import {
  barMarksOf,
  evennessByDay,
  flawBeats,
  earOf,
  flawsByBar,
  laddersOf,
  passageById,
  passageDays,
  playsOfPassage,
  recordByKey,
  passagesOfPerson,
  passagesPutAway,
  pieceOfPerson,
  stagesOf,
  studentById,
  studioById,
} from "~/db/queries";
import { todayIn, type Services } from "../../services";
import { otherStudents } from "../people/whom";
import { memoryOfPiece } from "../heart/memory";
import { paperShown } from "./paper";
import { passageOutlook } from "../../plan/ahead";
import { turnsOf } from "../../plan/turns";
import { standingOf } from "../../plan/standing";
import { aheadInputs } from "../record/outlook";
import { takesListed } from "../take/takes";
import { passageLine } from "../../plan/passage-line";
import { notationOf } from "./scores";
import { movedLadders } from "./tempo-moved";
import { profileOf } from "./trouble";

const FLAW_DAYS = 28;

/** A piece with a student's passages and where their flaws fell. */
export async function piecePage(
  services: Services,
  studioId: string,
  personId: string,
  pieceId: string,
  flawDays: number = FLAW_DAYS,
) {
  const { db } = services;
  const studio = await studioById(db, studioId);
  const today = todayIn(services, studio);
  const since = addDays(today, -flawDays);
  const [
    person,
    piece,
    passages,
    off,
    flaws,
    memory,
    stages,
    others,
    notation,
    marks,
    paper,
    beats,
  ] = await Promise.all([
    studentById(db, studioId, personId),
    pieceOfPerson(db, studioId, personId, pieceId),
    passagesOfPerson(db, studioId, personId),
    passagesPutAway(db, studioId, personId, pieceId),
    flawsByBar(db, studioId, personId, pieceId, since),
    memoryOfPiece(services, studioId, personId, pieceId, today),
    stagesOf(db, studioId, personId),
    otherStudents(services, studioId, personId),
    notationOf(services, studioId, personId, pieceId),
    barMarksOf(db, studioId, personId, pieceId),
    paperShown(services, { studioId, personId, pieceId }),
    flawBeats(db, studioId, personId, pieceId, since),
  ]);
  return {
    marks: Object.fromEntries(marks.map(({ bar, mark }) => [bar, mark])),
    profile: await profileOf(services, studioId, pieceId, notation),
    today,
    notation,
    // Notes say more than their picture.
    paper: notation ? undefined : paper,
    concert: studio.concert_on,
    memory,
    stages: stages.find(({ piece_id }) => piece_id === pieceId)?.stages ?? USUAL_STAGES,
    person,
    piece,
    tempi: tempiOfPiece(piece),
    movedLadders: await movedLadders(services, { studioId, personId, pieceId }, passages),
    others,
    passages: passages
      .filter((passage) => passage.pieceId === pieceId)
      .map((each) => passageLine(each, today)),
    putAway: off.map((each) => ({
      ...passageLine(each, today),
      since: dayOf(each.retiredAt!.getTime(), studio.time_zone),
    })),
    flaws: Object.fromEntries(flaws.map(({ bar, flawed }) => [bar, flawed])),
    flawBeats: beats,
  };
}

/** A passage over days, and on the days ahead; `withPlays`: with every play behind it. */
export async function progressPage(
  services: Services,
  studioId: string,
  passageId: string,
  withPlays = false,
) {
  const { db } = services;
  const studio = await studioById(db, studioId);
  const passage = await passageById(db, studioId, passageId);
  const today = todayIn(services, studio);
  const [person, days, keys, flaws, inputs, ladders, plays, evenness] = await Promise.all([
    studentById(db, studioId, passage.personId),
    passageDays(db, studioId, passageId),
    recordByKey(db, studioId, passageId),
    flawsByBar(db, studioId, passage.personId, passage.pieceId, addDays(today, -FLAW_DAYS)),
    aheadInputs(services, studio, passage.personId),
    laddersOf(db, studioId, passageId),
    withPlays ? playsOfPassage(db, studioId, passageId) : undefined,
    evennessByDay(db, studioId, [passageId]),
  ]);
  const standing = standingOf(passage, today);
  return {
    today,
    takes: await takesListed(services, studioId, { passageId }),
    ear: await earOf(db, studioId, passage.personId),
    person,
    piece: passage.piece,
    passage: passageLine(passage, today),
    offSince: passage.retiredAt && dayOf(passage.retiredAt.getTime(), studio.time_zone),
    now: standing && {
      comfortable: standing.comfortable,
      ceiling: standing.ceilingMet ? standing.ceiling.value : null,
      most: standing.most,
    },
    outlook: passageOutlook(passage, inputs),
    concertName: studio.concert_name,
    hurts: inputs.hurts,
    days: days.map((each) => ({
      ...each,
      spread: evenness.find(({ day }) => day === each.day)?.spread,
    })),
    /** Every play behind it, where they are asked for. */
    plays,
    turns: turnsOf(
      ladders,
      days.map(({ day }) => day),
      today,
      studio.time_zone,
    ),
    keys: keys.map((record) => {
      const inIt = standingOf(passage, today, record.key);
      return { ...record, comfortable: inIt ? inIt.comfortable.value : null };
    }),
    flaws: Object.fromEntries(flaws.map(({ bar, flawed }) => [bar, flawed])),
  };
}
