import { readScoreFile, type ScoreFile } from "~/core/formats";
import type { Result } from "~/core/result";
import { openEngraver } from "./engrave";
import type { Engraved } from "~/core/score";
import type { EngravingAsked } from "./engraving";

/** What is done with music: reading files and engraving, both too heavy for the server's loop. */
export interface ScoreWork {
  read(bytes: Uint8Array): Promise<Result<ScoreFile, string>>;
  engrave(asked: EngravingAsked): Promise<Engraved>;
  close(): Promise<void>;
}

/** The work in this thread: for the worker itself, and for tests. */
export function workHere(): ScoreWork {
  let engraver: ReturnType<typeof openEngraver> | undefined;
  return {
    read: readScoreFile,
    engrave: async (asked) => (await (engraver ??= openEngraver()))(asked),
    close: () => Promise.resolve(),
  };
}
