import { fileNameOf } from "./names";

/** A zip as an answer, under the name of what is in it. */
export const zipAnswer = (name: string, zip: ReadableStream<Uint8Array>): Response =>
  new Response(zip, {
    headers: {
      "Content-Type": "application/zip",
      "Content-Disposition": `attachment; filename*=UTF-8''${encodeURIComponent(fileNameOf(name))}.zip`,
      "Cache-Control": "private, no-store",
    },
  });
