import { readFileSync } from "node:fs";
import { beforeEach, expect, test } from "@jest/globals";
import { passagesOfPerson } from "~/db/queries";
import { furnishedRoom } from "../../test/room";
import { actOnPiece } from "./act-on-piece";
import { piecePage } from "./passage-pages";
import { layOutNotes } from "./scores";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeEach(async () => {
  room = await furnishedRoom();
}, 60_000);

const act = (fields: Readonly<Record<string, string>>) => {
  const form = new FormData();
  for (const [name, value] of Object.entries(fields)) form.set(name, value);
  const { studioId, personId, pieceId } = room;
  return actOnPiece(room.services, { studioId, personId, pieceId }, form);
};
const mark = (fromBar: number, toBar: number, mark: string) =>
  act({ act: "mark", fromBar: `${fromBar}`, toBar: `${toBar}`, mark });
const page = () => piecePage(room.services, room.studioId, room.personId, room.pieceId);

test("bars keep the mark they were touched with last, or lose it", async () => {
  await mark(3, 6, "raw");
  await mark(5, 5, "safe");
  await mark(6, 6, "none");
  expect((await page()).marks).toEqual({ 3: "raw", 4: "raw", 5: "safe" });
  expect((await mark(3, 99, "raw")).ok).toBe(false);
  expect((await mark(6, 3, "raw")).ok).toBe(false);
  expect((await act({ act: "mark", fromBar: "x", toBar: "3", mark: "raw" })).ok).toBe(false);
  expect((await page()).marks).toEqual({ 3: "raw", 4: "raw", 5: "safe" });
});

test("a proposal that is taken leaves one on the page, with its passage cut", async () => {
  const range = { fromBar: "10", toBar: "12", pickupBeats: "0", endBeats: "0" };
  const taken = await act({ act: "take", ...range, name: "", focus: "" });
  expect(taken).toEqual({ ok: true, value: undefined });
  const passages = await passagesOfPerson(room.services.db, room.studioId, room.personId);
  expect(passages.map(({ fromBar }) => fromBar)).toContain(10);
});

test("with notes every bar has its profile; without, none", async () => {
  expect((await page()).profile).toEqual([]);
  const { studioId, personId, pieceId } = room;
  const bytes = new Uint8Array(readFileSync("demo/tunes/ferry-at-low-water.musicxml"));
  const sent = { name: "ferry.musicxml", bytes };
  await layOutNotes(room.services, { studioId, personId, pieceId }, sent, true);
  const { profile } = await page();
  expect(profile.map(({ bar }) => bar)).toEqual(Array.from({ length: 25 }, (_, bar) => bar));
  // Running quavers have more in them than a held note.
  expect(profile[9]!.total).toBeGreaterThan(profile[16]!.total);
  // What is cut from there on knows how hard it is; what was cut before is measured, too.
  const cut = { pickupBeats: "0", endBeats: "0", name: "", focus: "" };
  for (const bars of [
    { fromBar: "9", toBar: "10" },
    { fromBar: "16", toBar: "17" },
  ]) {
    await act({ act: "take", ...bars, ...cut });
  }
  const passages = await passagesOfPerson(room.services.db, studioId, personId);
  const hardness = (from: number) => passages.find(({ fromBar }) => fromBar === from)?.hardness;
  expect(hardness(9)).toBeGreaterThan(hardness(16)!);
  expect(hardness(5)).not.toBeNull();
});
