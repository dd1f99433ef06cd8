import type { AskedTask, MustDo } from "~/core/session";
import { isDone, minutesOfDays, minutesOn, weekChanges } from "~/core/week";
import { addDays, momentOf, weekdayOf, type Day } from "~/core/units";
import {
  assignmentsOf,
  mustDoOf,
  openSessionOf,
  painSince,
  passagesOfPerson,
  shapesOf,
  stagesOf,
  studentById,
  studioById,
  takesLeaving,
} from "~/db/queries";
import { gathered } from "~/db/client";
import { todayIn, type Services } from "../../services";
import { askedToday } from "../../plan/asked-today";
import { candidatesFor } from "../../plan/candidates";
import { changedToday } from "../../plan/changed-today";
import { hurtSince } from "../../plan/pain";
import { tempiToday } from "../../plan/tempi-today";
import { takesAsked } from "../../plan/takes-asked";
import { openItems, weekNotes, weekOn } from "../../plan/week-on";
import { allSaid, keepDays, planWeek, whatHappened, type Happened } from "../../plan/week-plan";
import { adviceOf } from "../record/advice";
import { heartDue } from "../heart/by-heart";
import { questionsNow } from "../record/questions";
import { answersFor } from "../take/hand-ins";
import { passageLine } from "../../plan/passage-line";
import { rawOf } from "../../plan/raw";

/** So far back reviews are read from the record. */
const REVIEW_DAYS = 120;
/** So long after a stop for pain the cautions stand open. */
const CARE_DAYS = 14;
/** A tight or tired end makes the next days' sessions gentler. */
const GENTLE_DAYS = 2;
const SHORTEST_MINUTES = 5;
/** Behind all days. */
const NEVER = "9999-12-31";

/** How the latest sessions felt, when that asks for gentleness today. */
function feelingLately(sessions: Happened["sessions"]) {
  const last = sessions.findLast(({ feeling }) => feeling !== null)?.feeling;
  return last === "tight" || last === "tired" ? last : undefined;
}

/** What is done every day and wasn't yet. */
function everyDay(all: readonly MustDo[], { sessions }: Happened, today: Day): AskedTask[] {
  const tasks = sessions.flatMap(({ day, tasks }) => (day === today ? tasks : []));
  const seconds = (id: string) =>
    tasks.reduce((sum, task) => sum + (task.itemId === id ? task.seconds : 0), 0);
  const open = all.filter(
    ({ id, minutes }) =>
      !isDone({ minutes: seconds(id) / 60, goalPassed: false, enough: false }, minutes),
  );
  return open.map(({ id, ...rest }) => ({ ...rest, itemId: id, in: "must-do" as const }));
}

