import path from "node:path";
import { Worker } from "node:worker_threads";
import * as v from "valibot";
import type { Engine, EngineResult, SqlFailure } from "./engine";

interface Waiting {
  resolve(value: never): void;
  reject(failure: SqlFailure): void;
}

const replySchema = v.union([
  v.object({ opened: v.literal(true) }),
  v.object({
    id: v.number(),
    failure: v.object({
      message: v.string(),
      code: v.optional(v.string()),
      constraint: v.optional(v.string()),
    }),
  }),
  // What a query gives is read row by row by whoever asked.
  v.object({ id: v.number(), value: v.optional(v.unknown()) }),
]);

type Request =
  | { kind: "query"; sql: string; params: unknown[] }
  | { kind: "script"; sql: string }
  | { kind: "close" };

/** Opens PGlite on a directory in a worker thread, from a dump when the directory is new. */
export async function openThreadEngine(options: {
  readonly dataDir: string;
  readonly dumpFile: string | undefined;
  readonly clientFolder: string;
  /** The thread has ended without having been asked to: nothing will be answered any more. */
  readonly onDeath?: (why: string) => void;
}): Promise<Engine> {
  const { dataDir, dumpFile, clientFolder, onDeath = () => undefined } = options;
  const worker = new Worker(path.join(clientFolder, "pglite-thread.mjs"), {
    workerData: { dataDir, dumpFile },
  });
  const waiting = new Map<number, Waiting>();
  let lastId = 0;

  await new Promise<void>((resolve, reject) => {
    worker.once("message", () => resolve());
    worker.once("error", reject);
  });
  worker.on("message", (message: unknown) => {
    const reply = v.parse(replySchema, message);
    if (!("id" in reply)) return;
    const waiter = waiting.get(reply.id);
    waiting.delete(reply.id);
    if ("failure" in reply) waiter?.reject(reply.failure);
    else waiter?.resolve(reply.value as never);
  });
  let dead: string | undefined;
  let closing = false;
  const die = (why: string) => {
    if (dead !== undefined) return;
    dead = `The database has stopped: ${why}`;
    for (const { reject } of waiting.values()) reject({ message: dead });
    waiting.clear();
    if (!closing) onDeath(dead);
  };
  worker.on("error", (error) => die(error.message));
  worker.on("exit", (code) => die(`its thread ended with ${code}.`));

  const ask = <T>(request: Request): Promise<T> =>
    new Promise<T>((resolve, reject) => {
      if (dead !== undefined) return reject({ message: dead });
      const id = ++lastId;
      waiting.set(id, { resolve, reject });
      worker.postMessage({ id, ...request });
    });
  return {
    query: (sql, params) => ask<EngineResult>({ kind: "query", sql, params: [...params] }),
    script: (sql) => ask<undefined>({ kind: "script", sql }),
    close: () => {
      closing = true;
      return dead === undefined ? ask<undefined>({ kind: "close" }) : Promise.resolve(undefined);
    },
  };
}
