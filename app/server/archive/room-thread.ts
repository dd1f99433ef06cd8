import { parentPort, workerData } from "node:worker_threads";
import { Damaged } from "./read";
import { Unreadable } from "./room-file";
import { readRoom, type RoomPart, type RoomReadingAsked } from "./room-reading";

/** What the thread says; after each part it waits until the next is asked for. */
export type RoomThreadSays =
  | { readonly says: "part"; readonly part: RoomPart }
  | { readonly says: "end" }
  | { readonly says: "refused"; readonly sentence: string }
  | { readonly says: "failed"; readonly message: string; readonly code?: string };

const port = parentPort;
if (!port) throw new Error("This file runs as a worker thread.");
const say = (message: RoomThreadSays) => port.postMessage(message);
const parts = readRoom(workerData as RoomReadingAsked);

async function next(): Promise<RoomThreadSays> {
  try {
    const { done, value } = await parts.next();
    return done ? { says: "end" } : { says: "part", part: value };
  } catch (error) {
    if (error instanceof Unreadable) return { says: "refused", sentence: error.message };
    if (error instanceof Damaged) return { says: "refused", sentence: "It is damaged." };
    const { stack, message, code } = error as NodeJS.ErrnoException;
    return { says: "failed", message: stack ?? message, ...(code ? { code } : {}) };
  }
}

port.on("message", () => void next().then(say));
