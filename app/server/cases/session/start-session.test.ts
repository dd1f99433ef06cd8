import { randomUUID } from "node:crypto";
import { beforeEach, describe, expect, test } from "@jest/globals";
import { initialState } from "~/core/session";
import { Learner, seeded, simulateSitting } from "~/core/simulate";
import { EventWriter, furnishedRoom, ladder, NOON } from "../../test/room";
import { appendEvents } from "./append-events";
import { cutPassage, putAway, setLadder } from "../piece/passages";
import { passagePart, startSession } from "./start-session";
import { todayPage } from "../week/today";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeEach(async () => {
  room = await furnishedRoom();
}, 60_000);

const start = (...passages: string[]) =>
  startSession(
    room.services,
    room.studioId,
    room.personId,
    passages.map((id) => passagePart(id)),
  );
const startTempo = async () => {
  const { passages } = await todayPage(room.services, room.studioId, room.personId);
  return passages[0]?.start;
};
const rule = (startRule: object) =>
  setLadder(room.services, room.studioId, room.passageId, ladder({ startRule }));

describe("starting a session", () => {
  test("follows the order chosen, and leaves out what can't be played", async () => {
    const { services, studioId, personId, pieceId, passageId } = room;
    const range = { fromBar: 1, toBar: 2, pickupBeats: 0, endBeats: 0, name: "", focus: "" };
    const second = await cutPassage(services, studioId, { personId, pieceId }, range);
    const bare = await start(second);
    expect(bare.ok).toBe(false);
    await setLadder(services, studioId, second, ladder({ target: 70 }));
    const both = await start(second, randomUUID(), passageId);
    expect(both.ok && both.value.plan.blocks.map((block) => block.passageId)).toEqual([
      second,
      passageId,
    ]);
    await putAway(services, studioId, second);
    const left = await start(second, passageId);
    expect(left.ok && left.value.plan.blocks).toHaveLength(1);
  });

  test("each start rule reads the record of the days before", async () => {
    expect(await startTempo()).toBe(60);
    const { sessionId } = await room.begin();
    const stand = new EventWriter(NOON);
    stand.write("opened");
    stand.plays(60, "cc");
    stand.plays(70, "cc");
    stand.plays(80, "ff");
    await appendEvents(room.services, room.studioId, sessionId, stand.events);
    // 80 was played, but not passed.
    expect(await startTempo()).toBe(70);
    await rule({ kind: "where-ended-less", steps: 1 });
    expect(await startTempo()).toBe(60);
    await rule({ kind: "half-of-target" });
    expect(await startTempo()).toBe(40);
    await rule({ kind: "as-set" });
    expect(await startTempo()).toBe(60);
    await rule({ kind: "comfortable" });
    expect([50, 60, 70]).toContain(await startTempo());
  });

  test("a woven chain goes on at its link, and begins anew when the school is changed", async () => {
    const { services, studioId, passageId } = room;
    const school = { name: "woven-chain", numbers: { unit: "bar", size: 1, step: 15, window: 8 } };
    const phases = [{ school, start: null, target: null }];
    const set = (change: object) => setLadder(services, studioId, passageId, ladder(change));
    await set({ phases });
    const { sessionId, plan } = await room.begin();
    const random = seeded(3);
    const traits = {
      ability: 300,
      plateau: 310,
      learning: 0,
      forgetting: 0,
      fatigue: 0,
      width: 0.05,
    };
    const learners = [new Learner(traits, random)];
    const sitting = { plan, learners, startsAt: NOON, minutes: [2], random };
    await appendEvents(services, studioId, sessionId, simulateSitting(sitting));
    const [block] = (await room.begin()).plan.blocks;
    const stage = block?.place.stage ?? 0;
    expect(stage).toBeGreaterThan(0);
    const [first] = initialState((await room.begin()).plan).blocks;
    expect(first?.rungs[0]?.links).toEqual({ from: 1, to: stage + 1, of: 4 });
    await set({});
    expect((await room.begin()).plan.blocks[0]?.place).toEqual({ phase: 0, stage: 0 });
  });

  test("a ladder by the date counts its days from when it was set", async () => {
    const { services, studioId, passageId, clock } = room;
    const numbers = { days: 10, perWeek: 7, shape: "linear", moves: 1 };
    const phases = [{ school: { name: "by-date", numbers }, start: null, target: null }];
    const set = () => setLadder(services, studioId, passageId, ladder({ phases }));
    await set();
    const rungs = async () =>
      initialState((await room.begin()).plan).blocks[0]!.rungs.map(({ tempo }) => tempo + 0);
    expect(await rungs()).toEqual([60, 63]);
    clock.now += 7 * 86_400_000;
    expect(await rungs()).toEqual([60, 70]);
    // Set again as it was, its days run on.
    await set();
    expect(await rungs()).toEqual([60, 70]);
  });

  test("a part of the passage is a session of its own bars, with the bars around it", async () => {
    const { services, studioId, passageId } = room;
    const part = { fromBar: 6, toBar: 7 };
    const inContext = { bars: 2, at: "top" };
    await setLadder(services, studioId, passageId, ladder({ part, inContext }));
    const [block] = (await room.begin()).plan.blocks;
    expect(block).toMatchObject(part);
    expect(block?.bars.map(({ number }) => number)).toEqual([6, 7]);
    expect(block?.around.before.map(({ number }) => number)).toEqual([4, 5]);
    expect(block?.around.after.map(({ number }) => number)).toEqual([8, 9]);
  });

  test("a plan once made stays as it was when the ladder is changed", async () => {
    const { plan } = await room.begin();
    await setLadder(room.services, room.studioId, room.passageId, ladder({ target: 120 }));
    expect(plan.blocks[0]?.ladder.target).toBe(90);
    const { passages } = await todayPage(room.services, room.studioId, room.personId);
    expect(passages[0]?.target).toBe(120);
  });

  test("a session that was left is offered again, an ended one isn't", async () => {
    const { sessionId } = await room.begin();
    const page = () => todayPage(room.services, room.studioId, room.personId);
    expect((await page()).openSession?.id).toBe(sessionId);
    const stand = new EventWriter(NOON);
    stand.write("opened");
    stand.write("ended", { how: "pain" });
    await appendEvents(room.services, room.studioId, sessionId, stand.events);
    const after = await page();
    expect(after.openSession).toBeUndefined();
    expect(after.hurtLately).toBe(true);
  });

  test("after a stop for pain today tells the tempi that the stand will play", async () => {
    const { services, studioId, personId, passageId } = room;
    const { sessionId } = await room.begin();
    const usual = (await todayPage(services, studioId, personId)).passages[0]!;
    const stand = new EventWriter(NOON);
    stand.write("opened");
    stand.write("ended", { how: "pain" });
    await appendEvents(services, studioId, sessionId, stand.events);
    const easy = (await todayPage(services, studioId, personId)).passages[0]!;
    expect(easy.begins).toBeLessThan(usual.begins!);
    const parts = [passagePart(passageId)];
    const started = await startSession(services, studioId, personId, parts, "fine");
    if (!started.ok) throw new Error(started.error.sentence);
    const [block] = started.value.plan.blocks;
    expect(block!.rungs[0]!.tempo).toBe(easy.begins);
    expect(easy.tempi.at(-1)).toBe(block!.rungs.at(-1)!.tempo);
  });
});
