import { Worker } from "node:worker_threads";
import * as v from "valibot";
import { err } from "~/core/result";
import type { Engraved } from "~/core/score";
import type { EngravingAsked } from "./engraving";
import type { SoundKind } from "../takes/sound-kind";
import type { SoundSource } from "./open-sound";
import { Turns } from "./turns";
import { GaveUp, type ScoreWork } from "./work";

export type ScoreRequest =
  | { readonly kind: "read"; readonly bytes: Uint8Array }
  | { readonly kind: "sound"; readonly source: SoundSource }
  | { readonly kind: "picture"; readonly bytes: Uint8Array }
  | { readonly kind: "engrave"; readonly asked: EngravingAsked };

const READ_MS = 15_000;
const OPEN_MS = 10_000;
const ENGRAVE_MS = 20_000;
const MOST_MEGABYTES = 400;

const replySchema = v.object({
  id: v.number(),
  value: v.optional(v.unknown()),
  failure: v.optional(v.string()),
});

const TOO_LONG = "This music takes too long just now. Try again in a minute.";
const BROKEN = "This music can't be read.";

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
      if (failure !== undefined) return this.end(new GaveUp("broken", BROKEN, failure));
      this.waiting?.resolve(value);
      this.waiting = undefined;
    });
    this.worker.on("error", (error) => this.end(new GaveUp("broken", BROKEN, error.message)));
    this.worker.on("exit", () => this.end(new GaveUp("broken", BROKEN)));
  }

  ask(request: ScoreRequest, limit: number): Promise<unknown> {
    const timer = setTimeout(() => this.end(new GaveUp("late", TOO_LONG)), limit);
    const answer = new Promise((resolve, reject) => {
      this.waiting = { resolve, reject };
      this.worker.postMessage({ id: ++this.lastId, ...request });
    });
    return answer.finally(() => clearTimeout(timer));
  }

  end(why: Error): void {
    if (this.dead) return;
    this.dead = true;
    this.waiting?.reject(why);
    this.waiting = undefined;
    void this.worker.terminate();
  }
}

/** Two, so that somebody's heavy file leaves room for another's small one. */
const THREADS = 2;

/**
 * Music is read and engraved in a few threads, rooms taking turns; a thread is replaced when it takes
 * too long or breaks.
 */
export function workInThreads(file: string): ScoreWork {
  const turns = new Turns(THREADS);
  const idle: ScoreThread[] = [];
  const all = new Set<ScoreThread>();
  const inTurn = <T>(room: string, request: ScoreRequest, limit: number): Promise<T> =>
    turns.take(room, async () => {
      const thread = idle.pop() ?? new ScoreThread(file);
      all.add(thread);
      try {
        return (await thread.ask(request, limit)) as T;
      } finally {
        if (thread.dead) all.delete(thread);
        else idle.push(thread);
      }
    });
  return {
    read: (room, bytes) =>
      inTurn<Awaited<ReturnType<ScoreWork["read"]>>>(room, { kind: "read", bytes }, READ_MS).catch(
        (error: Error) => err(error instanceof GaveUp ? error.message : BROKEN),
      ),
    sound: (room, source) =>
      inTurn<SoundKind | undefined>(room, { kind: "sound", source }, OPEN_MS),
    picture: (room, bytes) => inTurn<boolean>(room, { kind: "picture", bytes }, OPEN_MS),
    engrave: (room, asked) => inTurn<Engraved>(room, { kind: "engrave", asked }, ENGRAVE_MS),
    close: () => {
      for (const thread of all) thread.end(new GaveUp("broken", BROKEN));
      return Promise.resolve();
    },
  };
}
