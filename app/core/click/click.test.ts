import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { bpm, parseMetre } from "~/core/units";
import { barPulses, loopMap, type LoopRequest } from ".";

const metre = (text: string) => parseMetre(text)!;
const request = (change: Partial<LoopRequest> = {}): LoopRequest => ({
  bars: [1, 2].map((number) => ({ number, metre: metre("4/4") })),
  pickupBeats: 0,
  endBeats: 0,
  tempo: bpm(120),
  beatUnit: "quarter",
  countInBars: 1,
  subdivision: 1,
  tempoChanged: false,
  ...change,
});
const marker = (map: ReturnType<typeof loopMap>, name: string) =>
  map.markers.find((each) => each.name === name)?.at;

describe("the clicks of a bar", () => {
  test("6/8 told in dotted quarters has two beats; told in eighths it has six", () => {
    expect(barPulses(metre("6/8"), "dotted-quarter").map(({ at }) => at)).toEqual([0, 3 / 8]);
    expect(barPulses(metre("6/8"), "eighth")).toHaveLength(6);
  });

  test("a metre with groups clicks every unit and leans on the groups", () => {
    expect(barPulses(metre("2+2+3/8"), "quarter").map(({ voice }) => voice)).toEqual([
      "accent",
      "subdivision",
      "beat",
      "subdivision",
      "beat",
      "subdivision",
      "subdivision",
    ]);
  });

  test("a beat that the bar line cuts off is simply shorter", () => {
    expect(barPulses(metre("5/8"), "quarter").map(({ at }) => at)).toEqual([0, 1 / 4, 1 / 2]);
  });

  test("subdivisions divide evenly and stay inside the bar", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 8 }),
        fc.constantFrom("2/4", "3/4", "4/4", "8/4", "6/8", "2+3/8"),
        (subdivision, text) => {
          const pulses = barPulses(metre(text), "quarter", subdivision);
          const gaps = pulses.slice(1).map(({ at }, i) => at - pulses[i]!.at);
          for (const gap of gaps) expect(gap).toBeCloseTo(gaps[0] ?? gap, 12);
          expect(pulses[0]).toEqual({ at: 0, voice: "accent" });
        },
      ),
    );
  });
});

describe("a loop of the stand", () => {
  test("count-in, play and breather follow each other without a gap", () => {
    const { bars, duration } = loopMap(request());
    expect(bars.map(({ part, number }) => `${part} ${number}`)).toEqual([
      "count-in 1",
      "play 1",
      "play 2",
      "breather 1",
      "breather 2",
    ]);
    bars.forEach((bar, i) => {
      const next = bars[i + 1]?.start ?? duration;
      expect(bar.start + bar.duration).toBeCloseTo(next, 12);
    });
  });

  test("the play begins with its pickup and ends with its last beat", () => {
    const map = loopMap(request({ pickupBeats: 1, endBeats: 2 }));
    expect(marker(map, "play-began")).toBeCloseTo(2 + 1.5, 12);
    expect(marker(map, "play-ended")).toBeCloseTo(2 + 2 + 2 + 1, 12);
  });

  test("a change of metre inside keeps the beat", () => {
    const bars = [
      { number: 1, metre: metre("4/4") },
      { number: 2, metre: metre("3/4") },
    ];
    const { clicks } = loopMap(request({ bars }));
    const gaps = clicks.slice(1).map(({ at }, i) => at - clicks[i]!.at);
    for (const gap of gaps) expect(gap).toBeCloseTo(0.5, 12);
  });

  test("the cue sounds with the first count only when the tempo has changed", () => {
    const cues = (changed: boolean) =>
      loopMap(request({ tempoChanged: changed })).clicks.filter(({ voice }) => voice === "cue");
    expect(cues(true).map(({ at }) => at)).toEqual([0]);
    expect(cues(false)).toEqual([]);
  });
});
