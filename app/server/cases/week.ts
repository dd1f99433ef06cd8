import { needsALook, type Look, type PassageTrend } from "~/core/judge";
import { addDays, type Day } from "~/core/units";
import {
  latestOfEach,
  minutesByDay,
  painSince,
  reachedSince,
  studentsOf,
  studioById,
} from "~/db/queries";
import { todayIn, type Services } from "../services";

const DAYS_SHOWN = 7;
const TREND_DAYS = 28;

export interface WeekLine {
  readonly id: string;
  readonly name: string;
  readonly instrument: string;
  readonly minutes: readonly number[];
  readonly last: { readonly day: Day; readonly what: readonly string[] } | undefined;
  readonly looks: readonly Look[];
}

type ReachedRow = Awaited<ReturnType<typeof reachedSince>>[number];

function trends(rows: readonly ReachedRow[]): PassageTrend[] {
  const byPassage = new Map<string, ReachedRow[]>();
  for (const row of rows) {
    const days = byPassage.get(row.passage_id);
    if (days) days.push(row);
    else byPassage.set(row.passage_id, [row]);
  }
  return [...byPassage.values()].map((days) => ({
    title: days[0]!.title,
    fromBar: days[0]!.from_bar,
    toBar: days[0]!.to_bar,
    target: days[0]!.target ?? undefined,
    days: days.map(({ day, reached_tempo }) => ({ day, reached: reached_tempo ?? undefined })),
  }));
}

/** The week board: each student's last seven days, what was played last, what needs a look. */
export async function weekOf(services: Services, studioId: string) {
  const { db } = services;
  const studio = await studioById(db, studioId);
  const today = todayIn(services, studio);
  const from = addDays(today, 1 - DAYS_SHOWN);
  const days = Array.from({ length: DAYS_SHOWN }, (_, i) => addDays(from, i));
  const [students, minutes, latest, reached, pain] = await Promise.all([
    studentsOf(db, studioId),
    minutesByDay(db, studioId, from, today),
    latestOfEach(db, studioId),
    reachedSince(db, studioId, addDays(today, -TREND_DAYS)),
    painSince(db, studioId, addDays(today, -TREND_DAYS)),
  ]);
  const lines = students.map((student): WeekLine => {
    const mine = <T extends { person_id: string }>(row: T) => row.person_id === student.id;
    const last = latest.find(mine);
    return {
      id: student.id,
      name: student.name,
      instrument: student.instrument,
      minutes: days.map((day) => minutes.filter(mine).find((row) => row.day === day)?.minutes ?? 0),
      last: last && { day: last.day, what: [...new Set(last.blocks.map(({ title }) => title))] },
      looks: needsALook({
        today,
        lastDay: last?.day,
        painDay: pain.find(mine)?.day,
        passages: trends(reached.filter(mine)),
      }),
    };
  });
  const concert = studio.concert_on
    ? { name: studio.concert_name, day: studio.concert_on }
    : undefined;
  return { today, days, lines, concert };
}
