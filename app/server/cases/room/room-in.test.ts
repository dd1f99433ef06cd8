import { mkdtemp, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { afterAll, beforeAll, beforeEach, describe, expect, test } from "@jest/globals";
import type { ArchiveEntry } from "../../archive/entry";
import { ROOM_TABLE_NAMES } from "~/db/queries";
import { Archive } from "../../archive/read";
import { dataFile } from "../../archive/room-file";
import { zipOf } from "../../archive/write";
import { EventWriter, furnishedRoom, NOON } from "../../test/room";
import { asRowsOf, forgotten, roomRows } from "../../test/room-rows";
import { UNTOLD } from "../../test/told";
import { appendEvents } from "../session/append-events";
import { COUNTING } from "../session/counting";
import { openRoom } from "../people/open-room";
import { readRoomIn } from "./room-in";
import { roomAsZip } from "./room-out";

let folder: string;
let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeAll(async () => {
  folder = await mkdtemp(path.join(tmpdir(), "fidus-room-"));
});
afterAll(() => rm(folder, { recursive: true }));
beforeEach(async () => {
  room = await furnishedRoom();
}, 60_000);

async function emptyRoom() {
  const names = { room: "Empty", teacher: "Odile", name: "", instrument: "" };
  const opened = await openRoom(room.services, { ...names, self: false, timeZone: "UTC" });
  if (!opened.ok) throw new Error(JSON.stringify(opened.error));
  const { studioId, teacherId } = opened.value;
  const bring = async (file: Uint8Array) => {
    const name = path.join(folder, "room.zip");
    await writeFile(name, file);
    return readRoomIn(room.services, studioId, { id: teacherId, name: "Odile" }, name);
  };
  return { studioId, teacherId, bring };
}

const bytesOf = async (zip: ReadableStream<Uint8Array>) =>
  new Uint8Array(await new Response(zip).arrayBuffer());

const HEADER = {
  format: "fidus-room",
  tables: 1,
  counting: COUNTING,
  room: "11111111-1111-4111-8111-111111111111",
  name: "Weir Lane",
  taken: "2026-05-04T12:00:00.000Z",
};
const entry = (name: string, what: object | string): ArchiveEntry => ({
  name,
  content: [typeof what === "string" ? what : JSON.stringify(what)],
});
const zipWith = (...entries: ArchiveEntry[]) =>
  bytesOf(
    zipOf(
      (async function* () {
        yield* await Promise.resolve(entries);
      })(),
      new Date(NOON),
    ),
  );

/** The zip of a room as if an older version had counted it, and wrongly. */
async function countedBefore({ services, studioId }: typeof room): Promise<Uint8Array> {
  const file = path.join(folder, "before.zip");
  await writeFile(
    file,
    await bytesOf(roomAsZip(services, UNTOLD, studioId, { withSounds: false })),
  );
  const opened = await Archive.open(file);
  if (!opened.ok) throw new Error(opened.error);
  const bytes = async (name: string) => (await opened.value.bytes(name)).toString("utf8");
  const header = JSON.parse(await bytes("room.json"));
  const entries = [entry("room.json", { ...header, counting: COUNTING - 1 })];
  for (const name of ROOM_TABLE_NAMES) {
    if (name !== "rep") entries.push(entry(dataFile(name), await bytes(dataFile(name))));
  }
  opened.value.close();
  return zipWith(...entries);
}

const piece = (change: object) => ({
  id: "22222222-2222-4222-8222-222222222222",
  studio_id: HEADER.room,
  title: "Reed Song",
  origin: "",
  kind: "piece",
  bars: 8,
  pickup_beats: 0,
  metres: [{ fromBar: 1, metre: { beats: 3, unit: 4 } }],
  mark_bpm: 80,
  mark_unit: "quarter",
  created_at: HEADER.taken,
  ...change,
});

describe("a room's file", () => {
  test("what an older version has counted is counted again, to the same rows", async () => {
    const { sessionId } = await room.begin();
    const stand = new EventWriter(NOON);
    stand.write("opened");
    stand.plays(60, "ccfcc", 6);
    stand.write("ended", { how: "finished" });
    await appendEvents(room.services, room.studioId, sessionId, stand.events);
    const { studioId, teacherId, bring } = await emptyRoom();
    expect(await bring(await countedBefore(room))).toMatchObject({ ok: true });
    const asItWas = await roomRows(room.services.db, room.studioId);
    const teacher = asItWas
      .person!.map((row) => JSON.parse(row))
      .find((each) => each.role === "teacher");
    const known = new Map([
      [room.studioId, studioId],
      [String(teacher.id), teacherId],
    ]);
    const is = await roomRows(room.services.db, studioId);
    for (const [table, rows] of Object.entries(asItWas)) {
      expect({ [table]: is[table] }).toEqual({ [table]: asRowsOf(rows, studioId, known) });
    }
    expect(is.rep).toHaveLength(5);
  });

  test("every table goes out with a room, or is named as left out", async () => {
    expect(await forgotten(room.services.db)).toEqual([]);
  });

  test("nothing of what is refused is kept", async () => {
    const { studioId, bring } = await emptyRoom();
    const before = await roomRows(room.services.db, studioId);
    const header = entry("room.json", HEADER);
    const whole = await bytesOf(
      roomAsZip(room.services, UNTOLD, room.studioId, { withSounds: false }),
    );
    const climbing = Buffer.from(await zipWith(header, entry("xx/piece.jsonl", "{}")));
    const climbed = Buffer.from(
      climbing.toString("latin1").replaceAll("xx/piece", "../piece"),
      "latin1",
    );
    const refused: [RegExp, Uint8Array][] = [
      [/no zip/, new TextEncoder().encode("name,instrument")],
      [/no zip|damaged/, whole.subarray(0, whole.length / 2)],
      [/no file of a room/, await zipWith(entry("README.txt", "hello"))],
      [/later version/, await zipWith(entry("room.json", { ...HEADER, tables: 999 }))],
      [/leads out/, climbed],
      [/far larger/, await zipWith(header, entry("data/piece.jsonl", " ".repeat(50_000_000)))],
      [
        /another room/,
        await zipWith(header, entry("data/piece.jsonl", piece({ studio_id: room.studioId }))),
      ],
      [
        /another room/,
        await zipWith(
          header,
          entry("data/studio.jsonl", { id: room.studioId, name: "Mine", time_zone: "UTC" }),
        ),
      ],
      [
        /line 1: metres/,
        await zipWith(header, entry("data/piece.jsonl", piece({ metres: "3/4" }))),
      ],
      [
        /no column “colour” here/,
        await zipWith(header, entry("data/piece.jsonl", piece({ colour: "red" }))),
      ],
      [/line 1: bars/, await zipWith(header, entry("data/piece.jsonl", piece({ bars: -4 })))],
      [
        /does not belong together.*comes twice/,
        await zipWith(
          header,
          entry("data/piece.jsonl", `${JSON.stringify(piece({}))}\n`.repeat(2)),
        ),
      ],
      [/no row/, await zipWith(header, entry("data/piece.jsonl", "not json"))],
    ];
    for (const [sentence, file] of refused) {
      expect(await bring(file)).toMatchObject({
        ok: false,
        error: expect.stringMatching(sentence),
      });
      expect(await roomRows(room.services.db, studioId)).toEqual(before);
    }
    expect(await bring(await zipWith(header, entry("data/piece.jsonl", piece({}))))).toMatchObject({
      ok: true,
    });
    expect(await bring(whole)).toMatchObject({ ok: false, error: expect.stringMatching("empty") });
  }, 30_000);
});
