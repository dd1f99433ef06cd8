import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import * as v from "valibot";
import { printedOnPaper } from "./printed";
import {
  barsIn,
  barsOnPaper,
  engravedPaper,
  inReadingOrder,
  moved,
  nextLike,
  paperLayoutSchema,
  systemBetween,
  withBars,
  withEdge,
  withLine,
  type PaperSystem,
} from "./paper";

const share = fc.double({ min: 0, max: 1, noNaN: true });
const corner = fc.tuple(share, share);
const system = fc
  .tuple(fc.integer({ min: 1, max: 3 }), corner, corner, fc.integer({ min: 1, max: 12 }))
  .map(([page, one, other, bars]) => systemBetween(page, one, other, bars))
  .filter((each): each is PaperSystem => each !== undefined);

const isWellFormed = (each: PaperSystem) => v.safeParse(paperLayoutSchema, [each]).success;

describe("bars drawn over pages of paper", () => {
  test("whatever is done to a system, it stays one on its page", () => {
    fc.assert(
      fc.property(system, fc.nat(12), share, share, share, (drawn, line, to, across, down) => {
        const index = line % (drawn.lines.length + 2);
        const done = [
          withLine(drawn, index, to),
          withBars(drawn, line),
          withEdge(drawn, "top", to),
          withEdge(drawn, "bottom", to),
          nextLike([drawn], drawn.page),
          nextLike([drawn], 9),
        ];
        for (const each of done) expect(isWellFormed(each)).toBe(true);
        const far = moved(drawn, across * 2 - 1, down * 2 - 1);
        expect(isWellFormed(far)).toBe(true);
        expect(far.right - far.left).toBeCloseTo(drawn.right - drawn.left, 9);
        expect(barsIn(far)).toBe(barsIn(drawn));
      }),
    );
  });

  test("numbering runs on through the systems as they are read", () => {
    fc.assert(
      fc.property(fc.array(system, { maxLength: 8 }), fc.boolean(), (systems, halved) => {
        const layout = inReadingOrder(systems);
        const pages = [1, 2, 3].map((number) => {
          return { number, width: 1400, height: 2000, address: `/${number}` };
        });
        const shown = engravedPaper(layout, pages, 1, undefined, halved);
        const bars = shown.systems.flatMap(({ bars: boxes }) => boxes.map(({ bar }) => bar));
        expect(bars).toEqual(Array.from({ length: barsOnPaper(systems) }, (_, at) => at + 1));
        for (const { bars: boxes } of shown.systems) {
          expect(boxes.reduce((sum, { width }) => sum + width, 0)).toBeCloseTo(1, 6);
        }
      }),
      { numRuns: 25 },
    );
  });

  test("lines are its systems, and pages begin with their first", () => {
    const row = (page: number, top: number, bars: number) =>
      systemBetween(page, [0.1, top], [0.9, top + 0.1], bars)!;
    const layout = [row(1, 0.1, 4), row(1, 0.3, 3), row(2, 0.1, 4)];
    expect(printedOnPaper(layout, 1)).toEqual({ lines: [1, 5, 8], pages: [1, 8] });
    // A pickup belongs to the first line.
    expect(printedOnPaper(layout, 0)).toEqual({ lines: [1, 4, 7], pages: [1, 7] });
  });

  test("of a passage the systems are shown that hold some of it", () => {
    const row = (top: number) => systemBetween(1, [0.1, top], [0.9, top + 0.1], 4)!;
    const pages = [{ number: 1, width: 1000, height: 1400, address: "/page" }];
    const layout = [row(0.1), row(0.3), row(0.5)];
    const shown = engravedPaper(layout, pages, 0, { from: 5, to: 8 }, false);
    expect(shown.systems.map(({ bars }) => bars[0]!.bar)).toEqual([4, 8]);
    expect(shown.systems[0]!.drawing).toContain('viewBox="100 420 800 140"');
  });
});
