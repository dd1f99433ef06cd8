import {
  askedBy,
  minutesOfDays,
  shareOver,
  wasWeak,
  MOST_ITEMS,
  type AssignmentItem,
  type AssignmentText,
  type WeekDone,
} from "~/core/week";
import { addDays, type Day } from "~/core/units";
import {
  assignmentsOf,
  draftOf,
  evennessByDay,
  exercisesOf,
  flawsByBar,
  keptLadders,
  passagesOfPerson,
  shapesOf,
  studentById,
  studioById,
  type Assignment,
  type Draft,
} from "~/db/queries";
import { gathered } from "~/db/client";
import { todayIn, type Services } from "../../services";
import { keepDays, planWeek, readFrom, whatHappened, type Happened } from "../../plan/week-plan";
import { takesAsked } from "../../plan/takes-asked";
import { triedSince } from "../../plan/changed-today";
import { adviceOf, passageNamed } from "../record/advice";
import { questionsNow } from "../record/questions";
import { passageLine } from "../../plan/passage-line";
import {
  aheadOf,
  beginsOn,
  lookedBackOn,
  nextLesson,
  stampOf,
  stretchesOf,
  USUAL_DAYS,
  WEEKS_AROUND,
} from "../../plan/week-on";
import { reviewItems, within } from "./lesson-review";
import { beforeNext } from "./before-next";
import { rawOf } from "../../plan/raw";

interface LastWeek {
  readonly week: Assignment;
  readonly happened: Happened;
  readonly review: ReturnType<typeof reviewItems>;
}

/** What the week came to, in minutes and days. */
function weekDone({ week, happened }: Omit<LastWeek, "review">, today: Day): WeekDone {
  const byDay = [...minutesOfDays(happened.facts.spent)].filter(([day]) =>
    within(day, { week, today }),
  );
  const minutes = byDay.reduce((sum, [, each]) => sum + each, 0);
  return { minutes, days: byDay.length };
}

/** Next week as it is suggested: what goes on, with its next numbers. */
function suggestion(last: LastWeek | undefined): AssignmentText {
  const items = last?.review.items.flatMap(({ suggested, next }) =>
    suggested === "carried" && next ? next : [],
  );
  return {
    items: items ?? [],
    word: "",
    shape: last?.week.text.shape ?? null,
  };
}

/** The next week as it was set; what goes on beside it, where no lesson has said so yet. */
function asSet(set: Assignment, last: LastWeek | undefined): AssignmentText {
  const before = last && last.week.id !== set.id ? last.week.text.items : [];
  if (before.length === 0 || before.some(({ decision }) => decision !== "open")) return set.text;
  const going = suggestion(last).items;
  const known = new Set(going.map(({ id }) => id));
  return { ...set.text, items: [...going, ...set.text.items.filter(({ id }) => !known.has(id))] };
}

/** What was given for it, beside what goes on anyway: until somebody puts the week together. */
function withGiven(text: AssignmentText, { text: given }: Draft): AssignmentText {
  const named = (item: AssignmentItem) => [item.id, ...(item.given ? [item.given.item] : [])];
  const known = new Set(text.items.flatMap(named));
  const fresh = given.items.filter((item) => !named(item).some((id) => known.has(id)));
  return { ...text, items: [...text.items, ...fresh].slice(0, MOST_ITEMS) };
}

