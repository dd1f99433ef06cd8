import { daysWithMinutes } from "~/core/week";
import { staircase, type Ladder } from "~/core/ladder";
import { barsOf } from "~/core/score";
import type { SheetItem } from "~/core/week";
import { addDays, type Day } from "~/core/units";
import {
  assignmentById,
  passagesOfPerson,
  studentById,
  studioById,
  type Passage,
} from "~/db/queries";
import { DatabaseError } from "~/db/client";
import { todayIn, type Services } from "../services";
import {
  happenedBefore,
  keyFor,
  minutesOfItem,
  planWeek,
  readFrom,
  whatHappened,
} from "../plan/week-plan";
import { partOf, wayInto } from "./way-into";
import { stateOf } from "./passage-line";

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

/** A week as it was set, for the stand or the notebook: drawn by the page and by the PDF. */
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
  const raw = new Set(
    passages.filter((each) => stateOf(each, today) === "raw").map(({ id }) => id),
  );
  const { times } = person;
  const asWasSet = {
    ...week.text,
    items: week.text.items.map((i) => ({ ...i, decision: "open" as const })),
  };
  const plan = planWeek({
    week: { ...week, text: asWasSet },
    times,
    // As it was laid out on its first day, whatever came of it since.
    happened: happenedBefore(happened, from),
    raw,
    today: from,
  });
  const items = week.text.items.map((item): SheetItem => {
    const passage = passages.find(({ id }) => id === item.passageId);
    const ladder = passage?.ladder ?? null;
    const done = [...minutesOfItem(item, happened).keys()];
    return {
      ...item,
      bars: passage ? { from: passage.fromBar, to: passage.toBar } : null,
      beatUnit: passage?.beatUnit ?? null,
      key: keyFor(item, from, from),
      gate: ladder?.gate ?? null,
      tempi: passage && ladder ? stepsOf(passage, ladder, today) : [],
      target: ladder?.target ?? null,
      asked: plan.days.map(
        (day) => day.items.find(({ itemId }) => itemId === item.id)?.minutes ?? 0,
      ),
      doneOn: done.filter((day) => day >= from && day < until).toSorted(),
    };
  });
  return {
    room: studio.name,
    person: { id: person.id, name: person.name, instrument: person.instrument },
    week: { id: week.id, from, until },
    days: daysWithMinutes(from, until, times).map(({ day, minutes }, index) => ({
      day,
      minutes,
      asked: plan.days[index]?.load ?? 0,
    })),
    word: week.text.word,
    goal: week.text.goal,
    items,
  };
}
