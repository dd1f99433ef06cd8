import { nestedGoals, studentWeek, weekChanges } from "~/core/week";
import { addDays, daysBetween } from "~/core/units";
import {
  assignmentById,
  assignmentsOf,
  memoryOf,
  shorthandOf,
  passagesOfPerson,
  studentById,
  studioById,
} from "~/db/queries";
import { memoryLine } from "../heart/memory";
import { goalsOfToday } from "./worded-goals";
import { gathered } from "~/db/client";
import { todayIn, type Services } from "../../services";
import {
  allSaid,
  besidesOf,
  keepDays,
  planWeek,
  readFrom,
  whatHappened,
} from "../../plan/week-plan";
import { rawOf } from "../../plan/raw";
import { takesAsked } from "../../plan/takes-asked";
import { changeable, toTell, weekOn } from "../../plan/week-on";

const WEEKS_LISTED = 60;

/** The student's own week: what is asked on which day, what was done, goals, and learning by heart. */
export async function weekPage(
  given: Services,
  studioId: string,
  personId: string,
  weekId?: string,
) {
  const services = { ...given, db: gathered(given.db) };
  const { db } = services;
  const studio = await studioById(db, studioId);
  const today = todayIn(services, studio);
  const [person, passages, weeks, memory, shorthand] = await Promise.all([
    studentById(db, studioId, personId),
    passagesOfPerson(db, studioId, personId),
    assignmentsOf(db, studioId, personId, WEEKS_LISTED),
    memoryOf(db, studioId, personId),
    shorthandOf(db, studioId, personId),
  ]);
  const chosen = weekId ? await assignmentById(db, studioId, weekId) : undefined;
  const mine = chosen?.person_id === personId && chosen.set_at !== null ? chosen : undefined;
  // A week that begins tomorrow may be looked at today.
  const week = mine ?? weekOn(weeks, today) ?? weeks.find(({ from_day }) => from_day > today);
  // A week that goes on without a new lesson moves no day on which something was due.
  const lesson = weeks.find(({ id }) => id === week?.id)?.until_day ?? today;
  const happened =
    week &&
    (await whatHappened(db, studioId, personId, readFrom(week), addDays(week.until_day, -1)));
  const { times } = person;
  const raw = rawOf(passages, today);
  const plan = week && happened && planWeek({ week, times, happened, raw, today });
  if (plan) await keepDays(db, { studioId, personId }, plan, happened, today);
  const laid =
    plan &&
    studentWeek(
      {
        week: toTell(week),
        times,
        passages,
        spent: happened.facts.spent,
        besides: besidesOf(happened, week),
        today,
      },
      plan,
    );
  return {
    today,
    person: { id: person.id, name: person.name, instrument: person.instrument },
    room: studio.name,
    shorthand,
    timesSaid: times.windows.length > 0,
    lesson: times.lesson,
    concert: studio.concert_on ? { name: studio.concert_name, day: studio.concert_on } : undefined,
    week: laid,
    /** What was changed in it since it began. */
    changes: week ? weekChanges(allSaid(week)) : [],
    /** Its lesson is still to come, or late: it can be moved. */
    movable: week !== undefined && weekOn(weeks, today)?.id === week.id,
    /** It is the one that is on, and can be changed. */
    on: week !== undefined && changeable(weeks, today)?.id === week.id,
    takes: week
      ? await takesAsked(db, studioId, [{ items: week.text.items, lesson }], {
          today,
          timeZone: studio.time_zone,
        })
      : {},
    goals:
      laid &&
      nestedGoals(
        laid.asked,
        daysBetween(laid.from, laid.until),
        today,
        studio.concert_on ?? undefined,
      ),
    wordedGoals: await goalsOfToday(services, studioId, personId),
    memory: memory.map((each) => memoryLine(each, today)),
    weeks: weeks.map(({ id, from_day, until_day }) => ({ id, from: from_day, until: until_day })),
  };
}
