import { wavFile } from "~/audio/track";
import type { Take } from "~/core/listen";

const RATE = 8000;
const BEATS = 4;
const LOWEST_HZ = 294;
/** A weak bar's notes come so late, as a share of a beat. */
const LATE = 0.18;
const PEAKS_A_SECOND = 50;
const STEPS = [0, 2, 4, 5, 7, 9, 7, 5] as const;

interface Played {
  readonly tempo: number;
  readonly fromBar: number;
  readonly toBar: number;
  readonly weakBars: readonly number[];
}

type Sounding = Omit<Take, "play" | "passage" | "at" | "tempo" | "rung">;

/** A prepared take of four beats a bar, with what is known of it without listening. */
export async function soundOfTake(
  played: Played,
): Promise<Sounding & { readonly sound: Uint8Array }> {
  const { tempo, fromBar, toBar, weakBars } = played;
  const beat = 60 / tempo;
  const duration = beat * BEATS;
  const count = toBar - fromBar + 1;
  const seconds = duration * count + 0.4;
  const samples = new Float32Array(Math.round(seconds * RATE));
  const bars = Array.from({ length: count }, (_, index) => {
    const at = index * duration;
    const beats = Array.from({ length: BEATS }, (_, n) => at + n * beat);
    const late = weakBars.includes(fromBar + index) ? LATE * beat : 0;
    beats.forEach((each, n) =>
      pluck(samples, each + (n > 0 ? late : 0), STEPS[(index * 3 + n) % 8]!),
    );
    return { bar: fromBar + index, at, duration, beats };
  });
  return {
    sound: new Uint8Array(await wavFile(samples, RATE).arrayBuffer()),
    mediaType: "audio/wav",
    from: 0,
    until: seconds,
    bars,
    placedBy: "heard",
    roundTrip: 0.11,
    gaps: false,
    cutOff: false,
    headphones: false,
    peaks: peaksOf(samples),
  };
}

function pluck(samples: Float32Array, at: number, step: number): void {
  const hertz = LOWEST_HZ * 2 ** (step / 12);
  const first = Math.round(at * RATE);
  for (let n = 0; n < RATE * 0.5 && first + n < samples.length; n++) {
    const time = n / RATE;
    const tone = Math.sin(2 * Math.PI * hertz * time) + 0.4 * Math.sin(4 * Math.PI * hertz * time);
    samples[first + n]! += 0.42 * Math.exp(-6 * time) * Math.min(1, n / 20) * tone;
  }
}

function peaksOf(samples: Float32Array): string {
  const each = RATE / PEAKS_A_SECOND;
  const peaks = Array.from({ length: Math.floor(samples.length / each) }, (_, n) => {
    const part = samples.subarray(n * each, (n + 1) * each);
    return Math.min(
      255,
      Math.round(255 * part.reduce((most, x) => Math.max(most, Math.abs(x)), 0)),
    );
  });
  return Buffer.from(peaks).toString("base64");
}
