import { readScoreFile, type ScoreFile } from "~/core/formats";
import type { Result } from "~/core/result";
import { openEngraver } from "./engrave";
import type { Engraved } from "~/core/score";
import type { SoundKind } from "../takes/sound-kind";
import type { EngravingAsked } from "./engraving";
import { opensAsPicture } from "./open-picture";
import { openSound, type SoundSource } from "./open-sound";

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

/**
 * What is done with music, sounds and pictures: reading, opening and engraving, all too heavy for the
 * server's loop, and nothing to be trusted with it.
 */
export interface ScoreWork {
  /** For a room: rooms take turns. */
  read(room: string, bytes: Uint8Array): Promise<Result<ScoreFile, string>>;
  engrave(room: string, asked: EngravingAsked): Promise<Engraved>;
  /** The kind of a sound that can be opened, or undefined where it is none. */
  sound(room: string, source: SoundSource): Promise<SoundKind | undefined>;
  /** Whether a picture can be unpacked. */
  picture(room: string, bytes: Uint8Array): Promise<boolean>;
  close(): Promise<void>;
}

/** The work in this thread: for the worker itself, and for tests. */
export function workHere(): ScoreWork {
  let engraver: ReturnType<typeof openEngraver> | undefined;
  return {
    read: (_room, bytes) => readScoreFile(bytes),
    sound: (_room, source) => openSound(source),
    picture: (_room, bytes) => opensAsPicture(bytes),
    engrave: async (_room, asked) => (await (engraver ??= openEngraver()))(asked),
    close: () => Promise.resolve(),
  };
}
