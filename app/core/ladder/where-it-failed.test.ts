import { expect, test } from "@jest/globals";
import { whereItFailed } from ".";

const flaws = (...counts: readonly (readonly [number, number])[]) =>
  counts.map(([bar, flawed]) => ({ bar, flawed }));
const passage = { fromBar: 1, toBar: 8 };

test("where it failed is the shortest run of at most four bars that holds most of it", () => {
  const bars = (fromBar: number, toBar: number, enough = true) => ({ fromBar, toBar, enough });
  expect(whereItFailed(flaws([3, 7], [8, 3]), passage)).toEqual(bars(3, 3));
  expect(whereItFailed(flaws([3, 5], [4, 5], [8, 1]), passage)).toEqual(bars(3, 4));
  expect(whereItFailed(flaws([2, 3], [5, 4], [8, 3]), passage)).toEqual(bars(2, 5));
  // Two flaws are not enough to say so: the four bars that hold most.
  expect(whereItFailed(flaws([7, 2]), passage)).toEqual(bars(4, 7, false));
  const everywhere = flaws(...[1, 2, 3, 4, 5, 6, 7, 8].map((bar) => [bar, 1] as const));
  expect(whereItFailed(everywhere, passage)).toEqual(bars(1, 4, false));
  expect(whereItFailed([], passage)).toBeUndefined();
  // All of a passage of four bars is not smaller.
  expect(whereItFailed(flaws([1, 1], [4, 1]), { fromBar: 1, toBar: 4 })).toBeUndefined();
});
