import { previewOf, type AssignmentItem, type AssignmentText, type Before } from "~/core/week";
import { addDays, type Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { passagesOfPerson, studentById, type Passage } from "~/db/queries";
import { minutesOfItem, readFrom, whatHappened, type Happened } from "../plan/week-plan";
import { USUAL_DAYS } from "../plan/week-on";
import { stateOf } from "./passage-line";

interface WeekText {
  readonly from: Day;
  readonly until: Day;
  readonly text: AssignmentText;
}

/** What the layout of a week has to know of what was practised before its first day. */
export function beforeNext(
  passages: readonly Passage[],
  items: readonly AssignmentItem[],
  happened: Happened | undefined,
  from: Day,
): Before {
  const lastDay: Record<string, Day> = {};
  const practised = (id: string, days: Iterable<Day>) => {
    const last = [...days].toSorted().findLast((each) => each < from);
    if (last) lastDay[id] = last;
  };
  for (const passage of passages) {
    const rows = happened?.played.filter(({ passage_id }) => passage_id === passage.id) ?? [];
    practised(passage.id, [...rows.map(({ day: on }) => on), passage.lastDay ?? from]);
  }
  for (const item of items) {
    if (item.passageId === null && happened) {
      practised(item.id, minutesOfItem(item, happened).keys());
    }
  }
  return {
    lastDay,
    raw: passages.filter((each) => stateOf(each, from) === "raw").map(({ id }) => id),
  };
}

/** The goal of a week is what its days are asked, whatever was sent. */
export async function withItsGoal(
  db: Queries,
  studioId: string,
  personId: string,
  { from, until, text }: WeekText,
): Promise<AssignmentText> {
  const person = await studentById(db, studioId, personId);
  const passages = await passagesOfPerson(db, studioId, personId);
  const week = { from_day: from, until_day: until, text };
  const happened = await whatHappened(db, studioId, personId, readFrom(week), addDays(from, -1));
  const before = beforeNext(passages, text.items, happened, from);
  const asks = (last: Day, items: AssignmentItem[]) =>
    previewOf({ from, until: last, text: { ...text, items }, times: person.times, before }).text
      .goal;
  // Once it goes on, it asks all of what is still asked.
  const whole = text.items
    .filter((item) => item.until === null)
    .map((item) => ({ ...item, since: null }));
  const moves = text.items.some((item) => item.since !== null || item.until !== null);
  return {
    ...text,
    goal: asks(until, text.items),
    goesOn: moves ? asks(addDays(from, USUAL_DAYS), whole) : undefined,
  };
}
