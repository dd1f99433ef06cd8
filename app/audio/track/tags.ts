/** What a file of sound says of itself. */
export interface Tags {
  /** Piece and bars. */
  readonly title: string;
  /** Whose it is. */
  readonly artist: string;
  /** From which tempo to which. */
  readonly comment: string;
}

const FRAMES = { TIT2: "title", TPE1: "artist", COMM: "comment" } as const;
const UTF8 = 3;

const sized = (size: number, bits: number): number[] =>
  [3, 2, 1, 0].map((place) => (size >> (place * bits)) & ((1 << bits) - 1));

/** ID3 of version 2.4, to stand before an MP3; sizes have seven bits a byte. */
export function id3(tags: Tags): Uint8Array<ArrayBuffer> {
  const frames = Object.entries(FRAMES).flatMap(([name, field]) => {
    const text = [...new TextEncoder().encode(tags[field])];
    // A comment names its language and an empty description before its text.
    const body = name === "COMM" ? [UTF8, 0x65, 0x6e, 0x67, 0, ...text] : [UTF8, ...text];
    return [...new TextEncoder().encode(name), ...sized(body.length, 7), 0, 0, ...body];
  });
  const head = [0x49, 0x44, 0x33, 4, 0, 0, ...sized(frames.length, 7)];
  return Uint8Array.from([...head, ...frames]);
}

const INFO = { INAM: "title", IART: "artist", ICMT: "comment" } as const;

/** The list of a WAV file that tells the same; an even number of bytes, as all of its parts. */
export function wavInfo(tags: Tags): Uint8Array<ArrayBuffer> {
  const little = (size: number) => sized(size, 8).reverse();
  const letters = (text: string) => [...new TextEncoder().encode(text)];
  const parts = Object.entries(INFO).flatMap(([name, field]) => {
    const text = [...letters(tags[field]), 0];
    return [...letters(name), ...little(text.length), ...text, ...(text.length % 2 ? [0] : [])];
  });
  const body = [...letters("INFO"), ...parts];
  return Uint8Array.from([...letters("LIST"), ...little(body.length), ...body]);
}
