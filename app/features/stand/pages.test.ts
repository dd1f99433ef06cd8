import { expect, test } from "@jest/globals";
import type { EngravedSystem } from "~/core/score";
import { pageShown, pagesOf } from "./pages";

/** Systems of two bars each, from bar 1, so high for a width of 100. */
const systems = (...heights: number[]): EngravedSystem[] =>
  heights.map((height, i) => ({
    width: 100,
    height,
    drawing: "",
    bars: [2 * i + 1, 2 * i + 2].map((bar) => ({
      bar,
      left: 0,
      width: 0.5,
      top: 0,
      height: 1,
      onsets: [],
    })),
  }));

test("a page holds as many systems as fit, and one at least", () => {
  const room = { width: 200, height: 100 };
  const lengths = (...heights: number[]) =>
    pagesOf(systems(...heights), room).map((page) => page.length);
  expect(lengths(20, 20, 20)).toEqual([2, 1]);
  expect(lengths(20, 90, 20)).toEqual([1, 1, 1]);
  expect(lengths()).toEqual([]);
});

test("a page is seen until its last bar has ended", () => {
  const pages = pagesOf(systems(40, 40), { width: 100, height: 50 });
  expect([1, 2, 3, 4].map((bar) => pageShown(pages, bar))).toEqual([0, 0, 1, 1]);
  expect(pageShown(pages, 99)).toBe(0);
});
