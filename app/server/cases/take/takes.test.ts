import { createHash, randomUUID } from "node:crypto";
import { beforeEach, describe, expect, test } from "@jest/globals";
import type { Take } from "~/core/listen";
import { addDays } from "~/core/units";
import { EventWriter, furnishedRoom, NOON } from "../../test/room";
import { aWav } from "../../test/sounds";
import { appendEvents } from "../session/append-events";
import { progressPage } from "../piece/passage-pages";
import { deleteForGood } from "../people/student-gone";
import { todayPage } from "../week/today";
import {
  dropTake,
  keepTake,
  keepTakesFor,
  sayHeard,
  sweepTakes,
  takeCome,
  takeMore,
  takePage,
  takesListed,
  takeSound,
  type SoundRange,
} from "./takes";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
let of: { studioId: string; sessionId: string; takeId: string };
beforeEach(async () => {
  room = await furnishedRoom();
  const { sessionId } = await room.begin();
  of = { studioId: room.studioId, sessionId, takeId: randomUUID() };
}, 60_000);

/** Something of its own for each test: rooms of a database share what sounds alike. */
let wav: Buffer;
beforeEach(() => {
  wav = aWav();
});
const hashOf = (bytes: Uint8Array) => createHash("sha256").update(bytes).digest("hex");

const about = (change: Partial<Take> = {}): Take => ({
  play: randomUUID(),
  passage: room.passageId,
  at: NOON,
  tempo: 60,
  rung: 0,
  mediaType: "audio/wav",
  from: 0.2,
  until: 15,
  bars: [{ bar: 5, at: 3, duration: 3, beats: [3, 4, 5] }],
  placedBy: "heard",
  roundTrip: 0.11,
  gaps: false,
  cutOff: false,
  headphones: false,
  peaks: "",
  ...change,
});

const whole = (bytes: Uint8Array, change: Partial<Take> = {}) => ({
  take: about(change),
  bytes: bytes.length,
  hash: hashOf(bytes),
});

async function sent(bytes: Uint8Array = wav, change: Partial<Take> = {}) {
  await takeMore(room.services, of, 0, bytes);
  return keepTake(room.services, of, whole(bytes, change));
}

const heard = async (range?: SoundRange) => {
  const sound = await takeSound(room.services, of.studioId, of.takeId, range);
  if (!sound || "outside" in sound) return undefined;
  const pieces: Buffer[] = [];
  for await (const piece of sound.stream) pieces.push(piece as Buffer);
  return Buffer.concat(pieces);
};

describe("a take that is sent", () => {
  test("is heard whole, from a byte on, and its last bytes", async () => {
    await sent();
    expect(await heard()).toEqual(wav);
    expect(await heard({ from: 5, to: 9 })).toEqual(wav.subarray(5, 10));
    expect(await heard({ last: 7 })).toEqual(wav.subarray(-7));
    expect(await heard({ last: 1_000_000 })).toEqual(wav);
    expect(await heard({ last: 0 })).toBeUndefined();
    expect(await heard({ from: 99_999, to: undefined })).toBeUndefined();
  });

  test("what is not whole yet counts towards what a student may keep, and goes after an hour", async () => {
    const { services } = room;
    const piece = new Uint8Array(39_000_000);
    const sendSome = (takeId: string) => takeMore(services, { ...of, takeId }, 0, piece);
    for (let n = 0; n < 12; n++) expect(await sendSome(randomUUID())).toMatchObject({ ok: true });
    const last = randomUUID();
    expect(await sendSome(last)).toMatchObject({ ok: false, error: { status: 413 } });
    await services.takes.sweep([], Date.now() + 3_700_000);
    expect(await sendSome(last)).toMatchObject({ ok: true });
  }, 60_000);

  test("goes on from where it stopped, comes twice without harm, and is heard in parts", async () => {
    const { services } = room;
    expect(await takeCome(services, of)).toEqual({ next: 0, whole: false });
    expect(await takeMore(services, of, 0, wav.subarray(0, 900))).toMatchObject({
      value: { next: 900 },
    });
    // The same again, and more of it: what is there is passed over.
    expect(await takeMore(services, of, 500, wav.subarray(500))).toMatchObject({
      value: { next: wav.length },
    });
    for (let twice = 0; twice < 2; twice++) {
      expect(await keepTake(services, of, whole(wav))).toMatchObject({ ok: true });
    }
    expect(await takeCome(services, of)).toEqual({ next: wav.length, whole: true });
    expect(await heard()).toEqual(wav);
    expect(await heard({ from: 2, to: 5 })).toEqual(wav.subarray(2, 6));
    expect(await heard({ from: wav.length - 3, to: undefined })).toEqual(wav.subarray(-3));
    expect(
      await takeSound(services, of.studioId, of.takeId, { from: 99_999, to: 1 }),
    ).toMatchObject({ outside: true });
    const listed = await takesListed(services, of.studioId, { passageId: room.passageId });
    expect(listed).toMatchObject([
      { id: of.takeId, fromBar: 5, keptUntil: addDays("2026-05-04", 90) },
    ]);
  });

  test("is refused with a sentence: a gap, what is no sound, what differs, another's bars", async () => {
    const { services } = room;
    expect(await takeMore(services, of, 10, wav)).toMatchObject({ error: { status: 409 } });
    const lies = Buffer.from("<html>not a sound</html>");
    expect(await sent(lies)).toMatchObject({ error: { status: 422 } });
    await takeMore(services, of, 0, wav);
    const other = { ...whole(wav), hash: hashOf(lies) };
    expect(await keepTake(services, of, other)).toMatchObject({ error: { status: 409 } });
    // What differed is thrown away: it is sent from the beginning.
    expect(await takeCome(services, of)).toEqual({ next: 0, whole: false });
    expect(await sent(wav, { passage: randomUUID() })).toMatchObject({ error: { status: 422 } });
    expect(await takeMore(services, of, 39_999_999, wav)).toMatchObject({
      error: { status: 413 },
    });
  });

  test("of another session under the same id is refused", async () => {
    expect((await sent()).ok).toBe(true);
    const { sessionId } = await room.begin();
    const other = { ...of, sessionId };
    expect(await takeMore(room.services, other, 0, wav)).toMatchObject({ error: { status: 409 } });
    expect(await keepTake(room.services, other, whole(wav))).toMatchObject({
      error: { status: 409 },
    });
  });
});

