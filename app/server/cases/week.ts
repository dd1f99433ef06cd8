import { needsALook, TREND_DAYS, type Look, type PassageTrend } from "~/core/judge";
import { LOOK_BACK_DAYS, mayRestLong, daysOf, memoryStanding } from "~/core/week";
import { addDays, dayOf, weekdayOf, type Day } from "~/core/units";
import {
  lastDaysOfEach,
  lastPlayed,
  memoryOfAll,
  painSince,
  passagesNamed,
  questionsWaiting,
  saidSince,
  groupsOf,
  studentsOf,
  studioById,
  weeksOfAll,
  type Assignment,
} from "~/db/queries";
import { todayIn, type Services } from "../services";
import { keptOutlooks } from "./kept-outlook";
import { stateOf } from "./passage-line";
import { weekOn } from "../plan/week-on";
import {
  byPerson,
  byPersonOf,
  minutesOfDays,
  planWeek,
  whatHappened,
  type Happened,
} from "../plan/week-plan";

/** Without a week of its own, a line shows the last seven days. */
const DAYS_SHOWN = 7;
const LONGEST_LINE = 14;
/** What lies longer ago needs no look any more. */
const SEEN_DAYS = 28;

export interface LineDay {
  readonly day: Day;
  readonly asked: number;
  readonly played: number;
}

export interface WeekLine {
  readonly id: string;
  readonly name: string;
  readonly instrument: string;
  readonly days: readonly LineDay[];
  /** Minutes that the week asks in all, as it was set. */
  readonly goal: number | undefined;
  /** The day of the next lesson, when a week is set. */
  readonly until: Day | undefined;
  readonly lessonToday: string | undefined;
  /** Without lessons of their own, their week ends with what their group is set. */
  readonly inGroup: boolean;
  readonly last: { readonly day: Day; readonly what: readonly string[] } | undefined;
  readonly looks: readonly Look[];
}

type LastDays = Awaited<ReturnType<typeof lastDaysOfEach>>[number];

const trend = ({ title, from_bar, to_bar, target, days }: LastDays): PassageTrend => ({
  title,
  fromBar: from_bar,
  toBar: to_bar,
  target: target ?? undefined,
  days: days.map(({ day, reached }) => ({ day, reached: reached ?? undefined })),
});

type Student = Awaited<ReturnType<typeof studentsOf>>[number];

/** On the day of the lesson the line shows the week that ends; later, that it goes on. */
const running = (week: Assignment | undefined, today: Day) =>
  week && today > week.until_day ? weekOn([week], today) : week;

interface LineInputs {
  readonly week: Assignment | undefined;
  readonly student: Student;
  readonly today: Day;
  readonly happened: Happened;
  readonly raw: ReadonlySet<string>;
}

/** What each day asked that morning, what was practised, and what the days ahead ask. */
function lineDays({ week, student, today, happened, raw }: LineInputs): LineDay[] {
  const on = running(week, today);
  const from = on ? on.from_day : addDays(today, 1 - DAYS_SHOWN);
  const until = on ? on.until_day : addDays(today, 1);
  const plan = on && planWeek({ week: on, times: student.times, happened, raw, today });
  const asked = new Map(plan?.days.map(({ day, load }) => [day, load]));
  const played = minutesOfDays(happened);
  return daysOf(from, until)
    .slice(0, LONGEST_LINE)
    .map((day) => ({ day, asked: asked.get(day) ?? 0, played: played.get(day) ?? 0 }));
}

/** The time of a lesson that is still to come today; empty when only its day is known. */
function lessonToday(
  week: Assignment | undefined,
  { times }: Student,
  { today, timeZone }: { readonly today: Day; readonly timeZone: string },
): string | undefined {
  const { lesson } = times;
  if (week?.from_day === today) {
    // Set today, the lesson was held; set before, it was prepared and is still to come.
    const prepared = dayOf(week.set_at!.getTime(), timeZone) < today;
    return prepared ? (lesson?.from ?? "") : undefined;
  }
  if (week?.until_day === today) return lesson?.from ?? "";
  return lesson?.weekday === weekdayOf(today) ? lesson.from : undefined;
}

