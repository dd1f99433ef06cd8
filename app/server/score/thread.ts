import { parentPort } from "node:worker_threads";
import type { ScoreRequest } from "./thread-work";
import { workHere } from "./work";

// The thread that reads files and engraves, so that neither holds up the server.
if (!parentPort) throw new Error("This file runs as a worker thread.");
const port = parentPort;
const work = workHere();

function done(request: ScoreRequest): Promise<unknown> {
  switch (request.kind) {
    case "read":
      return work.read("", request.bytes);
    case "engrave":
      return work.engrave("", request.asked);
    case "sound":
      return work.sound("", request.source);
    case "picture":
      return work.picture("", request.bytes);
  }
}

port.on("message", async ({ id, ...request }: ScoreRequest & { readonly id: number }) => {
  try {
    const value = await done(request);
    port.postMessage({ id, value });
  } catch (error) {
    port.postMessage({ id, failure: error instanceof Error ? error.message : String(error) });
    // What has thrown once may be broken for good: the next music gets a new thread.
    port.close();
  }
});
