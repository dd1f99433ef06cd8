import { expect, test } from "@jest/globals";
import { alongPoints, canSoundAlong } from ".";

const bar = (number: number, start: number, part = "play") => ({
  part,
  number,
  start,
  duration: 2,
});
const marked = { fromBar: 5, lines: [10, 13, 16, 19] };

test("each bar line of the demonstration lies on the loop's own, the count-in left out", () => {
  const bars = [bar(5, 0, "count-in"), bar(5, 2), bar(6, 4), bar(7, 6)];
  expect(alongPoints(bars, marked)).toEqual([
    { input: 10, output: 2 },
    { input: 13, output: 4 },
    { input: 16, output: 6 },
    { input: 19, output: 8 },
  ]);
});

test("what goes round is shown once; bars that were not marked are not shown", () => {
  expect(alongPoints([bar(6, 0), bar(7, 2), bar(6, 4), bar(7, 6)], marked)).toHaveLength(3);
  expect(alongPoints([bar(7, 0), bar(8, 2)], marked)).toEqual([]);
  expect(alongPoints([bar(4, 0), bar(5, 2)], marked)).toEqual([]);
  expect(alongPoints([], marked)).toEqual([]);
});

test("from half to 120 percent of its own tempo it sounds along, beyond it does not", () => {
  const at = (rate: number) =>
    canSoundAlong([
      { input: 0, output: 0 },
      { input: 2 * rate, output: 2 },
    ]);
  expect([0.45, 0.5, 1, 1.2, 1.25].map(at)).toEqual([false, true, true, true, false]);
});
