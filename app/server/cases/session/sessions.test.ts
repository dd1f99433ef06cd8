import { beforeEach, describe, expect, test } from "@jest/globals";
import * as v from "valibot";
import type { DatabaseError } from "~/db/client";
import { EventWriter, furnishedRoom, ladder, NOON } from "../../test/room";
import { appendEvents } from "./append-events";
import { putAway, setLadder, setState } from "../piece/passages";
import { rebuildProjections } from "./rebuild";
import { afterwardsPage } from "./afterwards";
import { piecePage, progressPage } from "../piece/passage-pages";
import { todayPage } from "../week/today";
import { weekOf } from "../week/board";
import { workshopPage } from "../piece/workshop";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeEach(async () => {
  room = await furnishedRoom();
}, 60_000);

const send = (sessionId: string, events: EventWriter["events"], studioId = room.studioId) =>
  appendEvents(room.services, studioId, sessionId, events);

const counted = async () => {
  const { db } = room.services;
  const tables = ["rep", "session_block", "session_outcome", "passage_day"];
  const rows = tables.map((table) =>
    db.many(v.unknown(), `select * from ${table} where studio_id = $1 order by 1, 2, 3`, [
      room.studioId,
    ]),
  );
  return Promise.all(rows);
};

describe("a session", () => {
  test("is counted as it was played, and the next one knows where to start", async () => {
    const { sessionId, plan } = await room.begin();
    expect(plan.blocks[0]?.start).toBe(60);
    const stand = new EventWriter();
    stand.write("opened");
    stand.plays(60, "cc");
    stand.plays(70, "cfcc", 7);
    stand.write("noted", { text: "Thumb late." });
    stand.write("ended", { how: "finished" });
    expect(await send(sessionId, stand.events)).toEqual({ ok: true, value: { next: 16 } });

    const after = await afterwardsPage(room.services, room.studioId, sessionId);
    expect(after?.entry).toMatchObject({ ended: "finished", notes: ["Thumb late."] });
    expect(after?.entry.blocks[0]).toMatchObject({ start: 60, reached: 70, plays: 6, clean: 5 });
    expect(after?.flaws).toEqual([{ what: "rhythm", times: 1 }]);

    const { passages } = await todayPage(room.services, room.studioId, room.personId);
    expect(passages[0]).toMatchObject({ start: 70, reached: 70 });
    const { record } = await workshopPage(room.services, room.studioId, room.passageId);
    expect(record?.plays).toBe(6);
    const { days, flaws } = await progressPage(room.services, room.studioId, room.passageId);
    expect(days[0]).toMatchObject({ reached_tempo: 70, plays: 6 });
    expect(flaws).toEqual({ 7: 1 });
    const { lines } = await weekOf(room.services, room.studioId);
    expect(lines[0]?.days.at(-1)?.played).toBeCloseTo(3, 1);
  });

  test("keeps apart what was played from memory, and on which beat of its bar a play failed", async () => {
    const { sessionId } = await room.begin();
    const stand = new EventWriter();
    stand.write("opened");
    const play = (fromMemory: boolean, verdict: string) => {
      const bars = { tempo: 60, seconds: 9, complete: true, fromBar: 5, toBar: 8 };
      const id = stand.write("played", { ...bars, ...(fromMemory ? { fromMemory } : {}) });
      stand.write("judged", { play: id, verdict });
      return id;
    };
    play(true, "clean");
    play(false, "clean");
    const flawed = play(true, "flawed");
    stand.write("detailed", { play: flawed, bar: 6, beat: 1 });
    stand.write("detailed", { play: flawed, bar: 7 });
    const failed = async () =>
      (await piecePage(room.services, room.studioId, room.personId, room.pieceId)).flawBeats;
    await send(sessionId, stand.events);
    // Another bar was told after all: the beat was one of the bar before.
    expect(await failed()).toEqual([]);
    stand.write("detailed", { play: flawed, bar: 7, beat: 3 });
    stand.write("detailed", { play: flawed, what: "notes" });
    await send(sessionId, stand.events);
    expect(await failed()).toEqual([{ bar: 7, beat: 3, flawed: 1 }]);
    const after = await afterwardsPage(room.services, room.studioId, sessionId);
    expect(after?.fromMemory).toEqual({ plays: 2, clean: 1 });
  });

  test("sent twice, in pieces, and again is counted once", async () => {
    const { sessionId } = await room.begin();
    const stand = new EventWriter();
    stand.write("opened");
    stand.plays(60, "ccc");
    const { events } = stand;
    await send(sessionId, events.slice(0, 3));
    await send(sessionId, events.slice(1, 5));
    const once = await send(sessionId, events);
    expect(once).toEqual({ ok: true, value: { next: 7 } });
    expect(await send(sessionId, events)).toEqual(once);
    const after = await afterwardsPage(room.services, room.studioId, sessionId);
    expect(after?.entry.blocks[0]).toMatchObject({ plays: 3, clean: 3 });
  });

  test("refuses a gap or another event at a taken position, and writes nothing of the batch", async () => {
    const { sessionId } = await room.begin();
    const stand = new EventWriter();
    stand.write("opened");
    stand.plays(60, "cc");
    const { events } = stand;
    const gap = await send(sessionId, events.slice(2));
    expect(gap).toMatchObject({ ok: false, error: { kind: "gap", next: 0 } });
    await send(sessionId, events.slice(0, 2));
    const other = new EventWriter(NOON);
    other.write("opened");
    const clash = await send(sessionId, [...events.slice(2), ...other.events]);
    expect(clash).toMatchObject({ ok: false, error: { kind: "conflict", next: 2 } });
    const stored = await room.services.db.many(
      v.unknown(),
      "select 1 from session_event where session_id = $1",
      [sessionId],
    );
    expect(stored).toHaveLength(2);
  });

  test("an event of another session is refused as there, at once and in a batch, and writes nothing", async () => {
    const one = (await room.begin()).sessionId;
    const other = (await room.begin()).sessionId;
    const stand = new EventWriter();
    stand.write("opened");
    stand.plays(60, "cf");
    expect((await send(one, stand.events)).ok).toBe(true);
    const before = await counted();
    for (const events of [stand.events, stand.events.slice(0, 1)]) {
      expect(await send(other, events)).toMatchObject({
        ok: false,
        error: { kind: "conflict", next: 0, sentence: expect.stringContaining("another session") },
      });
    }
    expect(await counted()).toEqual(before);
  });

  test("everything counted can be rebuilt from the events alone", async () => {
    for (const day of [0, 1, 3]) {
      const { sessionId } = await room.begin();
      const stand = new EventWriter(NOON + day * 86_400_000);
      stand.write("opened");
      stand.plays(60, "cfcc", 6);
      stand.plays(70, "cc");
      const taken = stand.write("played", {
        ...{ tempo: 70, seconds: 9, complete: true, fromBar: 5, toBar: 8 },
      });
      const verdict = stand.write("judged", { play: taken, verdict: "flawed" });
      stand.write("undone", { event: verdict });
      stand.write("judged", { play: taken, verdict: "clean" });
      // Some at once, and one by one as they come from a stand; the last day all at once.
      if (day < 3) for (const event of stand.events) await send(sessionId, [event]);
      await send(sessionId, stand.events);
    }
    const before = await counted();
    expect(before[0]).toHaveLength(21);
    const { db } = room.services;
    for (const table of ["rep", "session_block", "session_outcome", "passage_day"]) {
      await db.execute(`delete from ${table} where studio_id = $1`, [room.studioId]);
    }
    await rebuildProjections(room.services, room.studioId);
    expect(await counted()).toEqual(before);
  });

  test("the key in which it was played is kept with each play", async () => {
    const school = { name: "even-steps", numbers: { step: 10 } };
    const tasks = { of: "keys", order: "each-rung", items: ["C", "f# minor"] };
    const phases = [{ school, start: null, target: null, tasks }];
    const { services, studioId, passageId } = room;
    await setLadder(services, studioId, passageId, ladder({ phases }));
    const { sessionId } = await room.begin();
    const stand = new EventWriter();
    stand.write("opened");
    stand.plays(60, "cccc");
    await send(sessionId, stand.events);
    const kept = await services.db.many(
      v.object({ key: v.string() }),
      "select key from rep where session_id = $1 order by at",
      [sessionId],
    );
    expect(kept.map(({ key }) => key)).toEqual([...["C major", "C major", "F♯ minor", "F♯ minor"]]);
    const { keys } = await progressPage(room.services, room.studioId, room.passageId);
    expect(keys.map(({ key, plays }) => [key, plays])).toEqual([
      ["C major", 2],
      ["F♯ minor", 2],
    ]);
  });

  test("another studio's session, student or passage isn't there", async () => {
    const { sessionId } = await room.begin();
    const elsewhere = await room.open("Another room");
    const stand = new EventWriter();
    stand.write("opened");
    const notThere = (work: Promise<unknown>) =>
      expect(work).rejects.toMatchObject({ kind: "not-found" } satisfies Partial<DatabaseError>);
    await notThere(send(sessionId, stand.events, elsewhere.studioId));
    await notThere(todayPage(room.services, elsewhere.studioId, room.personId));
    await notThere(workshopPage(room.services, elsewhere.studioId, room.passageId));
    await notThere(setState(room.services, elsewhere.studioId, room.passageId, "safe"));
    await notThere(putAway(room.services, elsewhere.studioId, room.passageId));
    const { studentId } = elsewhere;
    await notThere(piecePage(room.services, elsewhere.studioId, studentId, room.pieceId));
  });
});
