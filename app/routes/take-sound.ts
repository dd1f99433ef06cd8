import { Readable } from "node:stream";
import { forTake } from "~/server/access/guard";
import { notFound } from "~/server/boundary";
import { takeSound, type SoundRange } from "~/server/cases/take/takes";
import type { Route } from "./+types/take-sound";

const RANGE = /^bytes=(?:(\d{1,12})-(\d{0,12})|-(\d{1,12}))$/;

/** The one range that a player asks for, or so many last bytes; all else asks for all of it. */
function rangeOf(header: string | null): SoundRange | undefined {
  const [, from, to, last] = RANGE.exec(header ?? "") ?? [];
  if (last !== undefined) return { last: Number(last) };
  if (from === undefined) return undefined;
  return { from: Number(from), to: to ? Number(to) : undefined };
}

/** The sound of a take, in part where a part is asked for, so that one can move about in it. */
export const loader = (asked: Route.LoaderArgs) =>
  forTake(asked, "listen", async ({ services, studioId, takeId }) => {
    const range = rangeOf(asked.request.headers.get("range"));
    const sound = await takeSound(services, studioId, takeId, range);
    if (!sound) throw notFound("The sound of this take is missing.");
    const { bytes, mediaType } = sound;
    const headers: Record<string, string> = { "Content-Type": mediaType, "Accept-Ranges": "bytes" };
    if ("outside" in sound) {
      headers["Content-Range"] = `bytes */${bytes}`;
      return new Response(null, { status: 416, headers });
    }
    headers["Content-Length"] = String(sound.to - sound.from + 1);
    if (range) headers["Content-Range"] = `bytes ${sound.from}-${sound.to}/${bytes}`;
    const body = Readable.toWeb(sound.stream) as ReadableStream;
    return new Response(body, { status: range ? 206 : 200, headers });
  });
