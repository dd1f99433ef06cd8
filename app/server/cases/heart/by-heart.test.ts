import { randomUUID } from "node:crypto";
import { beforeEach, expect, test } from "@jest/globals";
import { furnishedRoom, pieceForm } from "../../test/room";
import { changePiece } from "../piece/add-piece";
import { actOnHeart, byHeartPage, heartDue } from "./by-heart";
import { planMemory } from "./memory";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeEach(async () => {
  room = await furnishedRoom();
}, 60_000);

const form = (fields: Readonly<Record<string, string | number>>) => {
  const made = new FormData();
  for (const [name, value] of Object.entries(fields)) made.set(name, String(value));
  return made;
};
const of = () => ({ studioId: room.studioId, personId: room.personId, pieceId: room.pieceId });
const say = (act: string, fromBar: number, toBar: number, more: object = {}) =>
  actOnHeart(room.services, of(), form({ act, fromBar, toBar, ...more }));
const page = () => byHeartPage(room.services, of());
const stretches = async () =>
  (await page()).stretches.map(({ fromBar, toBar }) => `${fromBar}-${toBar}`);
const daysOn = (days: number) => (room.clock.now += days * 86_400_000);

test("bars stand, are due for a test after some days, and fall out into the plan again", async () => {
  const plan = { act: "memory", unit: "bars", total: 16, from: (await page()).today };
  const concert = { concert: "2027-03-01", marginWeeks: 2 };
  expect((await planMemory(room.services, of(), form({ ...plan, ...concert }))).ok).toBe(true);
  await say("stand", 1, 12);
  expect(await stretches()).toEqual(["1-8", "9-12"]);
  expect((await page()).memory).toMatchObject({ stands: 12, byBars: true });

  const { studioId, personId } = room;
  const due = async () => heartDue(room.services, studioId, personId, (await page()).today);
  expect(await due()).toEqual([]);
  daysOn(5);
  expect(await due()).toMatchObject([{ fromBar: 1, toBar: 8 }]);
  const { next } = await page();
  expect((await page()).next).toEqual(next);
  const test = { id: randomUUID(), outcome: "fell" };
  await say("test", next!.fromBar, next!.toBar, test);
  const left = next!.fromBar - 1 + 4;
  expect((await page()).memory).toMatchObject({ stands: left });

  // Learnt again, and the same test comes once more from a slow connection: nothing falls out.
  await say("stand", 1, 8);
  await say("test", next!.fromBar, next!.toBar, test);
  expect((await page()).memory).toMatchObject({ stands: 12 });
  expect((await page()).tests).toHaveLength(1);
});

test("a test with the notes says nothing; one that stood puts the next further off", async () => {
  await say("stand", 1, 4);
  daysOn(5);
  await say("test", 1, 4, { id: randomUUID(), outcome: "looked" });
  const looked = (await page()).stretches[0]!.dueIn;
  expect(looked).toBeLessThanOrEqual(0);
  await say("test", 1, 4, { id: randomUUID(), outcome: "stood" });
  expect((await page()).stretches[0]!.dueIn).toBeGreaterThan(3);
});

test("bars that are none are refused", async () => {
  expect((await say("stand", 9, 99)).ok).toBe(false);
  expect((await say("stand", 5, 4)).ok).toBe(false);
  expect((await say("test", 1, 4, { id: "x", outcome: "stood" })).ok).toBe(false);
  expect(await stretches()).toEqual([]);
});

test("what stood behind a piece's new end is neither counted nor tested", async () => {
  await say("stand", 9, 16);
  const shorter = pieceForm({ bars: "12" });
  expect((await changePiece(room.services, room.studioId, room.pieceId, shorter)).ok).toBe(true);
  expect(await stretches()).toEqual(["9-12"]);
  expect((await page()).next!.toBar).toBeLessThanOrEqual(12);
});
