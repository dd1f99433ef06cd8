import { readFileSync } from "node:fs";
import { mkdtemp, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { createHash, randomUUID } from "node:crypto";
import { afterAll, beforeAll, describe, expect, test } from "@jest/globals";
import { roomTable, ROOM_TABLE_NAMES, roomShapes, type RoomTableName } from "~/db/queries";
import { Archive } from "../../archive/read";
import { dataFile, soundFile } from "../../archive/room-file";
import { zipOf } from "../../archive/write";
import { EventWriter, furnishedRoom, NOON } from "../../test/room";
import { roomRows } from "../../test/room-rows";
import { aWav } from "../../test/sounds";
import { UNTOLD } from "../../test/told";
import { appendEvents } from "../session/append-events";
import { openRoom } from "../people/open-room";
import { openLeftRooms, readRoomIn } from "./room-in";
import { roomAsZip } from "./room-out";

type Row = Record<string, unknown>;
type Files = Record<string, string | Uint8Array>;

let folder: string;
let room: Awaited<ReturnType<typeof furnishedRoom>>;
/** What a room with everything in it goes out as, file by file. */
let files: Files;

beforeAll(async () => {
  folder = await mkdtemp(path.join(tmpdir(), "fidus-hostile-"));
  room = await furnishedRoom({ alone: true });
  const { sessionId } = await room.begin();
  const stand = new EventWriter(NOON);
  stand.write("opened");
  stand.plays(60, "ccfcc", 6);
  stand.write("asked", { text: "Which finger?" });
  stand.write("ended", { how: "finished" });
  await appendEvents(room.services, room.studioId, sessionId, stand.events);
  files = await filesOf(room.studioId);
}, 60_000);
afterAll(async () => {
  await room.services.db.close();
  await rm(folder, { recursive: true });
});

async function filesOf(studioId: string, withSounds = false): Promise<Files> {
  const file = path.join(folder, `${randomUUID()}.zip`);
  const zip = roomAsZip(room.services, UNTOLD, studioId, { withSounds });
  await writeFile(file, new Uint8Array(await new Response(zip).arrayBuffer()));
  const opened = await Archive.open(file);
  if (!opened.ok) throw new Error(opened.error);
  const found: Files = {};
  for (const name of opened.value.names()) {
    const bytes = await opened.value.bytes(name);
    found[name] = name.startsWith("sounds/") ? bytes : bytes.toString("utf8");
  }
  opened.value.close();
  return found;
}

async function zipped(all: Files): Promise<string> {
  const entries = async function* () {
    for (const [name, content] of Object.entries(all)) {
      yield await Promise.resolve({ name, content: [content] });
    }
  };
  const file = path.join(folder, `${randomUUID()}.zip`);
  const zip = zipOf(entries(), new Date(NOON));
  await writeFile(file, new Uint8Array(await new Response(zip).arrayBuffer()));
  return file;
}

const rowsOf = (all: Files, table: RoomTableName): Row[] =>
  String(all[dataFile(table)])
    .split("\n")
    .filter(Boolean)
    .map((line) => JSON.parse(line) as Row);

/** The same files with the first row of a table changed. */
const changed = (table: RoomTableName, change: Row): Files => {
  const [first, ...others] = rowsOf(files, table);
  const lines = [{ ...first, ...change }, ...others].map((row) => JSON.stringify(row));
  return { ...files, [dataFile(table)]: lines.join("\n") };
};

async function emptyRoom() {
  const names = { room: "Empty", teacher: "Odile", name: "", instrument: "" };
  const opened = await openRoom(room.services, { ...names, self: false, timeZone: "UTC" });
  if (!opened.ok) throw new Error(JSON.stringify(opened.error));
  const { studioId, teacherId } = opened.value;
  const reader = { id: teacherId, name: "Odile" };
  const bring = async (all: Files) =>
    readRoomIn(room.services, studioId, reader, await zipped(all));
  return { studioId, teacherId, bring };
}

const ID = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g;
/** Forms in which PostgreSQL reads an id as well. */
const ODD_FORMS: readonly ((id: string) => string)[] = [
  (id) => id.toUpperCase(),
  (id) => `{${id}}`,
  (id) => id.replaceAll("-", ""),
];

describe("a file from a stranger", () => {
  test("reaches no row of another room by ids with escapes in them", async () => {
    const before = await roomRows(room.services.db, room.studioId);
    const { studioId, bring } = await emptyRoom();
    const escaped = Object.entries(files).map(([name, content]) => [
      name,
      name.startsWith("data/")
        ? String(content).replace(ID, (id) => id.replaceAll("-", "\\u002d"))
        : content,
    ]);
    expect(await bring(Object.fromEntries(escaped) as Files)).toMatchObject({ ok: true });
    const is = JSON.stringify(await roomRows(room.services.db, studioId));
    for (const id of String(files[dataFile("person")]).match(ID)!) expect(is).not.toContain(id);
    expect(await roomRows(room.services.db, room.studioId)).toEqual(before);
  });

  test("reaches no row of another room by ids in other forms, in any table", async () => {
    const before = await roomRows(room.services.db, room.studioId);
    const { studioId, bring } = await emptyRoom();
    const empty = await roomRows(room.services.db, studioId);
    for (const name of ROOM_TABLE_NAMES) {
      if (!files[dataFile(name)]) continue;
      for (const form of ODD_FORMS) {
        const lines = String(files[dataFile(name)]).replace(ID, form);
        expect(await bring({ ...files, [dataFile(name)]: lines })).toMatchObject({
          ok: false,
          error: expect.stringMatching(/another room|no id/),
        });
      }
    }
    expect(await roomRows(room.services.db, studioId)).toEqual(empty);
    expect(await roomRows(room.services.db, room.studioId)).toEqual(before);
  }, 120_000);

  test("can't name another room as its own, nor rows of it as there", async () => {
    const before = await roomRows(room.services.db, room.studioId);
    const shapes = await roomShapes(room.services.db);
    for (const name of ROOM_TABLE_NAMES) {
      const [row] = rowsOf(files, name);
      if (!row) continue;
      const { references } = shapes[name];
      for (const { columns } of references) {
        const column = columns.find((each) => each !== "studio_id" && row[each]);
        if (column === undefined) continue;
        const { bring } = await emptyRoom();
        expect(await bring(changed(name, { [column]: randomUUID() }))).toMatchObject({
          ok: false,
          error: expect.stringContaining(`${dataFile(name)}, line`),
        });
      }
      if (roomTable(name).of.by !== "paper_id" && name !== "studio") {
        const { bring } = await emptyRoom();
        expect(await bring(changed(name, { studio_id: randomUUID() }))).toMatchObject({
          error: expect.stringContaining("another room"),
        });
      }
    }
    expect(await roomRows(room.services.db, room.studioId)).toEqual(before);
  }, 120_000);

  test.each<[RoomTableName, Row, RegExp]>([
    ["studio", { time_zone: "No/Where" }, /time_zone: no time zone/],
    ["studio", { name: "a\0b" }, /name: a character that can't be kept/],
    ["studio", { demo: true }, /no column “demo” here/],
    ["studio", { counted_by: 8 }, /no column “counted_by” here/],
    ["person", { password_hash: "x" }, /no column “password_hash” here/],
    ["person", { role: "owner" }, /role: This can't be read/],
    ["person", { name: "x".repeat(5000) }, /name: Keep it under 120/],
    ["person", { times: { windows: [], lesson: "soon" } }, /times/],
    ["piece", { bars: 1e9 }, /bars/],
    ["piece", { mark_bpm: 9999 }, /9999 bpm is outside/],
    ["piece", { created_at: "10000-01-01T00:00:00Z" }, /created_at: no moment/],
    ["piece", { pickup_beats: 9 }, /don't go together/],
    ["passage", { to_bar: 99 }, /fewer bars/],
    ["session_event", { at: "0001-01-01T00:00:00Z" }, /at: no moment/],
    ["session_event", { kind: "won" }, /event/],
    ["session_event", { seq: 1.5 }, /seq: no whole number/],
  ])("%s with %j is refused with its place, and leaves nothing", async (table, change, why) => {
    const { studioId, bring } = await emptyRoom();
    const before = await roomRows(room.services.db, studioId);
    const read = await bring(changed(table, change));
    expect(read).toMatchObject({ ok: false, error: expect.stringMatching(why) });
    expect(await roomRows(room.services.db, studioId)).toEqual(before);
    expect(await bring(files)).toMatchObject({ ok: true });
  });

  test("a counting that is not ours is done again before the room opens", async () => {
    const header = { ...JSON.parse(String(files["room.json"])), counting: 1 };
    const { studioId, bring } = await emptyRoom();
    expect(await bring({ ...files, "room.json": JSON.stringify(header) })).toMatchObject({
      ok: true,
    });
    const { rep, question } = await roomRows(room.services.db, studioId);
    expect([rep!.length, question!.length]).toEqual([5, 1]);
  });

  test("what has no place in a room is named", async () => {
    const { bring } = await emptyRoom();
    expect(await bring({ ...files, "data/access.jsonl": "{}" })).toEqual({
      ok: false,
      error: "data/access.jsonl is in it, which is nothing of a room's.",
    });
  });

  test("with a session under the first rules is left to the version that played it", async () => {
    const { studioId, bring } = await emptyRoom();
    const plan = rowsOf(files, "session")[0]!["plan"] as Row;
    expect(await bring(changed("session", { plan: { ...plan, rules: 1 } }))).toEqual({
      ok: false,
      error: "Made by 0.1.0, which still opens it.",
    });
    expect((await roomRows(room.services.db, studioId)).session).toEqual([]);
  });

  test("two at once into the same room: one comes in whole, one is told to wait", async () => {
    const { studioId, bring } = await emptyRoom();
    const both = await Promise.all([bring(files), bring(files)]);
    expect(both.filter(({ ok }) => ok)).toHaveLength(1);
    expect(both.find(({ ok }) => !ok)).toMatchObject({
      error: expect.stringMatching(/already|empty/),
    });
    expect((await roomRows(room.services.db, studioId)).rep).toHaveLength(5);
  });

  test("a reading that was cut off is taken out once its lease is over, and only then", async () => {
    const { studioId, teacherId } = await emptyRoom();
    const before = await roomRows(room.services.db, studioId);
    const { services } = room;
    const never = { ...services, readRoom: cutOff };
    const reader = { id: teacherId, name: "Odile" };
    void readRoomIn(never, studioId, reader, await zipped(files));
    await reached;
    const half = await roomRows(services.db, studioId);
    expect(half.person!.length).toBeGreaterThan(1);
    await openLeftRooms(services);
    expect(await roomRows(services.db, studioId)).toEqual(half);
    await openLeftRooms({ ...services, now: () => services.now() + 3_600_000 });
    expect(await roomRows(services.db, studioId)).toEqual(before);
    expect(await readRoomIn(services, studioId, reader, await zipped(files))).toMatchObject({
      ok: true,
    });
  });
});

test("counting again takes longer than a lease: it is renewed on the way", async () => {
  const { studioId, teacherId } = await emptyRoom();
  const { services } = room;
  const header = JSON.parse(String(files["room.json"])) as Row;
  const older = { ...files, "room.json": JSON.stringify({ ...header, counting: 0 }) };
  let read = false;
  let asked = 0;
  const later = (times: number) => services.now() + times * 110_000;
  const readRoom: typeof services.readRoom = async function* (given) {
    yield* services.readRoom(given);
    read = true;
  };
  const now = () => {
    if (!read) return services.now();
    // Whoever looks for what was left finds nothing of this one.
    if (++asked === 2) void openLeftRooms({ ...services, now: () => later(2) });
    return later(asked);
  };
  const reader = { id: teacherId, name: "Odile" };
  const slow = { ...services, readRoom, now };
  expect(await readRoomIn(slow, studioId, reader, await zipped(older))).toMatchObject({ ok: true });
  expect(asked).toBeGreaterThanOrEqual(2);
  expect((await roomRows(services.db, studioId)).rep).toHaveLength(5);
});

let reach: () => void;
const reached = new Promise<void>((resolve) => (reach = resolve));
/** Reads the first tables, then nothing any more. */
async function* cutOff(asked: Parameters<typeof room.services.readRoom>[0]) {
  for await (const part of room.services.readRoom(asked)) {
    if (part.kind === "rows" && part.table === "session_event") {
      reach();
      await new Promise(() => undefined);
    }
    yield part;
  }
}

describe("a page in a room's file", () => {
  const PAGE = readFileSync("demo/tunes/rolled-tenths-page-1.png");
  const withPage = (bytes: Uint8Array): Files => {
    const paper = randomUUID();
    const of = { id: paper, studio_id: room.studioId, piece_id: room.pieceId };
    const layout: never[] = [];
    const page = { paper_id: paper, number: 1, width: 60, height: 80 };
    return {
      ...files,
      [dataFile("paper")]: JSON.stringify({ ...of, layout, added_at: "2026-05-04T12:00:00Z" }),
      [dataFile("paper_page")]: JSON.stringify({
        ...page,
        media_type: "image/png",
        image: "originals/page 1.png",
      }),
      "originals/page 1.png": bytes,
    };
  };

  test("comes in when it opens as a picture; cut short it is refused with its name", async () => {
    const whole = await emptyRoom();
    expect(await whole.bring(withPage(PAGE))).toMatchObject({ ok: true });
    const cut = await emptyRoom();
    expect(await cut.bring(withPage(PAGE.subarray(0, PAGE.length / 2)))).toEqual({
      ok: false,
      error:
        "data/paper_page.jsonl, line 1: originals/page 1.png is a picture that can't be opened.",
    });
    expect((await roomRows(room.services.db, cut.studioId)).paper).toEqual([]);
  });
});

describe("sounds in a room's file", () => {
  const SOUND = aWav();
  const hash = createHash("sha256").update(SOUND).digest("hex");
  const demonstration = (change: Row = {}): Row => ({
    id: randomUUID(),
    studio_id: room.studioId,
    piece_id: room.pieceId,
    name: "Slow",
    bytes: SOUND.length,
    hash,
    media_type: "audio/wav",
    places: [],
    made_at: "2026-05-04T12:00:00Z",
    ...change,
  });
  const withOne = (row: Row, sounds: Files = {}): Files => ({
    ...files,
    [dataFile("demonstration")]: JSON.stringify(row),
    ...sounds,
  });
  const kept = async (studioId: string) => {
    const rows = (await roomRows(room.services.db, studioId)).demonstration!;
    return (JSON.parse(rows[0]!) as Row).hash as string;
  };

  test("come in with their bytes, and go out again", async () => {
    const { studioId, bring } = await emptyRoom();
    const read = await bring(withOne(demonstration(), { [soundFile(hash)]: SOUND }));
    expect(read).toMatchObject({ ok: true });
    expect(await kept(studioId)).toBe(hash);
    expect((await filesOf(studioId, true))[soundFile(hash)]).toEqual(SOUND);
    expect(Object.keys(await filesOf(studioId))).not.toContain(soundFile(hash));
  });

  test("a hash without its bytes never reaches a sound that is here already", async () => {
    await room.services.takes.keepWhole(randomUUID(), SOUND);
    const { studioId, bring } = await emptyRoom();
    expect(await bring(withOne(demonstration()))).toMatchObject({ ok: true });
    expect(await kept(studioId)).not.toBe(hash);
    expect(await room.services.takes.read(await kept(studioId))).toBeUndefined();
  });

  test.each<[string, Row, Buffer]>([
    ["other bytes", {}, aWav()],
    ["another length", {}, SOUND.subarray(1)],
    ["a page in place of a sound", { media_type: "text/html" }, SOUND],
    ["another kind", { media_type: "audio/ogg" }, SOUND],
    ["no hash", { hash: "secret" }, SOUND],
  ])("%s: refused, and nothing is left", async (_, change, bytes) => {
    const { studioId, bring } = await emptyRoom();
    const row = demonstration(change);
    const read = await bring(withOne(row, { [soundFile(String(row.hash))]: bytes }));
    expect(read.ok).toBe(false);
    expect((await roomRows(room.services.db, studioId)).piece).toEqual([]);
  });

  test("a sound that the sweep has taken is left out of an export, not broken off", async () => {
    const { studioId, bring } = await emptyRoom();
    await bring(withOne(demonstration(), { [soundFile(hash)]: SOUND }));
    await room.services.takes.forget(hash);
    expect(Object.keys(await filesOf(studioId, true))).toContain("room.json");
  });
});
