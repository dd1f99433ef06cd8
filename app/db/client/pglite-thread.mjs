// The thread that holds PGlite, so that no query blocks the server's event loop.
// @ts-check
import { readFile } from "node:fs/promises";
import { parentPort, workerData } from "node:worker_threads";
import { openPglite } from "./pglite.mjs";

if (!parentPort) throw new Error("This file runs as a worker thread.");
const port = parentPort;
const { dataDir, dumpFile } = workerData;

const engine = await openPglite({
  dataDir,
  ...(dumpFile ? { dump: new Blob([await readFile(dumpFile)]) } : {}),
});
port.postMessage({ opened: true });

/** @param {any} request */
async function answer(request) {
  switch (request.kind) {
    case "query":
      return engine.query(request.sql, request.params);
    case "script":
      return engine.script(request.sql);
    default:
      await engine.close();
      return undefined;
  }
}

port.on("message", async (request) => {
  try {
    port.postMessage({ id: request.id, value: await answer(request) });
  } catch (error) {
    const { message, code, constraint } = /** @type {any} */ (error);
    port.postMessage({ id: request.id, failure: { message, code, constraint } });
  }
  if (request.kind === "close") port.close();
});
