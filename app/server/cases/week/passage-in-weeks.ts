import type { AssignmentItem } from "~/core/week";
import type { Giving } from "../give/giving";
import { memberWeeks, rewrite, weeksIn } from "./member-weeks";

interface About {
  readonly id: string;
  readonly personId: string;
}

/** Changes the items about a passage in its player's weeks; undefined takes one out. */
async function changeItems(
  giving: Giving,
  { id, personId }: About,
  changed: (item: AssignmentItem) => AssignmentItem | undefined,
): Promise<void> {
  for (const week of weeksIn(await memberWeeks(giving, personId, giving.today))) {
    const before = week.text.items;
    const items = before.flatMap((item) => (item.passageId === id ? (changed(item) ?? []) : item));
    const same = items.length === before.length && items.every((item, n) => item === before[n]);
    if (!same) await rewrite(giving, week, items);
  }
}

/** From today on a passage that was put away is asked for no more. */
export const endInWeeks = (giving: Giving, passage: About): Promise<void> =>
  changeItems(giving, passage, (item) => (item.until === null ? undefined : item));

/** One that was put away today, and is back: the week that is on has asked for it all along. */
export const askAgain = (giving: Giving, passage: About): Promise<void> =>
  changeItems(giving, passage, (item) =>
    item.until === giving.today ? { ...item, until: null } : item,
  );

/**
 * No week asks for more of a passage than its ladder goes to. With `follow`, a goal that was the
 * ladder's target is the new one again, as when a change is taken back.
 */
export const goalsWithin = (
  giving: Giving,
  passage: About,
  { was, is, follow }: { readonly was: number; readonly is: number; readonly follow: boolean },
): Promise<void> =>
  changeItems(giving, passage, (item) => {
    const { goalTempo: goal } = item;
    if (goal === null) return item;
    const goalTempo = follow && goal === was ? is : Math.min(goal, is);
    return goalTempo === goal ? item : { ...item, goalTempo };
  });
