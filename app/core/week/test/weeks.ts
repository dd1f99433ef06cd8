import fc from "fast-check";
import { addDays } from "~/core/units";
import type { Often } from "../assignment";
import type { LayoutItem } from "../layout";

export const MONDAY = "2026-05-04";
export const week = (minutes: readonly number[]) =>
  minutes.map((each, n) => ({ day: addDays(MONDAY, n), minutes: each, room: each }));

export const item = (id: string, often: Often, change: Partial<LayoutItem> = {}): LayoutItem => ({
  id,
  often,
  minutes: 10,
  hard: false,
  doneOn: [],
  ...change,
});
export const times = (n: number): Often => ({ kind: "times", times: n });
export const daily: Often = { kind: "daily" };

const oftens = fc.oneof(
  fc.constant(daily),
  fc.constant<Often>({ kind: "every-other" }),
  fc.integer({ min: 1, max: 7 }).map(times),
);
export const items = fc
  .array(
    fc.record({ often: oftens, minutes: fc.integer({ min: 1, max: 40 }), hard: fc.boolean() }),
    { maxLength: 12 },
  )
  .map((all) => all.map((each, n): LayoutItem => ({ id: `${n}`, doneOn: [], ...each })));
export const weeks = fc
  .array(fc.constantFrom(0, 10, 20, 30, 60), { minLength: 7, maxLength: 7 })
  .map(week);
