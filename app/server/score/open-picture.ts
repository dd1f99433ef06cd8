import sharp from "sharp";
import { MOST_PAGE_PIXELS } from "~/core/score";

// One at a time in a thread of its own: more would only hold more in memory.
sharp.concurrency(1);
sharp.cache(false);

/** Unpacks a picture to its last pixel; whether that can be done. Nothing of it is kept. */
export async function opensAsPicture(bytes: Uint8Array): Promise<boolean> {
  try {
    const picture = sharp(bytes, {
      limitInputPixels: MOST_PAGE_PIXELS * MOST_PAGE_PIXELS,
      failOn: "error",
    });
    const { data, info } = await picture.raw().toBuffer({ resolveWithObject: true });
    return data.length === info.width * info.height * info.channels;
  } catch {
    return false;
  }
}
