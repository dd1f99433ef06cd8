import { dayOf, type Day } from "~/core/units";
import {
  dueDay,
  takeState,
  type AssignmentItem,
  type HandedInTake,
  type TakeAsked,
} from "~/core/week";
import type { Queries } from "~/db/client";
import { handInsForItems } from "~/db/queries";

interface Asked {
  readonly items: readonly AssignmentItem[];
  /** When it is due where no other day is said. */
  readonly lesson: Day;
}

interface Now {
  readonly today: Day;
  readonly timeZone: string;
}

/** What was handed in, by the studio's days. */
export const handedTake = (
  row: Awaited<ReturnType<typeof handInsForItems>>[number],
  timeZone: string,
): HandedInTake => ({
  on: dayOf(row.at.getTime(), timeZone),
  due: row.due,
  answer: row.answer,
  rating: row.rating,
  takeId: row.take_id,
});

/** Of each item that asks for a take what has become of that: by the id of the item. */
export async function takesAsked(
  db: Queries,
  studioId: string,
  asked: readonly Asked[],
  { today, timeZone }: Now,
): Promise<Readonly<Record<string, TakeAsked>>> {
  const wanted = asked.flatMap(({ items, lesson }) =>
    items
      .filter(({ bring, passageId }) => bring === "recording" && passageId !== null)
      .map((item) => ({ id: item.id, due: dueDay(item, lesson), ended: item.until !== null })),
  );
  if (wanted.length === 0) return {};
  const ids = wanted.map(({ id }) => id);
  const handed = new Map(
    (await handInsForItems(db, studioId, ids)).map((each) => [
      each.item_id,
      handedTake(each, timeZone),
    ]),
  );
  // What was put away is missed by nobody.
  const told = wanted.filter(({ id, ended }) => !ended || handed.has(id));
  return Object.fromEntries(told.map(({ id, due }) => [id, takeState(handed.get(id), due, today)]));
}
