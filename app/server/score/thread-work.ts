import { Worker } from "node:worker_threads";
import * as v from "valibot";
import { err } from "~/core/result";
import type { Engraved } from "~/core/score";
import type { EngravingAsked } from "./engraving";
import type { ScoreWork } from "./work";

export type ScoreRequest =
  | { readonly kind: "read"; readonly bytes: Uint8Array }
  | { readonly kind: "engrave"; readonly asked: EngravingAsked };

const READ_MS = 15_000;
const ENGRAVE_MS = 20_000;
const MOST_MEGABYTES = 400;

const replySchema = v.object({
  id: v.number(),
  value: v.optional(v.unknown()),
  failure: v.optional(v.string()),
});

const TOO_LONG = "It takes too long to read; Fidus has given up.";
const BROKEN = "It can't be read: the reader gave up on it.";

/** A thread and whoever waits for it at this moment. */
class ScoreThread {
  private readonly worker: Worker;
  private waiting: { resolve(value: unknown): void; reject(failure: Error): void } | undefined;
  private lastId = 0;
  dead = false;

  constructor(file: string) {
    this.worker = new Worker(file, { resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES } });
    this.worker.on("message", (message: unknown) => {
      const { id, value, failure } = v.parse(replySchema, message);
      if (id !== this.lastId) return;
      if (failure !== undefined) return this.end(failure);
      this.waiting?.resolve(value);
      this.waiting = undefined;
    });
    this.worker.on("error", (error) => this.end(error.message));
    this.worker.on("exit", () => this.end(BROKEN));
  }

  ask(request: ScoreRequest, limit: number): Promise<unknown> {
    const timer = setTimeout(() => this.end(TOO_LONG), limit);
    const answer = new Promise((resolve, reject) => {
      this.waiting = { resolve, reject };
      this.worker.postMessage({ id: ++this.lastId, ...request });
    });
    return answer.finally(() => clearTimeout(timer));
  }

  end(why: string): void {
    this.dead = true;
    this.waiting?.reject(new Error(why));
    this.waiting = undefined;
    void this.worker.terminate();
  }
}

/** One request after the other in a thread, which is replaced when it takes too long or breaks. */
export function workInThread(file: string): ScoreWork {
  let thread: ScoreThread | undefined;
  let queue: Promise<unknown> = Promise.resolve();
  const inTurn = <T>(request: ScoreRequest, limit: number): Promise<T> => {
    const turn = queue.then(() => {
      if (!thread || thread.dead) thread = new ScoreThread(file);
      return thread.ask(request, limit);
    });
    queue = turn.catch(() => undefined);
    return turn as Promise<T>;
  };
  return {
    read: (bytes) =>
      inTurn<Awaited<ReturnType<ScoreWork["read"]>>>({ kind: "read", bytes }, READ_MS).catch(
        (error: Error) => err(error.message === TOO_LONG ? TOO_LONG : BROKEN),
      ),
    engrave: (asked) => inTurn<Engraved>({ kind: "engrave", asked }, ENGRAVE_MS),
    close: () => {
      thread?.end(BROKEN);
      return Promise.resolve();
    },
  };
}
