import { staircase, type Ladder } from "~/core/ladder";
import { barsOf } from "~/core/score";
import { askedBy, askedOf, doneOn, type SheetItem } from "~/core/week";
import { addDays, type Day } from "~/core/units";
import {
  assignmentById,
  passagesOfPerson,
  studentById,
  studioById,
  type Passage,
} from "~/db/queries";
import { DatabaseError } from "~/db/client";
import { todayIn, type Services } from "../../services";
import { keepDays, keyFor, planWeek, readFrom, whatHappened } from "../../plan/week-plan";
import { partOf, wayInto } from "../../plan/way-into";
import { rawOf } from "../../plan/raw";

const MOST_STEPS = 60;

function stepsOf(passage: Passage, ladder: Ladder, day: Day): number[] {
  const { start, place } = wayInto({ ...passage, ladder }, day);
  const bars = barsOf(passage.piece.metres, partOf(passage, ladder));
  const { beatUnit } = passage;
  const tempi = staircase(ladder, { start, bars, beatUnit, place }).map(
    ({ tempo }) => tempo as number,
  );
  const moved = tempi.filter((tempo, i) => tempo !== tempi[i - 1]);
  return moved.slice(0, MOST_STEPS);
}

/** A week for the stand or the notebook, as it stands today: drawn by the page and by the PDF. */
export async function sheetPage(
  services: Services,
  studioId: string,
  personId: string,
  weekId: string,
) {
  const { db } = services;
  const [studio, person, passages, week] = await Promise.all([
    studioById(db, studioId),
    studentById(db, studioId, personId),
    passagesOfPerson(db, studioId, personId),
    assignmentById(db, studioId, weekId),
  ]);
  if (week.person_id !== personId || week.set_at === null) {
    throw new DatabaseError("not-found", "There is no such week.");
  }
  const today = todayIn(services, studio);
  const { from_day: from, until_day: until } = week;
  const happened = await whatHappened(db, studioId, personId, readFrom(week), addDays(until, -1));
  const plan = planWeek({
    ...{ week, happened, today },
    times: person.times,
    raw: rawOf(passages, today),
  });
  await keepDays(db, { studioId, personId }, plan, happened, today);
  const items = week.text.items.map((item): SheetItem => {
    const passage = passages.find(({ id }) => id === item.passageId);
    const ladder = passage?.ladder ?? null;
    return {
      ...item,
      bars: passage ? { from: passage.fromBar, to: passage.toBar } : null,
      beatUnit: passage?.beatUnit ?? null,
      key: keyFor(item, from, from),
      gate: ladder?.gate ?? null,
      tempi: passage && ladder ? stepsOf(passage, ladder, today) : [],
      target: ladder?.target ?? null,
      asked: askedOf(plan.days, item.id),
      doneOn: doneOn(plan.days, item.id),
    };
  });
  return {
    room: studio.name,
    person: { id: person.id, name: person.name, instrument: person.instrument },
    week: { id: week.id, from, until },
    /** The day on which it stood so, where some of it is over. */
    asOf: today > from && today < until ? today : undefined,
    days: plan.days.map(({ day, minutes, load }) => ({ day, minutes, asked: load })),
    word: week.text.word,
    goal: askedBy(plan.days),
    items,
  };
}
