import { TRACK_RATE } from "./render-track";
import { id3, type Tags } from "./tags";
import { wavEnd, wavHeader, wavSamples, type Depth } from "./wav";

type Bytes = Uint8Array<ArrayBuffer>;

/** Takes samples and gives the bytes of a file: some first, some for each chunk, some at the end. */
export interface Encoder {
  readonly head: Bytes;
  readonly chunk: (samples: Float32Array) => Bytes;
  readonly end: () => Bytes;
}

/** Kilobits a second: plenty for clicks and plain tones. */
const BITRATE = 128;

export const wavEncoder = (samples: number, depth: Depth, tags: Tags): Encoder => ({
  head: wavHeader(samples, TRACK_RATE, depth, tags),
  chunk: (some) => wavSamples(some, depth),
  end: () => wavEnd(samples, depth, tags),
});

/** MP3; what encodes it is loaded only here. */
export async function mp3Encoder(tags: Tags): Promise<Encoder> {
  const { createMp3Encoder } = await import("wasm-media-encoders");
  const encoder = await createMp3Encoder();
  encoder.configure({ sampleRate: TRACK_RATE, channels: 1, bitrate: BITRATE });
  // What it gives lies in its own memory until it is called again.
  const copied = (bytes: Uint8Array): Bytes => new Uint8Array(bytes);
  return {
    head: id3(tags),
    chunk: (samples) => copied(encoder.encode([samples])),
    end: () => copied(encoder.finalize()),
  };
}
