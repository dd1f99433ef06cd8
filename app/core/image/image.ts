import { imageSize } from "image-size";
import { err, ok, type Result } from "~/core/result";

export const IMAGE_TYPES = ["image/png", "image/jpeg"] as const;
type ImageType = (typeof IMAGE_TYPES)[number];

/** What an image is by its content, whatever its name says; sizes in pixels. */
export interface ImageRead {
  readonly type: ImageType;
  readonly width: number;
  readonly height: number;
}

const BEGINNINGS: Readonly<Record<ImageType, readonly number[]>> = {
  "image/png": [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a],
  "image/jpeg": [0xff, 0xd8, 0xff],
};
const PDF = [0x25, 0x50, 0x44, 0x46, 0x2d];

const begins = (bytes: Uint8Array, with_: readonly number[]): boolean =>
  with_.every((byte, at) => bytes[at] === byte);

export const isPdf = (bytes: Uint8Array): boolean => begins(bytes, PDF);

/** Kind and size of a PNG or JPEG, from its head alone; nothing is unpacked. */
export function readImage(bytes: Uint8Array): Result<ImageRead, string> {
  const type = IMAGE_TYPES.find((each) => begins(bytes, BEGINNINGS[each]));
  if (!type) return err("This is neither a PNG nor a JPEG picture.");
  try {
    const { width, height } = imageSize(bytes);
    if (width > 0 && height > 0) return ok({ type, width, height });
  } catch {
    // A head that breaks off is told like any other.
  }
  return err("The picture is damaged: its size can't be read.");
}
