import { parentPort } from "node:worker_threads";
import type { ScoreRequest } from "./thread-work";
import { workHere } from "./work";

// The thread that reads files and engraves, so that neither holds up the server.
if (!parentPort) throw new Error("This file runs as a worker thread.");
const port = parentPort;
const work = workHere();

port.on("message", async ({ id, ...request }: ScoreRequest & { readonly id: number }) => {
  try {
    const value = await (request.kind === "read"
      ? work.read("", request.bytes)
      : work.engrave("", request.asked));
    port.postMessage({ id, value });
  } catch (error) {
    port.postMessage({ id, failure: error instanceof Error ? error.message : String(error) });
    // What has thrown once may be broken for good: the next music gets a new thread.
    port.close();
  }
});
