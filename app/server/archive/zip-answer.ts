import * as v from "valibot";
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

const askedSchema = v.object({ recordings: v.optional(v.literal("1")) });

/** Whether an address asks for recordings in its zip. */
export const wantsRecordings = ({ url }: Request): { readonly withSounds: boolean } => {
  const read = v.safeParse(askedSchema, Object.fromEntries(new URL(url).searchParams));
  return { withSounds: read.success && read.output.recordings === "1" };
};
