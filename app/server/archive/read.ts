import { open, type Entry, type ZipFile } from "yauzl";
import { err, ok, type Result } from "~/core/result";

const MOST_ENTRIES = 100_000;
/** Unpacked, a room with many years in it; and the largest file that it may hold. */
const MOST_UNPACKED = 4_000_000_000;
const MOST_ENTRY = 1_000_000_000;
/** Text packs to a hundredth, a bomb to a thousandth. */
const MOST_RATIO = 600;
const SMALL_ENOUGH = 1_000_000;
/** A score of 40 MB and its notes are shorter. */
const LONGEST_LINE = 100_000_000;

/** What is in a zip can't be unpacked: it was changed or cut off on its way. */
export class Damaged extends Error {}

/** A zip on the disk, of which entries are read by name; nothing of it is ever written out. */
export class Archive {
  private constructor(
    private readonly zip: ZipFile,
    private readonly entries: ReadonlyMap<string, Entry>,
  ) {}

  /** Opens a file; a sentence where it is none, breaks off, or unpacks to more than it may. */
  static async open(path: string): Promise<Result<Archive, string>> {
    const zip = await new Promise<ZipFile | undefined>((resolve) =>
      open(path, { lazyEntries: true, autoClose: false }, (failure, opened) =>
        resolve(failure ? undefined : opened),
      ),
    );
    if (!zip) return err("This is no zip, or it breaks off.");
    const listed = await entriesOf(zip);
    if (!listed.ok) {
      zip.close();
      return listed;
    }
    return ok(new Archive(zip, new Map(listed.value.map((entry) => [entry.fileName, entry]))));
  }

  /** How large an entry is unpacked; undefined where there is none. */
  size(name: string): number | undefined {
    return this.entries.get(name)?.uncompressedSize;
  }

  /** The names of the files in it. */
  names(): readonly string[] {
    return [...this.entries.keys()];
  }

  /** What is in an entry, chunk by chunk; throws {@link Damaged}. */
  async *chunks(name: string): AsyncGenerator<Buffer> {
    const entry = this.entries.get(name);
    if (!entry) return;
    const stream = await new Promise<NodeJS.ReadableStream>((resolve, reject) =>
      this.zip.openReadStream(entry, (failure, opened) =>
        failure ? reject(new Damaged(failure.message)) : resolve(opened),
      ),
    );
    const chunks = stream[Symbol.asyncIterator]();
    for (;;) {
      const next = await chunks.next().catch(({ message }: Error) => {
        throw new Damaged(message);
      });
      if (next.done) return;
      yield next.value as Buffer;
    }
  }

  async bytes(name: string): Promise<Buffer> {
    const chunks: Buffer[] = [];
    for await (const chunk of this.chunks(name)) chunks.push(chunk);
    return Buffer.concat(chunks);
  }

  /** The lines of a text, without empty ones. */
  async *lines(name: string): AsyncGenerator<string> {
    const decoder = new TextDecoder();
    let open = "";
    for await (const chunk of this.chunks(name)) {
      const [first, ...others] = decoder.decode(chunk, { stream: true }).split("\n");
      open += first;
      if (open.length > LONGEST_LINE) throw new Damaged("a line without an end");
      for (const next of others) {
        if (open.trim()) yield open;
        open = next;
      }
    }
    if (open.trim()) yield open;
  }

  close(): void {
    this.zip.close();
  }
}

/** The list of what is in it, refused by name and size before anything is unpacked. */
function entriesOf(zip: ZipFile): Promise<Result<Entry[], string>> {
  return new Promise((resolve) => {
    const entries: Entry[] = [];
    let size = 0;
    zip.on("entry", (entry: Entry) => {
      entries.push(entry);
      size += entry.uncompressedSize;
      const { uncompressedSize: large, compressedSize: packed } = entry;
      const swells = large > SMALL_ENOUGH && large > packed * MOST_RATIO;
      if (swells || large > MOST_ENTRY || size > MOST_UNPACKED) {
        return resolve(err("Unpacked it would be far larger than a room can be."));
      }
      if (entries.length > MOST_ENTRIES) return resolve(err("There are too many files in it."));
      zip.readEntry();
    });
    zip.once("end", () => resolve(ok(entries)));
    // Names that lead out of the folder are refused here as well.
    zip.once("error", ({ message }: Error) =>
      resolve(
        err(
          /relative path|absolute path|invalid characters/.test(message)
            ? "There is a file in it whose name leads out of its folder."
            : "It is damaged.",
        ),
      ),
    );
    zip.readEntry();
  });
}