describe("listening back", () => {
  test("what was heard is kept once, beside the verdict at the stand, and outlives the take", async () => {
    const { services, studioId, personId } = room;
    const stand = new EventWriter();
    stand.write("opened");
    const play = stand.write("played", {
      tempo: 60,
      seconds: 9,
      complete: true,
      fromBar: 5,
      toBar: 8,
    });
    stand.write("judged", { play, verdict: "clean" });
    await appendEvents(services, studioId, of.sessionId, stand.events);
    expect((await sent(wav, { play })).ok).toBe(true);
    const said = (...bars: string[]) => {
      const form = new FormData();
      for (const bar of bars) form.append("flawed", bar);
      return sayHeard(services, studioId, { takeId: of.takeId, listener: personId }, form);
    };
    expect(await takePage(services, studioId, of.takeId, { listener: personId })).toMatchObject({
      take: { verdict: "clean" },
      heard: undefined,
      ear: { listened: 0 },
    });
    expect(await said("77")).toMatchObject({ ok: false });
    expect(await said("5")).toMatchObject({ ok: true });
    // Whoever has seen the verdict can't say that they heard otherwise.
    expect(await said()).toMatchObject({ ok: true });
    expect(await takePage(services, studioId, of.takeId, { listener: personId })).toMatchObject({
      heard: { flawed: [5] },
      ear: { listened: 1, kind: 1, hard: 0 },
    });
    await dropTake(services, studioId, of.takeId);
    const { ear } = await progressPage(services, studioId, room.passageId);
    expect(ear).toEqual({ listened: 1, kind: 1, hard: 0 });
  });
});

describe("a take that is kept", () => {
  test("is gone when it is deleted, its sound only with the last that has it", async () => {
    expect((await sent()).ok).toBe(true);
    const first = of.takeId;
    of = { ...of, takeId: randomUUID() };
    expect((await sent()).ok).toBe(true);
    await dropTake(room.services, of.studioId, first);
    expect(await heard()).toEqual(wav);
    await expect(
      takePage(room.services, of.studioId, first, { listener: room.personId }),
    ).rejects.toMatchObject({
      kind: "not-found",
    });
    await dropTake(room.services, of.studioId, of.takeId);
    expect(await room.services.takes.read(hashOf(wav))).toBeUndefined();
  });

  test("goes when its days are over, and with its student", async () => {
    expect((await sent()).ok).toBe(true);
    room.clock.now = NOON + 90 * 86_400_000;
    await sweepTakes(room.services);
    expect(await heard()).toEqual(wav);
    room.clock.now += 86_400_000;
    await sweepTakes(room.services);
    expect(await takesListed(room.services, of.studioId, {})).toEqual([]);

    expect((await sent()).ok).toBe(true);
    await deleteForGood(room.services, of.studioId, room.personId, "Tomasz");
    expect(await room.services.takes.read(hashOf(wav))).toBeUndefined();
  });

  test("a room keeps takes as long as it says; fewer days delete none today, and it is told ahead", async () => {
    await sent();
    const { services, studioId, personId } = room;
    const days = (count: string) => {
      const form = new FormData();
      form.set("days", count);
      form.set("year-ends", "6");
      return keepTakesFor(services, studioId, form);
    };
    expect(await days("0")).toMatchObject({ error: { errors: { days: "At least a day." } } });
    expect((await todayPage(services, studioId, personId)).takesLeaving).toBe(0);
    room.clock.now += 40 * 86_400_000;
    expect(await days("30")).toEqual({ ok: true, value: undefined });
    const page = await takePage(services, studioId, of.takeId, { listener: personId });
    expect(page.take.keptUntil).toBe(addDays(page.today, 1));
    expect((await todayPage(services, studioId, personId)).takesLeaving).toBe(1);
    await sweepTakes(services);
    expect(await takesListed(services, studioId, {})).toHaveLength(1);
    room.clock.now += 2 * 86_400_000;
    await sweepTakes(services);
    expect(await takesListed(services, studioId, {})).toEqual([]);
  });

  test("a check finds what is missing and what belongs to nobody", async () => {
    const { takes } = room.services;
    expect((await sent()).ok).toBe(true);
    const later = Date.now() + 2 * 3_600_000;
    expect(await takes.sweep([hashOf(wav), "0".repeat(64)], later)).toEqual({
      orphans: 0,
      missing: ["0".repeat(64)],
    });
    expect(await takes.sweep([], later)).toMatchObject({ orphans: 1 });
  });
});
