import { readScoreFile, type ScoreFile } from "~/core/formats";
import type { Result } from "~/core/result";
import { openEngraver } from "./engrave";
import type { Engraved } from "~/core/score";
import type { EngravingAsked } from "./engraving";

/** Music that was not read or drawn: `late`: it may be asked for again; `broken`: it can't be. */
export class GaveUp extends Error {
  constructor(
    readonly why: "late" | "broken",
    message: string,
    /** What the reader itself said, for the log. */
    override readonly cause?: string,
  ) {
    super(message);
  }
}

/** What is done with music: reading files and engraving, both too heavy for the server's loop. */
export interface ScoreWork {
  /** For a room: rooms take turns. */
  read(room: string, bytes: Uint8Array): Promise<Result<ScoreFile, string>>;
  engrave(room: string, asked: EngravingAsked): Promise<Engraved>;
  close(): Promise<void>;
}

/** The work in this thread: for the worker itself, and for tests. */
export function workHere(): ScoreWork {
  let engraver: ReturnType<typeof openEngraver> | undefined;
  return {
    read: (_room, bytes) => readScoreFile(bytes),
    engrave: async (_room, asked) => (await (engraver ??= openEngraver()))(asked),
    close: () => Promise.resolve(),
  };
}
