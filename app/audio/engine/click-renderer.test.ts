import { describe, expect, test } from "@jest/globals";
import {
  ACCENTS,
  CLICK_SOUNDS,
  loopMap,
  PLAIN_CLICK,
  VOICES,
  type ClickProgramme,
  type ClickVoice,
  type LoopRequest,
} from "~/core/click";
import { bpm } from "~/core/units";
import { ClickRenderer } from "./click-renderer";
import { measureOnsets } from "./onsets";
import type { MarkerReached } from "./protocol";

const RATE = 48_000;
const QUANTUM = 128;

function play(renderer: ClickRenderer, quanta: number, frames = (n: number) => n * QUANTUM) {
  const heard = new Float32Array(quanta * QUANTUM);
  for (let n = 0; n < quanta; n++) {
    renderer.render(heard.subarray(n * QUANTUM, (n + 1) * QUANTUM), frames(n));
  }
  return heard;
}

const clicks = (...at: number[]) => ({
  at: Float64Array.from(at),
  voice: Uint8Array.from(at, () => 1),
  level: Float32Array.from(at, () => 1),
});
const LOUD = 0.1;
/** Loud samples after at least 200 quiet ones. */
const onsets = (heard: Float32Array) => {
  const found: number[] = [];
  let lastSound = -Infinity;
  heard.forEach((x, i) => {
    if (Math.abs(x) > LOUD && i - lastSound > 200) found.push(i);
    if (Math.abs(x) > 0.01) lastSound = i;
  });
  return found;
};
const schedule = (at: number[], start = 0) =>
  ({ kind: "schedule", mapId: 1, start, clicks: clicks(...at), markers: [] }) as const;

describe("the click renderer", () => {
  test("each onset falls on the sample nearest to its time", () => {
    const renderer = new ClickRenderer(RATE, () => undefined);
    renderer.receive(schedule([0, 0.1, 0.2 + 0.4 / RATE], 0.01));
    expect(onsets(play(renderer, 120))).toEqual([480, 5280, 10080]);
  });

  test("a frame counter that repeats a quantum does not shift a click", () => {
    const renderer = new ClickRenderer(RATE, () => undefined);
    renderer.receive(schedule([0.05]));
    const stutter = (n: number) => Math.max(0, n - (n % 3 === 2 ? 1 : 0)) * QUANTUM;
    expect(onsets(play(renderer, 40, stutter))).toEqual([2400]);
  });

  test("stopping fades: no sample jumps further than the click itself would", () => {
    const renderer = new ClickRenderer(RATE, () => undefined);
    renderer.receive(schedule([0]));
    const before = play(renderer, 1);
    renderer.receive({ kind: "stop" });
    const after = new Float32Array(4 * QUANTUM);
    for (let n = 0; n < 4; n++) {
      renderer.render(after.subarray(n * QUANTUM, (n + 1) * QUANTUM), (n + 1) * QUANTUM);
    }
    const joined = [before.at(-1)!, ...after];
    const jump = Math.max(...joined.slice(1).map((x, i) => Math.abs(x - joined[i]!)));
    expect(jump).toBeLessThan(0.2);
    expect(Math.max(...after.slice(-QUANTUM).map(Math.abs))).toBeLessThan(1e-5);
  });

  test("a map that is withdrawn is not heard; the one before it still ends", () => {
    const told: MarkerReached[] = [];
    const renderer = new ClickRenderer(RATE, (message) => told.push(message));
    const ended = { at: 0.05, name: "map-ended" as const };
    const began = { at: 0, name: "play-began" as const };
    renderer.receive({ ...schedule([0]), markers: [ended] });
    renderer.receive({ ...schedule([0], 0.05), mapId: 2, markers: [began] });
    renderer.receive({ kind: "withdraw", mapId: 2 });
    expect(onsets(play(renderer, 40))).toEqual([0]);
    expect(told.map(({ mapId, name }) => `${mapId} ${name}`)).toEqual(["1 map-ended"]);
  });

  test("a map that is cut takes nothing from another", () => {
    const told: MarkerReached[] = [];
    const renderer = new ClickRenderer(RATE, (message) => told.push(message));
    const ends = [{ name: "map-ended", at: 0.2 }] as const;
    renderer.receive({ ...schedule([0, 0.1]), markers: ends });
    renderer.receive({ ...schedule([0.05, 0.15]), mapId: 2, markers: ends });
    renderer.receive({ kind: "cut", mapId: 1, at: 0.06 });
    expect(onsets(play(renderer, 100))).toEqual([0, 2400, 7200]);
    expect(told.map(({ mapId, time }) => [mapId, time])).toEqual([
      [1, 0.2],
      [2, 0.2],
    ]);
  });

  test("full volume with every voice at once stays below full scale", () => {
    const renderer = new ClickRenderer(RATE, () => undefined);
    renderer.receive({ kind: "volume", volume: 5 });
    renderer.receive(schedule([0, 0, 0, 0]));
    expect(Math.max(...play(renderer, 4).map(Math.abs))).toBeLessThanOrEqual(1.00001);
  });
});

