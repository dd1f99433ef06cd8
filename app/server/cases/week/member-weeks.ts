import { asGiven, MOST_ITEMS, type AssignmentItem } from "~/core/week";
import type { Day } from "~/core/units";
import { gatheredIn } from "~/db/client";
import {
  assignmentsOf,
  draftOf,
  dropOutlook,
  insertWeek,
  saveDraft,
  studentById,
  writeWeek,
  type Assignment,
  type Draft,
} from "~/db/queries";
import { nextLesson, weekOn, WEEKS_AROUND } from "../../plan/week-on";
import type { Giving } from "../give/giving";

/** The weeks of somebody into which something may still come from outside of a lesson. */
export interface MemberWeeks {
  readonly personId: string;
  /** The one that is on, also where its lesson is late. */
  readonly on: Assignment | undefined;
  /** The one that is prepared and begins on a later day. */
  readonly ahead: Assignment | undefined;
  /** The one that is being put together and is not set yet. */
  readonly draft: Draft | undefined;
  /** How long a week lasts that begins today, or goes on because its lesson is late. */
  readonly until: Day;
}

/** Without a lesson's day and without a week, what is given lasts until the day on which it is due. */
export async function memberWeeks(
  { tx, studioId, today }: Giving,
  personId: string,
  due: Day,
): Promise<MemberWeeks> {
  const asked = gatheredIn(tx);
  const [weeks, draft, { times }] = await Promise.all([
    assignmentsOf(asked, studioId, personId, WEEKS_AROUND),
    draftOf(asked, studioId, personId),
    studentById(asked, studioId, personId),
  ]);
  const running = weekOn(weeks, today);
  const ahead = weeks[0] && weeks[0].from_day > today ? weeks[0] : undefined;
  const lesson = times.lesson && nextLesson(today, times.lesson.weekday);
  return {
    personId,
    on: weeks.find(({ id }) => id === running?.id),
    ahead,
    draft,
    until: ahead?.from_day ?? lesson ?? running?.until_day ?? due,
  };
}

export type AnyWeek = Assignment | Draft;

export const weeksIn = ({ on, ahead, draft }: MemberWeeks): AnyWeek[] =>
  [on, ahead, draft].filter((week) => week !== undefined);

export const isFull = (weeks: MemberWeeks): boolean =>
  weeksIn(weeks).some(({ text }) => text.items.length >= MOST_ITEMS);

/** Writes what a week asks from today on, and until when. */
export async function rewrite(
  { tx, studioId, today }: Giving,
  week: AnyWeek,
  items: readonly AssignmentItem[],
  until = week.until_day,
): Promise<void> {
  if (week.set_at === null) {
    const { id, version, begun, from_day: from } = week;
    const text = { ...week.text, items: [...items] };
    return void (await saveDraft(tx, studioId, { id, version, begun, from, until, text }));
  }
  await writeWeek(tx, studioId, week, { until, items }, today);
  await dropOutlook(tx, studioId, week.person_id);
}

/** What was to be brought to a lesson that did not come stays due on its day. */
const dueAsBefore = (item: AssignmentItem, lesson: Day): AssignmentItem =>
  item.bring === "nothing" || item.due !== null ? item : { ...item, due: lesson };

/** The week that is on with one more item from today on; where its lesson is late it goes on. */
function intoRunning(giving: Giving, on: Assignment, until: Day, item: AssignmentItem) {
  if (on.until_day >= giving.today) return rewrite(giving, on, [...on.text.items, item]);
  const before = on.text.items.map((each) => dueAsBefore(each, on.until_day));
  return rewrite(giving, on, [...before, item], until);
}

/**
 * It goes on in the week that is prepared, where it is due after that has begun; one that is being
 * put together has it as a lesson would carry it over.
 */
export async function intoNext(
  giving: Giving,
  { ahead, draft }: MemberWeeks,
  item: AssignmentItem,
): Promise<void> {
  const isIn = ({ text }: AnyWeek) => text.items.some(({ id }) => id === item.id);
  const isLater = ({ from_day }: AnyWeek) => item.due !== null && item.due > from_day;
  const carried = { ...item, origin: "carried" } as const;
  if (ahead && isLater(ahead) && !isIn(ahead)) {
    await rewrite(giving, ahead, [...ahead.text.items, carried]);
  }
  if (!draft || isIn(draft)) return;
  const due = isLater(draft) ? item.due : null;
  await rewrite(giving, draft, [...draft.text.items, { ...carried, due }]);
}

/** Puts an item into the weeks that it is for; without any, a week begins today. */
export async function putIntoWeeks(
  giving: Giving,
  weeks: MemberWeeks,
  item: AssignmentItem,
): Promise<void> {
  const { on, until, personId } = weeks;
  if (on) await intoRunning(giving, on, until, item);
  else await beginWeek(giving, { personId, until }, item);
  await intoNext(giving, weeks, item);
}

async function beginWeek(
  { tx, studioId, newId, now, today: from }: Giving,
  { personId, until }: Pick<MemberWeeks, "personId" | "until">,
  item: AssignmentItem,
): Promise<void> {
  const text = { items: [item], word: "", shape: null };
  const at = new Date(now());
  await insertWeek(tx, studioId, { id: newId(), personId, from, until, text, at });
  await dropOutlook(tx, studioId, personId);
}

/** An item in a week, and whether it is as it was given. */
export interface Stands {
  readonly week: AnyWeek;
  readonly item: AssignmentItem;
  readonly same: boolean;
}

/** Where an item stands that was given. */
export const weeksWith = (weeks: MemberWeeks, given: AssignmentItem): Stands[] =>
  weeksIn(weeks).flatMap((week) => {
    const item = week.text.items.find(({ id }) => id === given.id);
    return item ? { week, item, same: asGiven(item, given) } : [];
  });

/** Changes an item in a week, or takes it out. */
export function changeInWeek(
  giving: Giving,
  { week, item }: Stands,
  to: AssignmentItem | undefined,
): Promise<void> {
  const { origin } = item;
  const items = week.text.items.flatMap((each) => {
    if (each !== item) return each;
    return to ? { ...to, origin } : [];
  });
  return rewrite(giving, week, items);
}
