import { describe, expect, test } from "@jest/globals";
import { loopMap, PLAIN_CLICK } from "~/core/click";
import { bpm, type Metre } from "~/core/units";
import { tonesOf } from "./track-notes";

const three: Metre = { beats: 3, unit: 4 };
const metres = new Map([1, 2, 3].map((number) => [number, three]));
const quarters = [1, 2, 3].flatMap((bar) =>
  [0, 1, 2].map((beat) => ({ bar, at: beat / 4, lasts: 1 / 4, midi: 60 + 10 * bar + beat })),
);
const map = (change: { leadBeats?: number; endBeats?: number } = {}) =>
  loopMap({
    bars: [1, 2, 3].map((number) => ({ number, metre: three })),
    leadBeats: 0,
    endBeats: 0,
    beatUnit: "quarter",
    plays: [{ tempo: bpm(60), pace: "steady" }],
    click: PLAIN_CLICK,
    tempoChanged: false,
    first: true,
    turn: 0,
    ...change,
  });

describe("the notes of a loop", () => {
  test("sound on their beats, after the count-in, as long as they are written", () => {
    const whole = map();
    const tones = tonesOf(whole, quarters, metres);
    const began = whole.markers.find(({ name }) => name === "play-began")!.at;
    expect(tones.map(({ at }) => at - began)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8]);
    expect(tones.every(({ seconds }) => Math.abs(seconds - 1) < 1e-9)).toBe(true);
    const half = tonesOf(whole, [{ bar: 2, at: 1 / 8, lasts: 1 / 8, midi: 62 }], metres);
    expect(half).toEqual([{ at: began + 3.5, seconds: 0.5, midi: 62 }]);
  });

  test("before the pickup and behind the last beat nothing sounds", () => {
    const tones = tonesOf(map({ leadBeats: 2, endBeats: 1 }), quarters, metres);
    expect(tones.map(({ midi }) => midi)).toEqual([72, 80, 81, 82, 90]);
  });
});