const isTired = (feeling: string | null): feeling is "tight" | "tired" =>
  feeling === "tight" || feeling === "tired";

/** The week board: from lesson to lesson, what was asked and practised, and who needs a look. */
export async function weekOf(services: Services, studioId: string) {
  const { db } = services;
  const studio = await studioById(db, studioId);
  const today = todayIn(services, studio);
  const since = addDays(today, -SEEN_DAYS);
  const weeks = await weeksOfAll(db, studioId, today);
  const begins = weeks.map((week) => running(week, today)?.from_day ?? today);
  const from = addDays([today, ...begins].toSorted()[0]!, -LOOK_BACK_DAYS);
  const [everyone, groups, latest, happened, reached, pain, said, memory, questions] =
    await Promise.all([
      studentsOf(db, studioId),
      groupsOf(db, studioId),
      lastPlayed(db, studioId),
      whatHappened(db, studioId, null, from, today),
      lastDaysOfEach(db, studioId, since, TREND_DAYS),
      painSince(db, studioId, since),
      saidSince(db, studioId, since),
      memoryOfAll(db, studioId),
      questionsWaiting(db, studioId),
    ]);
  const named = weeks.flatMap(({ text }) =>
    text.items.flatMap(({ passageId, often }) =>
      mayRestLong(often) && passageId ? passageId : [],
    ),
  );
  const asked = await passagesNamed(db, studioId, named);
  const raw = new Set(asked.filter((each) => stateOf(each, today) === "raw").map(({ id }) => id));
  const [weekFor, latestFor, reachedFor, painFor, saidFor, memoryFor, questionsFor] = [
    byPerson(weeks),
    byPerson(latest),
    byPerson(reached),
    byPerson(pain),
    byPerson(said),
    byPerson(memory),
    byPerson(questions),
  ];
  const happenedFor = byPersonOf(happened);
  // Whoever is taught with a group only stands on its board, unless something hurts.
  const grouped = new Set(groups.flatMap(({ members }) => members));
  const students = everyone.filter(
    ({ id, times }) => !grouped.has(id) || times.lesson || painFor(id).length > 0,
  );
  const chances = await keptOutlooks(
    services,
    studio,
    students.map(({ id }) => id),
  );
  const lines = students.map((student): WeekLine => {
    const { id } = student;
    const [week] = weekFor(id);
    const [last] = latestFor(id);
    const practised = happenedFor(id);
    const days = [...minutesOfDays(practised).keys()].toSorted();
    const felt = saidFor(id).findLast(({ feeling }) => feeling !== null);
    return {
      id,
      name: student.name,
      instrument: student.instrument,
      days: lineDays({ week, student, today, happened: practised, raw }),
      goal: running(week, today)?.text.goal.minutes,
      until: week?.until_day,
      lessonToday: lessonToday(week, student, { today, timeZone: studio.time_zone }),
      inGroup: grouped.has(id) && !student.times.lesson,
      last: last && { day: last.day, what: last.titles },
      looks: needsALook({
        today,
        lastDay: [last?.day, days.at(-1)]
          .filter((day) => day !== undefined)
          .toSorted()
          .at(-1),
        painDay: painFor(id)[0]?.day,
        passages: reachedFor(id).map(trend),
        questions: questionsFor(id).map(({ text }) => text),
        concert: chances.get(id),
        felt: felt && isTired(felt.feeling) ? { day: felt.day, feeling: felt.feeling } : undefined,
        behind: memoryFor(id).flatMap(({ title, plan, stands }) => {
          const { aheadDays, over } = memoryStanding(plan, stands, today);
          return aheadDays < 0 && !over ? [{ title, days: -aheadDays }] : [];
        }),
      }),
    };
  });
  const concert = studio.concert_on
    ? { name: studio.concert_name, day: studio.concert_on }
    : undefined;
  return {
    today,
    lines,
    concert,
    groups: groups.map(({ id, name, members }) => ({
      ...{ id, name, members: members.length },
      practised: members.filter((member) =>
        [...minutesOfDays(happenedFor(member)).keys()].some(
          (day) => day > addDays(today, -DAYS_SHOWN),
        ),
      ).length,
    })),
  };
}
