import { randomUUID } from "node:crypto";
import { rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { expect } from "@jest/globals";
import { LEFT_OUT } from "~/db/queries";
import { openRoom } from "../cases/people/open-room";
import { readRoomIn } from "../cases/room/room-in";
import { roomAsZip } from "../cases/room/room-out";
import type { Services } from "../services";
import { asRowsOf, roomRows } from "./room-rows";
import { UNTOLD } from "./told";

/**
 * A room goes out, comes into an empty one, and is there with the same rows; tells the room that it
 * came into and how ids of the first are written there.
 */
export async function outAndIn(services: Services, studioId: string, teacher: string) {
  const names = { room: "Empty", teacher, name: "", instrument: "" };
  const opened = await openRoom(services, { ...names, self: true, timeZone: "UTC" });
  if (!opened.ok) throw new Error(JSON.stringify(opened.error));
  const { studioId: other, teacherId } = opened.value;
  const file = path.join(tmpdir(), `fidus-out-${randomUUID()}.zip`);
  const zip = roomAsZip(services, UNTOLD, studioId, { withSounds: true });
  await writeFile(file, new Uint8Array(await new Response(zip).arrayBuffer()));
  const bring = () => readRoomIn(services, other, { id: teacherId, name: teacher }, file);
  expect(await bring()).toMatchObject({ ok: true });
  expect(await bring()).toMatchObject({ ok: false, error: expect.stringMatching("empty") });
  await rm(file);

  const was = await roomRows(services.db, studioId);
  const is = await roomRows(services.db, other);
  const { id } = JSON.parse(was.person!.find((row) => row.includes('"teacher"'))!) as {
    id: string;
  };
  const known = new Map([
    [studioId, other],
    [id, teacherId],
  ]);
  expect(Object.keys(is)).toEqual(Object.keys(was));
  for (const [table, rows] of Object.entries(was)) {
    // What never goes out with a room stays where it is.
    expect(is[table]).toEqual(table in LEFT_OUT ? [] : asRowsOf(rows, other, known));
  }
  return { studioId: other, known };
}
