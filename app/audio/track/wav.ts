import { wavInfo, type Tags } from "./tags";

/** Bits of a sample. */
export type Depth = 16 | 24;

const HEADER_BYTES = 44;

/** The head of a WAV file of so many samples in one channel; what it says of itself stands behind them. */
export function wavHeader(
  samples: number,
  rate: number,
  depth: Depth,
  tags: Tags,
): Uint8Array<ArrayBuffer> {
  const bytes = new Uint8Array(HEADER_BYTES);
  const view = new DataView(bytes.buffer);
  const text = (at: number, letters: string) =>
    [...letters].forEach((letter, i) => view.setUint8(at + i, letter.charCodeAt(0)));
  const width = depth / 8;
  const data = samples * width;
  text(0, "RIFF");
  view.setUint32(4, HEADER_BYTES - 8 + data + (data % 2) + wavInfo(tags).length, true);
  text(8, "WAVEfmt ");
  view.setUint32(16, 16, true);
  // Plain samples, one channel.
  view.setUint16(20, 1, true);
  view.setUint16(22, 1, true);
  view.setUint32(24, rate, true);
  view.setUint32(28, rate * width, true);
  view.setUint16(32, width, true);
  view.setUint16(34, depth, true);
  text(36, "data");
  view.setUint32(40, data, true);
  return bytes;
}

/** Behind the samples: a byte where they are odd in number, and what the file says of itself. */
export const wavEnd = (samples: number, depth: Depth, tags: Tags): Uint8Array<ArrayBuffer> =>
  Uint8Array.from([...(((samples * depth) / 8) % 2 ? [0] : []), ...wavInfo(tags)]);

/** Samples between -1 and 1 as whole numbers of so many bits, the lowest byte first. */
export function wavSamples(samples: Float32Array, depth: Depth): Uint8Array<ArrayBuffer> {
  const width = depth / 8;
  const full = 2 ** (depth - 1) - 1;
  const bytes = new Uint8Array(samples.length * width);
  // Five minutes have thirteen million of them: no function for each, no byte by byte in a loop.
  for (let at = 0, to = 0; at < samples.length; at++) {
    const sample = samples[at]!;
    const scaled = (sample > 1 ? 1 : sample < -1 ? -1 : sample) * full;
    const whole = (scaled + (scaled < 0 ? -0.5 : 0.5)) | 0;
    bytes[to++] = whole;
    bytes[to++] = whole >> 8;
    if (width === 3) bytes[to++] = whole >> 16;
  }
  return bytes;
}

/** Samples as a whole WAV file of 16 bits. */
export const wavFile = (samples: Float32Array, rate: number): Blob => {
  const untold = { title: "", artist: "", comment: "" };
  const parts = [wavHeader(samples.length, rate, 16, untold), wavSamples(samples, 16)];
  return new Blob([...parts, wavEnd(samples.length, 16, untold)], { type: "audio/wav" });
};
