import type { Services } from "../services";

/** A file of an archive: its name with "/" between folders, and what is in it, piece by piece. */
export interface ArchiveEntry {
  readonly name: string;
  readonly content: AsyncIterable<string | Uint8Array> | Iterable<string | Uint8Array>;
  /** Images and sounds are packed already. */
  readonly packed?: boolean;
}

/** A sound that is kept beside the database. */
export interface KeptSound {
  readonly hash: string;
  readonly media_type: string;
}

/** Sounds as files of an archive, each once; one whose file is missing is left out. */
export async function* soundsOf<T extends KeptSound>(
  { takes }: Pick<Services, "takes">,
  sounds: readonly T[],
  nameOf: (sound: T) => string,
): AsyncGenerator<ArchiveEntry> {
  for (const sound of sounds) {
    const found = await takes.read(sound.hash);
    if (found) yield { name: nameOf(sound), content: found.stream, packed: true };
  }
}

/** The content of a file that is read when its turn comes. */
export async function* once<T>(read: () => Promise<T>): AsyncGenerator<T> {
  yield await read();
}

const PACKED = /\.(mxl|png|jpe?g|pdf|zip)$/i;

/** Whether packing a file of this name again gains nothing. */
export const isPacked = (name: string): boolean => PACKED.test(name);
