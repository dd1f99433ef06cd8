import {
  askedBy,
  doneOn,
  nestedGoals,
  windowsOn,
  type ItemDays,
  type StudentWeek,
  type WeekDay,
  type WeekItem,
  type WeekTimes,
} from "~/core/week";
import { addDays, daysBetween, type Day } from "~/core/units";
import {
  assignmentById,
  assignmentsOf,
  memoryOf,
  passagesOfPerson,
  studentById,
  studioById,
  type Assignment,
  type Passage,
} from "~/db/queries";
import { memoryLine } from "./memory";
import { goalsOfToday } from "./worded-goals";
import { todayIn, type Services } from "../services";
import {
  keepDays,
  keyFor,
  minutesOfDays,
  minutesOfItem,
  planWeek,
  readFrom,
  whatHappened,
  type Happened,
} from "../plan/week-plan";
import { rawOf } from "../plan/raw";
import { takesAsked } from "../plan/takes-asked";
import { weekOn } from "../plan/week-on";

const WEEKS_LISTED = 60;

interface WeekInputs {
  readonly week: Pick<Assignment, "id" | "from_day" | "until_day" | "text"> & {
    readonly since?: Day;
  };
  readonly times: WeekTimes;
  readonly passages: readonly Passage[];
  readonly happened: Happened;
  readonly today: Day;
}

/** A week with what each day asked and what came of it, and as it is laid out from today on. */
function studentWeek(
  { week, times, passages, happened, today }: WeekInputs,
  plan: ItemDays,
): StudentWeek {
  const { from_day: from, until_day: until, since = from, text } = week;
  const byDay = minutesOfDays(happened);
  const days = plan.days.map(({ day, minutes, items: asked }): WeekDay => ({
    day,
    minutes,
    times: windowsOn(times, day).map((each) => ({ from: each.from, minutes: each.minutes })),
    asked,
    played: byDay.get(day) ?? 0,
  }));
  const items = text.items.map((item): WeekItem => {
    const passage = passages.find(({ id }) => id === item.passageId);
    const spent = minutesOfItem(item, happened);
    const done = new Set(doneOn(plan.days, item.id));
    const practised = [...new Set([...spent.keys(), ...done])]
      .filter((day) => day >= from && day < until)
      .toSorted()
      .map((day) => ({ day, minutes: spent.get(day) ?? 0, done: done.has(day) }));
    return {
      ...item,
      bars: passage ? { from: passage.fromBar, to: passage.toBar } : null,
      beatUnit: passage?.beatUnit ?? null,
      key: keyFor(item, since, today < from ? from : today >= until ? addDays(until, -1) : today),
      practised,
    };
  });
  return {
    id: week.id,
    from,
    until,
    text,
    asked: askedBy(plan.days),
    items,
    days,
    // Of a week that is over there is nothing to lay out any more.
    notes: today < until ? plan.notes : [],
    played: {
      minutes: days.reduce((sum, { played }) => sum + played, 0),
      days: days.filter(({ played }) => played > 0).length,
    },
  };
}

/** The student's own week: what is asked on which day, what was done, goals, and learning by heart. */
export async function weekPage(
  services: Services,
  studioId: string,
  personId: string,
  weekId?: string,
) {
  const { db } = services;
  const studio = await studioById(db, studioId);
  const today = todayIn(services, studio);
  const [person, passages, weeks, memory] = await Promise.all([
    studentById(db, studioId, personId),
    passagesOfPerson(db, studioId, personId),
    assignmentsOf(db, studioId, personId, WEEKS_LISTED),
    memoryOf(db, studioId, personId),
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
  const inputs = week && happened && { week, times, passages, happened, today };
  const plan = inputs && planWeek({ ...inputs, raw: rawOf(passages, today) });
  if (plan) await keepDays(db, { studioId, personId }, plan, happened, today);
  const laid = plan && studentWeek(inputs, plan);
  return {
    today,
    person: { id: person.id, name: person.name, instrument: person.instrument },
    room: studio.name,
    timesSaid: times.windows.length > 0,
    lesson: times.lesson,
    concert: studio.concert_on ? { name: studio.concert_name, day: studio.concert_on } : undefined,
    week: laid,
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
