import { describe, expect, test } from "@jest/globals";
import { ClickRenderer } from "./click-renderer";
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

  test("full volume with every voice at once stays below full scale", () => {
    const renderer = new ClickRenderer(RATE, () => undefined);
    renderer.receive({ kind: "volume", volume: 5 });
    renderer.receive(schedule([0, 0, 0, 0]));
    expect(Math.max(...play(renderer, 4).map(Math.abs))).toBeLessThanOrEqual(1.00001);
  });
});
