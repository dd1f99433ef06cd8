import { expect, test } from "@jest/globals";
import { loopMap, PLAIN_CLICK } from "~/core/click";
import { bpm } from "~/core/units";
import { TappedAlong } from "./tapped-along";

const map = loopMap({
  bars: [1, 2].map((number) => ({ number, metre: { beats: 4, unit: 4 } })),
  leadBeats: 0,
  endBeats: 0,
  beatUnit: "quarter",
  plays: [{ tempo: bpm(120), pace: "steady" }],
  click: PLAIN_CLICK,
  tempoChanged: false,
  first: true,
  turn: 0,
});
const beats = map.bars.filter(({ part }) => part === "play").flatMap((bar) => bar.beats);

test("taps along with the play are measured in milliseconds, a constant lag left out", () => {
  const taps = new TappedAlong();
  beats.forEach((at, i) => taps.add(at + 0.05 + (i % 2 ? 0.015 : -0.015)));
  expect(taps.spread(map)).toBeCloseTo(16.04, 1);
});

test("taps of the count-in alone, or none, are no measurement", () => {
  const taps = new TappedAlong();
  map.bars[0]!.beats.forEach((at) => taps.add(at));
  expect(taps.spread(map)).toBeUndefined();
  taps.clear();
  expect(taps.spread(map)).toBeUndefined();
});
