import { createWriteStream } from "node:fs";
import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { told } from "~/features/records/told";
import { readRoomInThread } from "~/server/archive/read-in-thread";
import { appendEvents } from "~/server/cases/session/append-events";
import { openRoom } from "~/server/cases/people/open-room";
import { readRoomIn } from "~/server/cases/room/room-in";
import { roomAsZip } from "~/server/cases/room/room-out";
import { passagePart, startSession } from "~/server/cases/session/start-session";
import type { Services } from "~/server/services";
import { ms, type Figure } from "./core";
import { oneStudent, playsFrom } from "./events";

const PAUSE_MS = 100;
const MOST_EVENTS = 4000;

/** A whole room comes in while somebody of another room plays; how long their events wait. */
export async function roomInFigures(services: Services, studioId: string): Promise<Figure[]> {
  const folder = await mkdtemp(path.join(tmpdir(), "fidus-bench-in-"));
  const file = path.join(folder, "room.zip");
  const zip = roomAsZip(services, told, studioId, { withSounds: false });
  await pipeline(Readable.fromWeb(zip as never), createWriteStream(file));
  const readRoom = readRoomInThread(path.resolve("build/threads/room.js"));
  const names = { room: "Empty", teacher: "Odile", self: false, name: "", instrument: "" };
  const opened = await openRoom(services, { ...names, timeZone: "UTC" });
  if (!opened.ok) throw new Error(JSON.stringify(opened.error));
  const other = await oneStudent(services);
  const part = passagePart(other.passageId);
  const begun = await startSession(services, other.studioId, other.personId, [part]);
  if (!begun.ok) throw new Error(begun.error.sentence);

  let over = false;
  const from = performance.now();
  const reader = { id: opened.value.teacherId, name: "Odile" };
  const reading = readRoomIn({ ...services, readRoom }, opened.value.studioId, reader, file);
  const done = reading.finally(() => (over = true));
  const took: number[] = [];
  for (const event of playsFrom(Date.now() - 3_600_000, MOST_EVENTS)) {
    if (over) break;
    const at = performance.now();
    await appendEvents(services, other.studioId, begun.value.sessionId, [event]);
    took.push(performance.now() - at);
    await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
  }
  const read = await done;
  if (!read.ok) throw new Error(read.error);
  const whole = performance.now() - from;
  await rm(folder, { recursive: true });
  const sorted = took.toSorted((a, b) => a - b);
  return [
    { what: "that zip read into an empty room", value: ms(whole) },
    {
      what: `an event of somebody who plays in another room meanwhile, ${took.length} events`,
      value: `median ${ms(sorted[sorted.length >> 1]!)}, longest ${ms(sorted.at(-1)!)}`,
    },
  ];
}
