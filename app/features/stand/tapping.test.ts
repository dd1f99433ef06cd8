import { expect, test } from "@jest/globals";
import { inTime } from "~/core/session/test/plans";
import { World } from "~/core/transport/test/world";
import { Tapping } from "./tapping";

const loop = new World(inTime()).does({ kind: "start" }).until(({ heard }) => heard !== undefined)
  .state.heard!;
const beats = loop.map.bars.filter(({ part }) => part === "play").flatMap((bar) => bar.beats);
const tapped = (taps: readonly number[]) => {
  const tapping = new Tapping();
  tapping.listen(loop);
  for (const at of taps) tapping.tap(at);
  return tapping.end("play");
};

test("taps along with a play tell how evenly; the count-in is no part of it", () => {
  const late = beats.map((at, i) => at + 0.05 + (i % 2 ? 0.015 : -0.015));
  const measured = tapped([0, ...late])!;
  expect(measured).toMatchObject({ play: "play", source: "taps", met: 8, missed: 0, extra: 0 });
  expect(measured.spread).toBeCloseTo(16.04, 1);
  expect(measured.bias).toBeCloseTo(50, 6);
  expect(measured.offsets.slice(0, 2)).toEqual([35, 65]);
});

test("where nobody taps, nothing is said, and the next loop begins anew", () => {
  expect(tapped([])).toBeUndefined();
  const tapping = new Tapping();
  tapping.listen(loop);
  for (const at of beats) tapping.tap(at);
  tapping.listen(loop);
  expect(tapping.end("play")).toBeUndefined();
});
