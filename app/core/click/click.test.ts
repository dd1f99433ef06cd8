import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { bpm, parseMetre } from "~/core/units";
import {
  barPulses,
  droneHz,
  loopMap,
  loopSeconds,
  PLAIN_CLICK,
  playingSeconds,
  soundingPitch,
  type ClickProgramme,
  type Drone,
  type LoopRequest,
} from ".";

const metre = (text: string) => parseMetre(text)!;
const request = (change: Partial<LoopRequest> = {}): LoopRequest => ({
  bars: [1, 2].map((number) => ({ number, metre: metre("4/4") })),
  leadBeats: 0,
  endBeats: 0,
  beatUnit: "quarter",
  plays: [{ tempo: bpm(120), pace: "steady" }],
  click: PLAIN_CLICK,
  tempoChanged: false,
  first: true,
  turn: 0,
  ...change,
});
const clicking = (change: Partial<ClickProgramme>, bars = 4, text = "4/4", turn = 0) => {
  const each = Array.from({ length: bars }, (_, i) => ({ number: i + 1, metre: metre(text) }));
  const map = loopMap(request({ bars: each, click: { ...PLAIN_CLICK, ...change }, turn }));
  const [from, to] = [marker(map, "play-began")!, marker(map, "play-ended")!];
  const during = map.clicks.filter(({ at }) => at >= from - 1e-9 && at < to - 1e-9);
  return { map, at: during.map(({ at }) => (at - from) / 0.5), clicks: during };
};
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
    const bars = [0, 1, 2].map((number) => ({ number, metre: metre("4/4") }));
    const map = loopMap(request({ bars, leadBeats: 3, endBeats: 2 }));
    expect(marker(map, "play-began")).toBeCloseTo(2 + 1.5, 12);
    expect(marker(map, "play-ended")).toBeCloseTo(2 + 2 + 2 + 1, 12);
    expect(map.bars[1]).toMatchObject({ part: "lead", number: 0 });
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

