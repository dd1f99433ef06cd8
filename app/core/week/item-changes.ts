import type { Day } from "~/core/units";
import type { AssignmentItem } from "./assignment";

/** What is said of an item from a day on. */
export interface ItemFrom extends AssignmentItem {
  readonly since: Day;
  /** Among the items of its week. */
  readonly place: number;
}

export interface ItemChanges {
  readonly written: readonly ItemFrom[];
  /** What was to begin today or later, and doesn't. */
  readonly dropped: readonly { readonly id: string; readonly since: Day }[];
}

/** Where and when an item stands in a week, and what came of it: nothing that its days are asked by. */
const BESIDE = new Set<string>(["since", "until", "place", "given", "origin", "decision"]);

const said = (item: AssignmentItem): string =>
  JSON.stringify(
    Object.entries(item)
      .filter(([name]) => !BESIDE.has(name))
      .toSorted(([a], [b]) => (a < b ? -1 : 1)),
  );

/** It has been out of its week for a while. */
const restsSince = ({ until }: AssignmentItem, day: Day) => until !== null && until < day;

interface Week {
  /** The first day of it that a change can reach: today, or its own first day. */
  readonly from: Day;
  /** All that it has said of its items, of one and the same in the order of days. */
  readonly items: readonly AssignmentItem[];
}

const placedOf = ({ from, items }: Week): ItemFrom[] =>
  items.map((item, place) => ({ ...item, since: item.since ?? from, place }));

/**
 * What is to be written so that a week asks for these items from a day on. Days before it go on
 * asking what they have asked: what was said of an item until then ends on that day, and what is
 * said now begins. What began on that day itself is changed in its place; where it says again what
 * was said before, that goes on.
 */
export function itemChanges(week: Week, items: readonly AssignmentItem[], today: Day): ItemChanges {
  const start = today > week.from ? today : week.from;
  const before = placedOf(week);
  const written: ItemFrom[] = [];
  const dropped: { id: string; since: Day }[] = [];
  const write = (item: ItemFrom) => {
    const was = before.find(({ id, since }) => id === item.id && since === item.since);
    if (!was || JSON.stringify(was) !== JSON.stringify(item)) written.push(item);
  };
  const end = (item: ItemFrom) =>
    write({ ...item, until: item.until !== null && item.until < start ? item.until : start });
  const of = (id: string) => before.filter((each) => each.id === id);
  for (const [place, item] of items.entries()) {
    const [was, earlier] = of(item.id).toReversed();
    const hasBegun = was !== undefined && was.since < start;
    if (item.until !== null && item.until <= start) {
      // Nothing that it says is asked any more.
      const { until, origin, decision } = item;
      if (was) write({ ...was, until, origin, decision, place });
    } else if (was && !restsSince(was, start) && said(was) === said(item)) {
      write({ ...item, since: was.since, place });
    } else if (hasBegun) {
      end(was);
      write({ ...item, since: start, place });
    } else if (was && earlier?.until === start && said(earlier) === said(item)) {
      dropped.push({ id: was.id, since: was.since });
      write({ ...item, since: earlier.since, place });
    } else {
      write({ ...item, since: was?.since ?? start, place });
    }
  }
  const kept = new Set(items.map(({ id }) => id));
  for (const id of new Set(before.map((each) => each.id))) {
    if (kept.has(id)) continue;
    const was = of(id).at(-1)!;
    if (was.since < start) end(was);
    else dropped.push({ id, since: was.since });
  }
  return { written, dropped };
}

/** All that a week says of its items after a change, as it is read again. */
export function afterChanges({ from, items }: Week, { written, dropped }: ItemChanges) {
  const key = (id: string, since: Day) => `${id} ${since}`;
  const gone = new Set([...written, ...dropped].map(({ id, since }) => key(id, since)));
  const said = ({ since, place: _, ...item }: ItemFrom): AssignmentItem => ({
    ...item,
    since: since === from ? null : since,
  });
  return [
    ...placedOf({ from, items }).filter(({ id, since }) => !gone.has(key(id, since))),
    ...written,
  ]
    .toSorted((a, b) => a.place - b.place || (a.since < b.since ? -1 : 1))
    .map(said);
}

const byDay = (a: AssignmentItem, b: AssignmentItem) =>
  (a.since ?? "").localeCompare(b.since ?? "");

/** What a week says of its items now, in their order, and what it said of them before, day by day. */
export function itemsNow(all: readonly AssignmentItem[]) {
  const latest = new Map(all.toSorted(byDay).map((item) => [item.id, item]));
  const isLatest = (item: AssignmentItem) => latest.get(item.id) === item;
  return {
    items: all.filter(isLatest),
    earlier: all.filter((item) => !isLatest(item)).toSorted(byDay),
  };
}
