import { dayOf, type Day } from "~/core/units";
import type { AssignmentItem, TakeAsked } from "~/core/week";
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
      .map(({ id, due }) => ({ id, due: due ?? lesson })),
  );
  if (wanted.length === 0) return {};
  const ids = wanted.map(({ id }) => id);
  const handed = new Map(
    (await handInsForItems(db, studioId, ids)).map((each) => [each.item_id, each]),
  );
  const told = wanted.map(({ id, due }): [string, TakeAsked] => {
    const one = handed.get(id);
    if (!one) {
      const state = today > due ? "missing" : "open";
      return [id, { due, state, late: false, rating: "", takeId: null }];
    }
    const late = dayOf(one.at.getTime(), timeZone) > one.due;
    const state = one.answer ?? "waiting";
    return [id, { due: one.due, state, late, rating: one.rating, takeId: one.take_id }];
  });
  return Object.fromEntries(told);
}
