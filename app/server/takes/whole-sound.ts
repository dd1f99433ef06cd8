import { Readable } from "node:stream";

interface WholeSound {
  readonly stream: Readable;
  readonly size: number;
  readonly mediaType: string;
}

/** A sound as an answer, whole, for the one who asked. */
export const wholeSound = ({ stream, size, mediaType }: WholeSound): Response =>
  new Response(Readable.toWeb(stream) as ReadableStream, {
    headers: {
      "Content-Type": mediaType,
      "Content-Length": String(size),
      "Cache-Control": "private, no-store",
    },
  });
