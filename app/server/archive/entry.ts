/** A file of an archive: its name with "/" between folders, and what is in it, piece by piece. */
export interface ArchiveEntry {
  readonly name: string;
  readonly content: AsyncIterable<string | Uint8Array> | Iterable<string | Uint8Array>;
  /** Images and sounds are packed already. */
  readonly packed?: boolean;
}

/** The content of a file that is read when its turn comes. */
export async function* once<T>(read: () => Promise<T>): AsyncGenerator<T> {
  yield await read();
}

const PACKED = /\.(mxl|png|jpe?g|pdf|zip)$/i;

/** Whether packing a file of this name again gains nothing. */
export const isPacked = (name: string): boolean => PACKED.test(name);
