import { Worker } from "node:worker_threads";
import * as v from "valibot";
import { Turns } from "./score/turns";

/** Draws a document for a room, as PDF: its fonts alone would keep everybody waiting. */
export type Print = (room: string, drawing: unknown) => Promise<Uint8Array>;

/** More at once would only take longer, each of them. */
const THREADS = 2;
const MOST_MEGABYTES = 400;

const pdfSchema = v.instance(Uint8Array);

function inThread(file: string, drawing: unknown): Promise<Uint8Array> {
  const worker = new Worker(file, {
    workerData: drawing,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
  });
  return new Promise((resolve, reject) => {
    worker.once("message", (pdf) => resolve(v.parse(pdfSchema, pdf)));
    worker.once("error", reject);
    worker.once("exit", () => reject(new Error("The thread ended without a document.")));
  });
}

/** Draws in a thread for each document, rooms taking turns. */
export function printInThreads(file: string): Print {
  const turns = new Turns(THREADS);
  return (room, drawing) => turns.take(room, () => inThread(file, drawing));
}
