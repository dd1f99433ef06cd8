import { fromBuffer, type Entry, type ZipFile } from "yauzl";
import { err, ok, type Result } from "~/core/result";
import { readXml, type XmlElement } from "./xml";

/** What a packed file may hold once it is unpacked. */
const MOST_UNPACKED = 40_000_000;
const MOST_ENTRIES = 500;
const CONTAINER = "META-INF/container.xml";
const TOO_LARGE = "Unpacked it is larger than 40 MB.";

const opened = (bytes: Uint8Array): Promise<ZipFile | undefined> =>
  new Promise((resolve) =>
    fromBuffer(
      Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength),
      { lazyEntries: true, validateEntrySizes: true },
      (failure, zip) => resolve(failure ? undefined : zip),
    ),
  );

/** The bytes of an entry; undefined where it is damaged or holds more than it may. */
const unpacked = (zip: ZipFile, entry: Entry): Promise<Uint8Array | undefined> =>
  new Promise((resolve) =>
    zip.openReadStream(entry, (failure, stream) => {
      if (failure) return resolve(undefined);
      const chunks: Buffer[] = [];
      let size = 0;
      stream.on("data", (chunk: Buffer) => {
        size += chunk.length;
        if (size > MOST_UNPACKED) stream.destroy(new Error(TOO_LARGE));
        else chunks.push(chunk);
      });
      stream.once("error", () => resolve(undefined));
      stream.once("end", () => resolve(Buffer.concat(chunks)));
    }),
  );

const entriesOf = (zip: ZipFile): Promise<Entry[] | undefined> =>
  new Promise((resolve) => {
    const entries: Entry[] = [];
    zip.on("entry", (entry: Entry) => {
      entries.push(entry);
      if (entries.length > MOST_ENTRIES) resolve(undefined);
      else zip.readEntry();
    });
    zip.once("end", () => resolve(entries));
    zip.once("error", () => resolve(undefined));
    zip.readEntry();
  });

const nameIn = (container: XmlElement): string | undefined => {
  if (container.name === "rootfile") return container.attributes["full-path"];
  for (const each of container.children) {
    const found = nameIn(each);
    if (found) return found;
  }
  return undefined;
};

const text = new TextDecoder("utf-8");

/** The score in a compressed MusicXML file; a sentence where there is none, or too much. */
export async function unpackScore(bytes: Uint8Array): Promise<Result<Uint8Array, string>> {
  const zip = await opened(bytes);
  if (!zip) return err("It breaks off, or it is no compressed MusicXML.");
  try {
    const entries = await entriesOf(zip);
    if (!entries) return err("It is damaged, or holds too many files to be one score.");
    const container = entries.find(({ fileName }) => fileName === CONTAINER);
    const listed = container && (await unpacked(zip, container));
    const read = listed && readXml(text.decode(listed));
    const name = read?.ok ? nameIn(read.value) : undefined;
    const isScore = ({ fileName }: Entry) =>
      !fileName.startsWith("META-INF/") && /\.(musicxml|xml)$/i.test(fileName);
    const entry = entries.find(({ fileName }) => fileName === name) ?? entries.find(isScore);
    if (!entry) return err("There is no score in it.");
    if (entry.uncompressedSize > MOST_UNPACKED) return err(TOO_LARGE);
    const score = await unpacked(zip, entry);
    return score ? ok(score) : err("It is damaged, or unpacked it is larger than 40 MB.");
  } finally {
    zip.close();
  }
}