/** What can be played today, all that the fitter needs, and the session that was left open. */
export async function todayPage(given: Services, studioId: string, personId: string) {
  const services = { ...given, db: gathered(given.db) };
  const { db } = services;
  const studio = await studioById(db, studioId);
  const today = todayIn(services, studio);
  // One that is played across midnight goes on; one that was left before it has ended.
  const since = new Date(momentOf(today, "00:00", studio.time_zone));
  const [person, all, open, pain, weeks, shapes, mustDo, stages, happened] = await Promise.all([
    studentById(db, studioId, personId),
    passagesOfPerson(db, studioId, personId),
    openSessionOf(db, studioId, personId, since),
    painSince(db, studioId, addDays(today, -CARE_DAYS)),
    assignmentsOf(db, studioId, personId, 3),
    shapesOf(db, studioId, personId),
    mustDoOf(db, studioId, personId),
    stagesOf(db, studioId, personId),
    whatHappened(db, studioId, personId, addDays(today, -REVIEW_DAYS), today),
  ]);
  const changed = await changedToday(db, studioId, personId, today, all);
  const { passages } = changed;
  const week = weekOn(weeks, today);
  const { times } = person;
  // A week that goes on without a new lesson moves no day on which something was due.
  const lesson = weeks.find(({ id }) => id === week?.id)?.until_day ?? today;
  const items = week ? openItems(week) : [];
  const now = { today, timeZone: studio.time_zone };
  const [advice, questions, answers, leaving, due, takes] = await Promise.all([
    adviceOf(services, studioId, personId, { today: changed }),
    questionsNow(services, studioId, personId),
    answersFor(services, studioId, personId),
    takesLeaving(db, studioId, personId, addDays(today, 2)),
    heartDue(services, studioId, personId, today),
    takesAsked(db, studioId, [{ items, lesson }], now),
  ]);
  const plan = week && planWeek({ week, times, happened, raw: rawOf(passages, today), today });
  if (plan) await keepDays(db, { studioId, personId }, plan, happened, today);
  const day = plan?.days.find((each) => each.day === today);
  const asked = week && askedToday(week, day, happened, today);
  const ready = passages.filter(({ ladder }) => ladder !== null);
  const latest = happened.sessions.filter((each) => each.day >= addDays(today, -GENTLE_DAYS));
  const playedMinutes = minutesOfDays(happened.facts.spent).get(today) ?? 0;
  const there = minutesOn(times, today);
  // A piece whose stages were never touched says nothing by them.
  const stageOf = (pieceId: string) => {
    const own = stages.find((each) => each.piece_id === pieceId)?.stages;
    return own?.list[own.at];
  };
  const saidOf = weekNotes(week, today, plan?.reached);
  const goalReached = (passageId: string) =>
    week?.text.items.find((item) => item.passageId === passageId && plan?.reached.has(item.id))
      ?.goalTempo;
  const hurt = hurtSince(happened);
  const toldFrom = week?.changed_on ?? NEVER;
  return {
    today,
    ...advice,
    person: { id: person.id, name: person.name, no_verdict: person.no_verdict },
    /** Something hurt not long ago: the cautions stand open. */
    hurtLately: pain.some((row) => row.person_id === personId),
    /** Something hurt, and nothing was played since. */
    hurt,
    feeling: feelingLately(latest),
    /** Minutes that are left of those that there are today, and whether somebody has said so. */
    minutes: Math.max(SHORTEST_MINUTES, Math.round(there - playedMinutes)),
    there,
    timesSaid: times.windows.length > 0,
    stretch: times.limits?.stretch,
    free:
      times.windows.length > 0 && !times.windows.some((each) => each.weekday === weekdayOf(today)),
    playedMinutes,
    /** The lesson is today: what was asked until now is asked no more. */
    lessonToday: week?.until_day === today,
    /** What was changed in the week, as long as nobody has said that it was seen. */
    changes: week ? weekChanges(allSaid(week)).filter(({ day }) => day >= toldFrom) : [],
    word: week?.text.word ?? "",
    weekShape: week?.text.shape ?? null,
    asked: asked?.items ?? [],
    candidates: candidatesFor({
      passages: ready,
      played: happened.played,
      today,
      concert: studio.concert_on,
      workOf: (pieceId) => stageOf(pieceId)?.work ?? undefined,
      asked: asked?.byPassage,
      done: asked?.done ?? new Set(),
      named: asked?.named ?? new Set(),
      reached: new Set(ready.flatMap(({ id }) => (goalReached(id) ? [id] : []))),
    }),
    tasks: [...(asked?.tasks ?? []), ...everyDay(mustDo, happened, today)],
    mustDo,
    shapes,
    passages: ready.map((each) => ({
      ...passageLine(each, today),
      said: saidOf({ passageId: each.id, itemId: null }),
      goalReached: goalReached(each.id) ?? undefined,
      ...tempiToday(each, today, hurt !== undefined),
      pickup: each.pickupBeats > 0,
      stage: stageOf(each.pieceId)?.name,
    })),
    said: (asked?.tasks ?? []).map(({ itemId }) => ({
      itemId,
      ...saidOf({ passageId: null, itemId }),
    })),
    questions,
    takesAnswered: answers.map((each) => ({
      takeId: each.take_id,
      title: each.title,
      answer: each.answer ?? "heard",
    })),
    /** What is to be handed in by tomorrow, or should have been. */
    takesDue: items.flatMap(({ id, title, passageId }) => {
      const take = takes[id];
      const soon = take?.state === "open" && take.due <= addDays(today, 1);
      return soon || take?.state === "missing"
        ? [{ itemId: id, passageId: passageId!, title, due: take.due }]
        : [];
    }),
    /** Takes that are deleted by the end of tomorrow. */
    takesLeaving: leaving,
    /** What stands by heart and is to be tested. */
    heartDue: due,
    withoutLadder: passages.length - ready.length,
    openSession: open ? { id: open.id, blocks: open.plan.blocks.length } : undefined,
  };
}