/** The lesson: last week item by item, and next week as it is being put together. */
export async function lessonPage(given: Services, studioId: string, personId: string) {
  const services = { ...given, db: gathered(given.db) };
  const { db } = services;
  const studio = await studioById(db, studioId);
  const today = todayIn(services, studio);
  const [person, passages, weeks, draft, kept] = await Promise.all([
    studentById(db, studioId, personId),
    passagesOfPerson(db, studioId, personId),
    assignmentsOf(db, studioId, personId, WEEKS_AROUND),
    draftOf(db, studioId, personId),
    keptLadders(db, studioId),
  ]);
  const set = aheadOf(weeks, today);
  const last = lookedBackOn(weeks, today);
  const since = last?.from_day ?? addDays(today, -USUAL_DAYS);
  const pieces = [...new Set(passages.map(({ pieceId }) => pieceId))];
  const flawsOf = async (pieceId: string) => ({
    pieceId,
    bars: await flawsByBar(db, studioId, personId, pieceId, since),
  });
  const [happened, flaws, evenness, takes, advice, tried, questions, shapes, exercises] =
    await Promise.all([
      last && whatHappened(db, studioId, personId, readFrom(last), today),
      Promise.all(last ? pieces.map(flawsOf) : []),
      last
        ? evennessByDay(
            db,
            studioId,
            passages.map(({ id }) => id),
            since,
          )
        : [],
      takesAsked(db, studioId, last ? [{ items: last.text.items, lesson: last.until_day }] : [], {
        today,
        timeZone: studio.time_zone,
      }),
      adviceOf(services, studioId, personId, { passages }),
      triedSince(db, studioId, personId, since, passages),
      questionsNow(services, studioId, personId),
      shapesOf(db, studioId, personId),
      exercisesOf(db, studioId),
    ]);
  const from = set?.from_day ?? beginsOn(last, today);
  const until = set?.until_day ?? nextLesson(from, person.times.lesson?.weekday);
  const came = last && happened && weekDone({ week: last, happened }, today);
  const over = last ? shareOver(last.from_day, last.until_day, today) : 1;
  const raw = rawOf(passages, today);
  const { times } = person;
  const plans =
    last && happened
      ? stretchesOf(last, today).map((week) => planWeek({ week, times, happened, raw, today }))
      : [];
  for (const plan of plans) await keepDays(db, { studioId, personId }, plan, happened!, today);
  // Where the lesson is late, all days before today have asked.
  const days = plans
    .flatMap((plan) => plan.days)
    .filter(({ day }) => within(day, { week: last!, today }));
  const soFar = askedBy(days.filter(({ day }) => day < today));
  const weak = came !== undefined && wasWeak(soFar, came, over);
  const past = last &&
    happened && {
      week: last,
      happened,
      review: reviewItems({
        ...{ week: last, happened, passages, flaws, evenness, today, next: from, weak, days },
        hurts: advice.hurts,
      }),
    };
  const text = set ? asSet(set, past) : suggestion(past);
  const earliest = set ? today : from;
  return {
    today,
    person: { id: person.id, name: person.name, instrument: person.instrument },
    ...advice,
    /** What the student changed for single days, since the last lesson. */
    tried: tried.map((each) => ({ ...each, passage: passageNamed(passages, each)! })),
    questions: questions.waiting,
    times: person.times,
    before: beforeNext(passages, past?.week.text.items ?? [], happened, from),
    timesSaid: person.times.windows.length > 0,
    last: past && {
      id: past.week.id,
      from: past.week.from_day,
      until: past.week.until_day,
      goal: askedBy(days),
      done: came!,
      /** It was opened before its last day: what was asked is asked of days to come as well. */
      goesOn: over < 1,
      ...past.review,
    },
    takes,
    /** Last week came to so little that this one is smaller on purpose. */
    weak,
    draft: {
      version: draft?.version ?? 0,
      after: weeks[0] ? stampOf(weeks[0]) : null,
      /** It is set already, and is changed by setting it again. */
      set: set?.text === text,
      /** The lesson was held today: what is looked back on came before it. */
      heldToday: set?.from_day === today && last?.id !== set.id,
      from: draft && draft.from_day >= earliest ? draft.from_day : from,
      until: draft && draft.until_day > from ? draft.until_day : until,
      text: draft?.begun === false ? withGiven(text, draft) : (draft?.text ?? text),
      kept: draft?.begun === true,
    },
    passages: passages.map((each) => passageLine(each, today)),
    shapes: shapes.map(({ id, name }) => ({ id, name })),
    ladders: kept.map(({ id, name }) => ({ id, name })),
    exercises,
  };
}
