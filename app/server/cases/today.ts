import type { AskedTask, BlockKind } from "~/core/session";
import type { AssignmentItem, ItemKind } from "~/core/week";
import { minutesOn, weekdayOf } from "~/core/week";
import { addDays, daysBetween, momentOf, type Day } from "~/core/units";
import {
  assignmentsOf,
  openSessionOf,
  painSince,
  passagesOfPerson,
  type sessionsBetween,
  shapesOf,
  studentById,
  studioById,
  type Assignment,
} from "~/db/queries";
import { todayIn, type Services } from "../services";
import { candidatesFor } from "../plan/candidates";
import { minutesOfDays, planWeek, whatHappened } from "../plan/week-plan";
import { passageLine, stateOf } from "./passage-line";

const USUAL_MINUTES = 30;
/** So far back reviews are read from the record. */
const REVIEW_DAYS = 120;
/** So long after a stop for pain the cautions stand open. */
const CARE_DAYS = 14;
/** A tight or tired end makes the next days' sessions gentler. */
const GENTLE_DAYS = 2;

/** What an item without a passage is in a session. */
const TASK_KINDS: Readonly<Record<ItemKind, BlockKind>> = {
  technique: "technique",
  etude: "practising",
  piece: "practising",
  theory: "mental",
  reading: "learning",
  listening: "listening",
  memory: "mental",
};

/** So long after its lesson should have been, nobody goes by a week any more. */
const STALE_DAYS = 28;

/**
 * The week that is on: the newest that was set and has begun. Until the next one is set, what was
 * asked goes on, week by week.
 */
export function weekOn(weeks: readonly Assignment[], today: Day): Assignment | undefined {
  const newest = weeks.find(({ from_day }) => from_day <= today);
  if (!newest) return undefined;
  const late = daysBetween(newest.until_day, today);
  if (late < 0 || late > STALE_DAYS) return late < 0 ? newest : undefined;
  const from = addDays(newest.until_day, 7 * Math.floor(late / 7));
  return { ...newest, from_day: from, until_day: addDays(from, 7) };
}

interface Asked {
  readonly byPassage: ReadonlyMap<string, number>;
  readonly named: ReadonlySet<string>;
  readonly tasks: readonly AskedTask[];
}

function askedToday(items: readonly AssignmentItem[], minutes: ReadonlyMap<string, number>): Asked {
  const open = items.filter(({ decision }) => decision !== "finished");
  const byPassage = new Map<string, number>();
  const tasks: AskedTask[] = [];
  for (const item of open) {
    const given = minutes.get(item.id);
    if (given === undefined) continue;
    if (item.passageId) {
      byPassage.set(item.passageId, (byPassage.get(item.passageId) ?? 0) + given);
    } else {
      const text = [item.title, item.focus].filter(Boolean).join(": ").slice(0, 200);
      tasks.push({ itemId: item.id, kind: TASK_KINDS[item.kind], text, minutes: given });
    }
  }
  return { byPassage, named: new Set(open.flatMap(({ passageId }) => passageId ?? [])), tasks };
}

/** How the latest sessions felt, when that asks for gentleness today. */
function feelingLately(sessions: Awaited<ReturnType<typeof sessionsBetween>>) {
  const last = sessions.findLast(({ feeling }) => feeling !== null)?.feeling;
  return last === "tight" || last === "tired" || last === "painful" ? last : undefined;
}

/** What can be played today, all that the fitter needs, and the session that was left open. */
export async function todayPage(services: Services, studioId: string, personId: string) {
  const { db } = services;
  const studio = await studioById(db, studioId);
  const today = todayIn(services, studio);
  // One that is played across midnight goes on; one that was left before it has ended.
  const since = new Date(momentOf(today, "00:00", studio.time_zone));
  const [person, passages, open, pain, weeks, shapes, happened] = await Promise.all([
    studentById(db, studioId, personId),
    passagesOfPerson(db, studioId, personId),
    openSessionOf(db, studioId, personId, since),
    painSince(db, studioId, addDays(today, -CARE_DAYS)),
    assignmentsOf(db, studioId, personId, 3),
    shapesOf(db, studioId, personId),
    whatHappened(db, studioId, personId, addDays(today, -REVIEW_DAYS), today),
  ]);
  const week = weekOn(weeks, today);
  const { windows } = person.times;
  const raw = new Set(passages.filter((each) => stateOf(each) === "raw").map(({ id }) => id));
  const plan = week && planWeek({ week, windows, happened, raw, today });
  const minutesToday = new Map(
    plan?.days[0]?.items.map(({ itemId, minutes }) => [itemId, minutes] as const),
  );
  const asked = week && askedToday(week.text.items, minutesToday);
  const ready = passages.filter(({ ladder }) => ladder !== null);
  const latest = happened.sessions.filter(({ day }) => day >= addDays(today, -GENTLE_DAYS));
  return {
    today,
    person: { id: person.id, name: person.name, no_verdict: person.no_verdict },
    /** Something hurt not long ago: the cautions stand open. */
    hurtLately: pain.some((row) => row.person_id === personId),
    feeling: feelingLately(latest),
    /** Minutes that there are today, and whether somebody has said so. */
    minutes: Math.max(5, windows.length > 0 ? minutesOn(windows, today) : USUAL_MINUTES),
    timesSaid: windows.length > 0,
    free: windows.length > 0 && !windows.some(({ weekday }) => weekday === weekdayOf(today)),
    playedMinutes: Math.round(minutesOfDays(happened).get(today) ?? 0),
    word: week?.text.word ?? "",
    hasWeek: week !== undefined,
    candidates: candidatesFor({
      passages: ready,
      played: happened.played,
      today,
      concert: studio.concert_on,
      asked: asked?.byPassage,
      named: asked?.named ?? new Set(),
    }),
    tasks: asked?.tasks ?? [],
    shapes,
    passages: ready.map((each) => passageLine(each, today)),
    withoutLadder: passages.length - ready.length,
    openSession: open ? { id: open.id, blocks: open.plan.blocks.length } : undefined,
  };
}