describe("click programmes", () => {
  const pattern = (of: ClickProgramme["pattern"], bars = 2, text = "4/4") =>
    clicking({ pattern: of }, bars, text).at;

  test("off-beats, every second beat, one a bar, one every two bars, none", () => {
    expect(pattern({ kind: "off-beats" }, 1)).toEqual([0.5, 1.5, 2.5, 3.5]);
    expect(pattern({ kind: "every-beats", beats: 2 }, 2, "3/4")).toEqual([0, 2, 4]);
    expect(pattern({ kind: "every-bars", bars: 1 })).toEqual([0, 4]);
    expect(pattern({ kind: "every-bars", bars: 2 }, 4)).toEqual([0, 8]);
    expect(pattern({ kind: "none" })).toEqual([]);
    expect(pattern({ kind: "beats", subdivision: 2 }, 1)).toEqual([0, 0.5, 1, 1.5, 2, 2.5, 3, 3.5]);
  });

  test("off the groups of 2+2+3/8 are the units that they do not lean on", () => {
    const off = pattern({ kind: "off-beats" }, 1, "2+2+3/8");
    expect(off.map((at) => Math.round(at * 2))).toEqual([1, 3, 5, 6]);
  });

  test("fixed silences come round; the count-in is never silent", () => {
    const silence = { kind: "fixed", sounding: 1, silent: 2 } as const;
    const { at, map } = clicking({ silence }, 6);
    expect([...new Set(at.map((beat) => Math.floor(beat / 4)))]).toEqual([0, 3]);
    expect(map.clicks.filter(({ at: seconds }) => seconds < 2)).toHaveLength(4);
  });

  test("random silences are the same for the same seed and turn, and others otherwise", () => {
    const bars = (seed: number, turn: number) => {
      const silence = { kind: "random", percent: 50, seed } as const;
      const { at } = clicking({ silence }, 32, "4/4", turn);
      return [...new Set(at.map((beat) => Math.floor(beat / 4)))].join(" ");
    };
    expect(bars(7, 3)).toBe(bars(7, 3));
    expect(new Set([bars(7, 3), bars(7, 4), bars(8, 3)]).size).toBe(3);
    const sounding = bars(7, 3).split(" ").length;
    expect(sounding).toBeGreaterThan(6);
    expect(sounding).toBeLessThan(26);
  });

  test("voices have their own levels, and one at nothing does not sound", () => {
    const levels = { accent: 50, beat: 0, subdivision: 100 };
    const { clicks } = clicking({ levels }, 1);
    expect(clicks).toEqual([expect.objectContaining({ voice: "accent", level: 0.5 })]);
  });

  test("a bar of inner counting is silent and comes before the play", () => {
    const { map } = clicking({ countIn: { ...PLAIN_CLICK.countIn, inner: true } }, 1);
    expect(map.bars.slice(0, 3).map(({ part }) => part)).toEqual(["count-in", "inner", "play"]);
    expect(map.clicks.filter(({ at }) => at >= 2 && at < 4 - 1e-9)).toEqual([]);
    expect(map.bars[1]).toMatchObject({ quiet: true });
    expect(map.bars[1]!.beats).toHaveLength(4);
    expect(map.bars[2]).toMatchObject({ quiet: false });
  });

  test("slow plays and fast ones follow without a gap, with a warning a beat ahead", () => {
    const plays: LoopRequest["plays"] = [
      { tempo: bpm(60), pace: "slow" },
      { tempo: bpm(120), pace: "fast" },
    ];
    const map = loopMap(request({ plays }));
    const played = map.bars.filter(({ part }) => part === "play");
    expect(played.map(({ pace, duration }) => `${pace} ${duration}`)).toEqual([
      ...["slow 4", "slow 4", "fast 2", "fast 2"],
    ]);
    played.slice(1).forEach((bar, i) => {
      expect(bar.start).toBeCloseTo(played[i]!.start + played[i]!.duration, 12);
    });
    expect(played[1]!.then).toBe("fast");
    const warnings = map.clicks.filter(({ voice }) => voice === "cue");
    expect(warnings.map(({ at }) => at)).toEqual([4 + 8 - 1]);
    expect(marker(map, "play-ended")).toBeCloseTo(4 + 8 + 4, 12);
  });

  test("a loop lasts as long as its map, without the map being made", () => {
    const breather = fc.oneof(
      fc.record({ kind: fc.constant("seconds" as const), seconds: fc.integer({ min: 0, max: 8 }) }),
      fc.constant({ kind: "in-time" as const }),
    );
    const countIn = fc.record({
      bars: fc.constantFrom(0.5 as const, 1 as const, 2 as const),
      inner: fc.boolean(),
      firstOnly: fc.boolean(),
      subdivision: fc.integer({ min: 1, max: 4 }),
    });
    const requests = fc.record({
      leadBeats: fc.integer({ min: 0, max: 2 }),
      endBeats: fc.integer({ min: 0, max: 2 }),
      first: fc.boolean(),
      countIn,
      breather,
      tempi: fc.array(fc.integer({ min: 20, max: 300 }), { minLength: 1, maxLength: 4 }),
    });
    fc.assert(
      fc.property(requests, ({ countIn: counted, breather: breathed, tempi, ...rest }) => {
        const [first, ...others] = tempi.map((tempo) => ({
          tempo: bpm(tempo),
          pace: "steady" as const,
        }));
        const click = { ...PLAIN_CLICK, countIn: counted, breather: breathed };
        const it = request({ ...rest, click, plays: [first!, ...others] });
        const map = loopMap(it);
        expect(loopSeconds(it)).toBeCloseTo(map.duration, 9);
        const playing = marker(map, "play-ended")! - marker(map, "play-began")!;
        expect(playingSeconds(it)).toBeCloseTo(playing, 9);
        map.bars.forEach((bar, i) => {
          const next = map.bars[i + 1]?.start ?? map.duration;
          expect(bar.start + bar.duration).toBeCloseTo(next, 9);
        });
      }),
    );
  });
});

describe("the drone", () => {
  const drone = (change: Partial<Drone> = {}): Drone => ({
    pitch: "A",
    octave: 4,
    a: 442,
    transposition: "in C",
    alone: false,
    level: 60,
    ...change,
  });

  test("sounds at its pitch over the chosen A", () => {
    expect(droneHz(drone())).toBe(442);
    expect(droneHz(drone({ octave: 3 }))).toBe(221);
    expect(droneHz(drone({ pitch: "C", a: 440 }))).toBeCloseTo(261.626, 3);
  });

  test("a written B on an instrument in B♭ sounds as A", () => {
    expect(soundingPitch(drone({ pitch: "B", transposition: "in B♭" }))).toEqual({
      pitch: "A",
      octave: 4,
    });
    expect(soundingPitch(drone({ pitch: "C", transposition: "in F" }))).toEqual({
      pitch: "F",
      octave: 3,
    });
  });

  test("alone it leaves the count-in and takes the click", () => {
    const { map, clicks } = clicking({ drone: drone({ alone: true }) }, 2);
    expect(clicks).toEqual([]);
    expect(map.clicks.length).toBeGreaterThan(4);
  });
});
