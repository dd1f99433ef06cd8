import { Readable } from "node:stream";
import { finished } from "node:stream/promises";
import { ZipFile } from "yazl";
import type { ArchiveEntry } from "./entry";

/**
 * A zip of entries as a stream. The next entry is asked for when the one before is through, so
 * that no more than one is in memory; an error in any of them breaks the stream off.
 */
export function zipOf(entries: AsyncIterable<ArchiveEntry>, at: Date): ReadableStream<Uint8Array> {
  const zip = new ZipFile();
  const out = zip.outputStream as Readable;
  const write = async () => {
    for await (const { name, content, packed } of entries) {
      const stream = Readable.from(content, { objectMode: false });
      zip.addReadStream(stream, name, { mtime: at, compress: !packed });
      await finished(stream);
    }
    zip.end();
  };
  void write().catch((error: Error) => out.destroy(error));
  return Readable.toWeb(out) as ReadableStream<Uint8Array>;
}
