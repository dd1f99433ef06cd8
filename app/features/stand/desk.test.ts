import { describe, expect, test } from "@jest/globals";
import { planOf } from "~/core/session/test/plans";
import { currentBlock, type SessionEvent } from "~/core/session";
import type { Input, Loop } from "~/core/transport";
import { StandDesk } from "./desk";
import { Mark } from "./mark";
import type { StandEars, StandPorts } from "./ports";
import { Tapping } from "./tapping";

const NOON = Date.UTC(2026, 4, 4, 12);

/** What lies around the stand's machine: a disk that can be slow, a sound whose time is told. */
class Outside {
  seconds = 0;
  made = 0;
  readonly kept: SessionEvent[] = [];
  readonly loops: Loop[] = [];
  readonly done: string[] = [];
  failsToSound = false;
  private ears: StandEars | undefined;
  private behind = 0;
  private onDisk: (() => void)[] = [];
  slow = false;

  readonly ports = (ears: StandEars): StandPorts => {
    this.ears = ears;
    const notes =
      (name: string) =>
      (...told: readonly unknown[]) =>
        void this.done.push([name, ...told.filter((each) => typeof each === "string")].join(" "));
    const isBehind = () => this.behind > 0;
    return {
      now: () => NOON + this.seconds * 1000,
      newId: () => `00000000-0000-4000-8000-${String(++this.made).padStart(12, "0")}`,
      wait: () => () => undefined,
      sound: {
        now: () => this.seconds,
        open: () =>
          this.failsToSound ? Promise.reject(new Error("No sound.")) : Promise.resolve(),
        send: (loop: Loop) => this.loops.push(loop),
        begin: (loop: Loop) => ({ ...loop, scheduled: { mapId: loop.id } }),
        ...{ withdraw: notes("withdraw"), cut: notes("cut"), stop: notes("silence") },
        ...{ drone: notes("drone"), setVolume: notes("volume"), close: notes("close") },
        heardAt: (at: number) => at,
        position: () => undefined,
      },
      store: {
        open: () => ears.send({ kind: "events", events: [] }),
        append: (event: SessionEvent) => {
          this.kept.push(event);
          this.behind++;
          if (!this.slow) this.behind = 0;
        },
        written: () => new Promise<void>((resolve) => this.onDisk.push(resolve)),
        dispose: notes("store disposed"),
        flushed: () => Promise.resolve(true),
        ...{ sending: "sent", keeps: true, writing: new Mark(false) },
        get behind() {
          return isBehind();
        },
      },
      takes: {
        ...{ begin: notes("take begins"), played: () => this.done.push("take of a play") },
        ...{ cancel: notes("take dropped"), dispose: () => Promise.resolve() },
        settled: Promise.resolve(),
      },
      along: { begin: notes("along"), stop: notes("along stops"), dispose: notes("") },
      tapping: new Tapping(),
    } as unknown as StandPorts;
  };

  send(input: Input): void {
    this.ears!.send(input);
  }

  /** The disk has caught up. */
  async writes(): Promise<void> {
    this.behind = 0;
    for (const resolve of this.onDisk.splice(0)) resolve();
    await Promise.resolve();
  }

  /** The loop that was sent last sounds up to a marker, and each one before it. */
  soundsTo(name: string): void {
    const loop = this.loops.at(-1)!;
    for (const marker of loop.map.markers) {
      this.seconds = Math.max(this.seconds, loop.start + marker.at);
      this.send({ kind: "marker", loop: loop.id, name: marker.name });
      if (marker.name === name) return;
    }
    throw new Error(`It has no ${name}.`);
  }
}

/** A stand that plays its first run. */
async function playing() {
  const outside = new Outside();
  const plan = planOf([{}]);
  const desk = new StandDesk({ plan, stored: [], volume: 0.7 }, outside.ports);
  await desk.open();
  desk.send({ kind: "start" });
  // The sound opens in a turn of its own.
  await new Promise((resolve) => setImmediate(resolve));
  return { outside, desk };
}
const counted = (desk: StandDesk) => currentBlock(desk.snapshot().stand).state.counted.length;

describe("the desk", () => {
  test("performs what the machine asks for: a press is a loop, its end a question", async () => {
    const { outside, desk } = await playing();
    expect(outside.loops).toHaveLength(1);
    expect(desk.snapshot().transport).toBe("count-in");
    outside.soundsTo("play-ended");
    expect(desk.snapshot().stand.pending).toBeDefined();
    expect(outside.kept.map(({ kind }) => kind)).toEqual(["opened", "played"]);
    expect(outside.done).toContain("take of a play");
    desk.dispose();
  });

  test("shows nothing as counted before it is on disk; the verdict itself at once", async () => {
    const { outside, desk } = await playing();
    outside.soundsTo("play-ended");
    outside.slow = true;
    desk.send({ kind: "judge", verdict: "clean" });
    expect([desk.marked.now(), counted(desk)]).toEqual(["clean", 0]);
    await outside.writes();
    await new Promise((resolve) => setImmediate(resolve));
    expect([desk.marked.now(), counted(desk)]).toEqual([undefined, 1]);
    desk.dispose();
  });

  test("says so where no sound comes, and tries again at the next press", async () => {
    const outside = new Outside();
    outside.failsToSound = true;
    const desk = new StandDesk({ plan: planOf([{}]), stored: [], volume: 1 }, outside.ports);
    await desk.open();
    desk.send({ kind: "start" });
    await new Promise((resolve) => setImmediate(resolve));
    expect(desk.snapshot().sound).toBe("failed");
    outside.failsToSound = false;
    desk.send({ kind: "start" });
    await new Promise((resolve) => setImmediate(resolve));
    expect(outside.loops).toHaveLength(1);
    desk.dispose();
  });

  test("tells how evenly was tapped along, before the verdict", async () => {
    const { outside, desk } = await playing();
    outside.soundsTo("play-began");
    const beats = outside.loops[0]!.map.bars.filter(({ part }) => part === "play").flatMap(
      (bar) => bar.beats,
    );
    for (const beat of beats) desk.tap(beat + 0.01);
    outside.soundsTo("play-ended");
    const measured = outside.kept.find(({ kind }) => kind === "measured");
    expect(measured?.payload).toMatchObject({ source: "taps", met: beats.length });
    expect(desk.snapshot().stand.plays[0]!.measured?.bias).toBeCloseTo(10, 3);
    desk.dispose();
  });

  test("tells those who look only of what is new, and nobody after it is disposed of", async () => {
    const { outside, desk } = await playing();
    let told = 0;
    const stop = desk.subscribe(() => told++);
    outside.soundsTo("play-began");
    expect(told).toBeGreaterThan(0);
    stop();
    const before = told;
    outside.soundsTo("play-ended");
    expect(told).toBe(before);
    desk.subscribe(() => told++);
    desk.dispose();
    desk.send({ kind: "judge", verdict: "clean" });
    expect(told).toBe(before);
    expect(outside.done).toContain("store disposed");
    expect(outside.kept.at(-1)!.kind).toBe("played");
  });
});
