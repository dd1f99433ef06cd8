import type { BlockKind } from "~/core/session";
import { needsALook, TREND_DAYS, type Look, type PassageTrend } from "~/core/judge";
import { askedBy, daysOf, memoryStanding, minutesOfDays, type ItemDays } from "~/core/week";
import { addDays, dayOf, weekdayOf, type Day } from "~/core/units";
import {
  lastDaysOfEach,
  lastPractised,
  memoryOfAll,
  painSince,
  questionsWaiting,
  saidSince,
  groupsOf,
  studentsOf,
  studioById,
  type Assignment,
} from "~/db/queries";
import { gathered } from "~/db/client";
import { todayIn, type Services } from "../../services";
import { keptOutlooks } from "../record/kept-outlook";
import { byPerson, type Happened } from "../../plan/week-plan";
import { weeksOfEach } from "../../plan/weeks-of-each";

/** Without a week of its own, a line shows the last seven days. */
const DAYS_SHOWN = 7;
/** What lies longer ago needs no look any more. */
const SEEN_DAYS = 28;

/** The last day of practice: its pieces, what else its sessions held, minutes by hand. */
export interface LastPractised {
  readonly day: Day;
  readonly titles: readonly string[];
  readonly kinds: readonly BlockKind[];
  readonly byHand: number;
}

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
  /** Minutes that its days ask in all, when a week is set. */
  readonly goal: number | undefined;
  /** The day of the next lesson, when a week is set. */
  readonly until: Day | undefined;
  readonly canMove: boolean;
  readonly lessonToday: string | undefined;
  /** Without lessons of their own, their week ends with what their group is set. */
  readonly inGroup: boolean;
  /** The groups that they are taught in. */
  readonly groups: readonly string[];
  readonly last: LastPractised | undefined;
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

/** What each day asked that morning, what was practised, and what the days ahead ask. */
function lineDays(plan: ItemDays | undefined, happened: Happened, today: Day): LineDay[] {
  const played = minutesOfDays(happened.facts.spent);
  const days =
    plan?.days.map(({ day, load }) => ({ day, asked: load })) ??
    daysOf(addDays(today, 1 - DAYS_SHOWN), addDays(today, 1)).map((day) => ({ day, asked: 0 }));
  return days.map((each) => ({ ...each, played: played.get(each.day) ?? 0 }));
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
export async function weekOf(given: Services, studioId: string) {
  const services = { ...given, db: gathered(given.db) };
  const { db } = services;
  const [studio, everyone] = await Promise.all([
    studioById(db, studioId),
    studentsOf(db, studioId),
  ]);
  const today = todayIn(services, studio);
  const since = addDays(today, -SEEN_DAYS);
  const shownFrom = addDays(today, 1 - DAYS_SHOWN);
  const [weeks, groups, latest, reached, pain, said, memory, questions] = await Promise.all([
    weeksOfEach(db, studioId, everyone, { since: shownFrom, today }),
    groupsOf(db, studioId),
    lastPractised(db, studioId),
    lastDaysOfEach(db, studioId, since, TREND_DAYS),
    painSince(db, studioId, since),
    saidSince(db, studioId, since),
    memoryOfAll(db, studioId),
    questionsWaiting(db, studioId),
  ]);
  const [latestFor, reachedFor, painFor, saidFor, memoryFor, questionsFor] = [
    byPerson(latest),
    byPerson(reached),
    byPerson(pain),
    byPerson(said),
    byPerson(memory),
    byPerson(questions),
  ];
  const grouped = new Set(groups.flatMap(({ members }) => members));
  // What a concert looks like is reckoned of those who have lessons of their own.
  const chances = await keptOutlooks(
    services,
    studio,
    everyone.filter(({ id, times }) => !grouped.has(id) || times.lesson).map(({ id }) => id),
  );
  const lines = everyone.map((student): WeekLine => {
    const { id } = student;
    const { week, happened: practised, stretches } = weeks.get(id)!;
    const on = stretches.at(-1);
    const line = lineDays(on, practised, today);
    const [last] = latestFor(id);
    const felt = saidFor(id).findLast(({ feeling }) => feeling !== null);
    return {
      id,
      name: student.name,
      instrument: student.instrument,
      days: line,
      goal: on && askedBy(on.days).minutes,
      until: week?.until_day,
      /** A week is on: its lesson can be moved. */
      canMove: week !== undefined && week.from_day <= today && on !== undefined,
      lessonToday: lessonToday(week, student, { today, timeZone: studio.time_zone }),
      inGroup: grouped.has(id) && !student.times.lesson,
      groups: groups.filter(({ members }) => members.includes(id)).map((group) => group.id),
      last: last && { day: last.day, titles: last.titles, kinds: last.kinds, byHand: last.by_hand },
      looks: needsALook({
        today,
        lastDay: last?.day,
        askedSince: on && askedBy(on.days).minutes > 0 ? week?.from_day : undefined,
        daysAway: student.times.dates.filter(
          ({ day, minutes }) =>
            minutes === 0 && day <= today && day > (last?.day ?? week?.from_day ?? today),
        ).length,
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
        [...minutesOfDays(weeks.get(member)!.happened.facts.spent).keys()].some(
          (day) => day > addDays(today, -DAYS_SHOWN),
        ),
      ).length,
    })),
  };
}