describe("click programmes, sample by sample", () => {
  const common = { beats: 4, unit: 4 } as const;
  const heardOf = (request: Partial<LoopRequest>, click: Partial<ClickProgramme>) => {
    const map = loopMap({
      bars: [1, 2, 3, 4].map((number) => ({ number, metre: common })),
      leadBeats: 0,
      endBeats: 0,
      beatUnit: "quarter",
      plays: [{ tempo: bpm(137), pace: "steady" }],
      click: { ...PLAIN_CLICK, ...click },
      tempoChanged: false,
      first: true,
      turn: 3,
      ...request,
    });
    // Cues ring on under the clicks that follow; they are checked in the map.
    const clicked = map.clicks.filter(({ voice }) => voice !== "cue");
    const renderer = new ClickRenderer(RATE, () => undefined);
    renderer.receive({ kind: "volume", volume: 1 });
    renderer.receive({
      kind: "schedule",
      mapId: 1,
      start: 0.1,
      markers: [],
      clicks: {
        at: Float64Array.from(clicked, ({ at }) => at),
        voice: Uint8Array.from(clicked, ({ voice }) => VOICES.indexOf(voice)),
        level: Float32Array.from(clicked, ({ level }) => level),
      },
    });
    const quanta = Math.ceil(((map.duration + 0.2) * RATE) / QUANTUM);
    const expected = clicked.map(({ at }) => (0.1 + at) * RATE);
    return measureOnsets(play(renderer, quanta), expected);
  };
  const programmes: Record<string, [Partial<LoopRequest>, Partial<ClickProgramme>]> = {
    "off-beats": [{}, { pattern: { kind: "off-beats" } }],
    "every third beat": [{}, { pattern: { kind: "every-beats", beats: 3 } }],
    "one every two bars": [{}, { pattern: { kind: "every-bars", bars: 2 } }],
    "silent bars by chance": [{}, { silence: { kind: "random", percent: 50, seed: 5 } }],
    "an inner bar, then six clicks a beat": [
      {},
      {
        countIn: { ...PLAIN_CLICK.countIn, bars: 2, inner: true },
        pattern: { kind: "beats", subdivision: 6 },
      },
    ],
    "two slow and one fast, without a gap": [
      {
        plays: [
          { tempo: bpm(67), pace: "slow" },
          { tempo: bpm(67), pace: "slow" },
          { tempo: bpm(134), pace: "fast" },
        ],
      },
      {},
    ],
  };
  for (const [name, [request, click]] of Object.entries(programmes)) {
    test(`${name}: every click within half a sample, none missing, none too many`, () => {
      const report = heardOf(request, click);
      expect(report).toMatchObject({ missing: 0, extra: 0 });
      expect(report.expected).toBeGreaterThan(5);
      expect(report.worst).toBeLessThanOrEqual(0.5 + 1e-6);
    });
  }
});

describe("the drone", () => {
  const risesThrough = (heard: Float32Array) =>
    heard.reduce((count, x, i) => (i > 0 && heard[i - 1]! < 0 && x >= 0 ? count + 1 : count), 0);

  test("sounds at its pitch, without a jump where it begins and ends", () => {
    const renderer = new ClickRenderer(RATE, () => undefined);
    renderer.receive({ kind: "volume", volume: 1 });
    renderer.receive({ kind: "drone", hz: 221, level: 0.4 });
    const second = RATE / QUANTUM;
    const heard = play(renderer, second);
    expect(Math.abs(risesThrough(heard) - 221)).toBeLessThanOrEqual(1);
    renderer.receive({ kind: "stop" });
    const dying = new Float32Array(second * QUANTUM);
    for (let n = 0; n < second; n++) {
      renderer.render(dying.subarray(n * QUANTUM, (n + 1) * QUANTUM), (second + n) * QUANTUM);
    }
    const both = [...heard, ...dying];
    const jump = both.reduce((most, x, i) => Math.max(most, i ? Math.abs(x - both[i - 1]!) : 0), 0);
    expect(jump).toBeLessThan(0.06);
    expect(Math.max(...dying.slice(-QUANTUM).map(Math.abs))).toBeLessThan(1e-5);
  });

  test("asked for again at the same pitch it simply goes on", () => {
    const renderer = new ClickRenderer(RATE, () => undefined);
    renderer.receive({ kind: "drone", hz: 200, level: 0.4 });
    play(renderer, 200);
    renderer.receive({ kind: "drone", hz: 200, level: 0.4 });
    const on = new Float32Array(400 * QUANTUM);
    for (let n = 0; n < 400; n++) {
      renderer.render(on.subarray(n * QUANTUM, (n + 1) * QUANTUM), (200 + n) * QUANTUM);
    }
    expect(Math.abs(risesThrough(on) - (200 * 400 * QUANTUM) / RATE)).toBeLessThanOrEqual(2);
  });
});

test("whatever it sounds like, an onset is the sample that it was; accents stand out as asked", () => {
  const peak = (voice: ClickVoice, index: number) => {
    const renderer = new ClickRenderer(RATE, () => undefined);
    renderer.receive({ kind: "voice", voice });
    const one = { ...clicks(0.01), voice: Uint8Array.of(index) };
    renderer.receive({ kind: "schedule", mapId: 1, start: 0, clicks: one, markers: [] });
    const heard = play(renderer, 20);
    expect(heard.findIndex((x) => Math.abs(x) > 0.01)).toBe(480);
    return Math.max(...heard.map(Math.abs));
  };
  const ratio = (voice: ClickVoice) => peak(voice, 0) / peak(voice, 1);
  for (const sound of CLICK_SOUNDS) {
    const [lighter, usual, louder] = ACCENTS.map((accents) => ratio({ sound, accents }));
    expect(lighter!).toBeLessThan(usual!);
    expect(usual!).toBeLessThan(louder!);
  }
});
