import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { addDays, type Day } from "~/core/units";
import { newItem, type AssignmentItem } from "./assignment";
import { afterChanges, itemChanges, itemsNow, type ItemChanges } from "./item-changes";

const MONDAY = "2026-05-04" as Day;
const on = (days: number): Day => addDays(MONDAY, days);
const IDS = ["a", "b", "c"];

const weekOf = (rows: readonly AssignmentItem[]) => {
  const { items, earlier } = itemsNow(rows);
  return { from: MONDAY, items: [...earlier, ...items] };
};
const after = (rows: readonly AssignmentItem[], changes: ItemChanges) =>
  afterChanges(weekOf(rows), changes);

/** Minutes that a day is asked by, item by item. */
const asksOn = (rows: readonly AssignmentItem[], day: Day) =>
  Object.fromEntries(
    rows
      .filter(({ since, until }) => (since ?? MONDAY) <= day && (until === null || day < until))
      .map(({ id, minutes }) => [id, minutes]),
  );

const change = fc.record({
  /** Days after the change before. */
  later: fc.integer({ min: 0, max: 2 }),
  minutes: fc.array(fc.option(fc.integer({ min: 1, max: 3 }), { nil: null }), {
    minLength: IDS.length,
    maxLength: IDS.length,
  }),
});

test("whatever is changed, the days before ask what they asked, and from then on what is said now", () => {
  fc.assert(
    fc.property(fc.array(change, { minLength: 1, maxLength: 6 }), (changes) => {
      let rows: readonly AssignmentItem[] = [];
      let today = MONDAY;
      for (const { later, minutes } of changes) {
        today = addDays(today, later);
        const before = rows;
        const items = IDS.flatMap((id, n) =>
          minutes[n] === null ? [] : [newItem(id, { title: id, minutes: minutes[n]! })],
        );
        rows = after(rows, itemChanges(weekOf(rows), items, today));
        for (let day = MONDAY; day < today; day = addDays(day, 1)) {
          expect(asksOn(rows, day)).toEqual(asksOn(before, day));
        }
        const said = Object.fromEntries(items.map(({ id, minutes: each }) => [id, each]));
        expect(asksOn(rows, today)).toEqual(said);
        expect(asksOn(rows, addDays(today, 5))).toEqual(said);
        const open = itemsNow(rows).items.filter(({ until }) => until === null);
        expect(Object.fromEntries(open.map(({ id, minutes: each }) => [id, each]))).toEqual(said);
        // Said once more, nothing is written.
        const again = itemChanges(weekOf(rows), itemsNow(rows).items, today);
        expect(again.dropped).toEqual([]);
        expect(new Set(after(rows, again))).toEqual(new Set(rows));
      }
    }),
  );
});

test("a change taken back on its day leaves one row, as if it had never been", () => {
  const item = newItem("a", { title: "Scales", minutes: 10 });
  let rows = after([], itemChanges({ from: MONDAY, items: [] }, [item], MONDAY));
  const original = rows;
  rows = after(rows, itemChanges(weekOf(rows), [{ ...item, minutes: 5 }], on(2)));
  expect(new Set(rows.map(({ since, until, minutes }) => [since, until, minutes]))).toEqual(
    new Set([
      [null, on(2), 10],
      [on(2), null, 5],
    ]),
  );
  expect(itemsNow(rows)).toMatchObject({ items: [{ minutes: 5 }], earlier: [{ minutes: 10 }] });
  rows = after(rows, itemChanges(weekOf(rows), [item], on(2)));
  expect(rows).toEqual(original);
});

test("what is decided at the lesson is said of the row itself", () => {
  const item = newItem("a", { title: "Scales" });
  const rows = after([], itemChanges({ from: MONDAY, items: [] }, [item], MONDAY));
  const decided = [{ ...item, decision: "finished" as const, until: on(7) }];
  const changes = itemChanges({ from: MONDAY, items: rows }, decided, on(7));
  expect(after(rows, changes)).toMatchObject([{ decision: "finished", since: null, until: on(7) }]);
});
