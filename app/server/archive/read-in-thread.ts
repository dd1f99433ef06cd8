import { Worker } from "node:worker_threads";
import * as v from "valibot";
import { Unreadable } from "./room-file";
import { readRoom, type RoomPart, type RoomReadingAsked } from "./room-reading";

/** Reads the file of a room in parts. */
export type ReadRoom = (asked: RoomReadingAsked) => AsyncIterable<RoomPart>;

/** A room with many years in it takes some; a file that was made to takes more. */
const MOST_MEGABYTES = 800;

const saysSchema = v.variant("says", [
  // A part is made by our own reader, which has checked what is in it.
  v.object({
    says: v.literal("part"),
    part: v.custom<RoomPart>((part) => typeof part === "object"),
  }),
  v.object({ says: v.literal("end") }),
  v.object({ says: v.literal("refused"), sentence: v.string() }),
  v.object({ says: v.literal("failed"), message: v.string(), code: v.optional(v.string()) }),
]);

async function* inThread(file: string, asked: RoomReadingAsked): AsyncGenerator<RoomPart> {
  const worker = new Worker(file, {
    workerData: asked,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
  });
  let settle: { resolve(said: unknown): void; reject(why: Error): void } | undefined;
  worker.on("message", (said) => settle?.resolve(said));
  // Out of memory, for the most part: the file swells in a way that no room does.
  const died = () => settle?.reject(new Unreadable("It is more than a room can be."));
  worker.on("error", died);
  worker.on("exit", died);
  try {
    for (;;) {
      const answer = new Promise((resolve, reject) => (settle = { resolve, reject }));
      worker.postMessage("next");
      const said = v.parse(saysSchema, await answer);
      if (said.says === "end") return;
      if (said.says === "refused") throw new Unreadable(said.sentence);
      if (said.says === "failed") {
        throw Object.assign(new Error(said.message), { code: said.code });
      }
      yield said.part;
    }
  } finally {
    settle = undefined;
    await worker.terminate();
  }
}

/** Reads in a thread of its own for each file, so that no page waits while a file is taken apart. */
export const readRoomInThread =
  (file: string): ReadRoom =>
  (asked) =>
    inThread(file, asked);

/** Reads here: for what has no threads, like a test. */
export const readRoomHere: ReadRoom = readRoom;
