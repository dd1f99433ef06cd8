import { VOICES, type Voice } from "~/core/click";

interface Timbre {
  /** Partials: frequency in Hz and share. */
  readonly partials: readonly (readonly [number, number])[];
  readonly seconds: number;
  /** Time in which the sound falls to a third. */
  readonly decay: number;
  readonly level: number;
}

/**
 * Struck wood: inharmonic partials that die quickly. All but the cue are over before the next
 * click of the densest grid that is measured (2,400 a minute, 25 ms apart).
 */
const TIMBRES: Record<Voice, Timbre> = {
  accent: {
    partials: [
      [1760, 0.6],
      [2870, 0.3],
      [5200, 0.1],
    ],
    seconds: 0.024,
    decay: 0.0055,
    level: 1,
  },
  beat: {
    partials: [
      [1175, 0.65],
      [1990, 0.28],
      [3700, 0.07],
    ],
    seconds: 0.023,
    decay: 0.0055,
    level: 0.75,
  },
  subdivision: {
    partials: [
      [2350, 0.7],
      [4100, 0.3],
    ],
    seconds: 0.014,
    decay: 0.003,
    level: 0.38,
  },
  count: {
    partials: [
      [880, 0.65],
      [1480, 0.35],
    ],
    seconds: 0.024,
    decay: 0.006,
    level: 0.75,
  },
  cue: {
    partials: [
      [659.3, 0.5],
      [987.8, 0.5],
    ],
    seconds: 0.32,
    decay: 0.11,
    level: 0.5,
  },
};

const FADE_SECONDS = 0.002;

function table({ partials, seconds, decay, level }: Timbre, sampleRate: number): Float32Array {
  const length = Math.round(seconds * sampleRate);
  const fade = Math.round(FADE_SECONDS * sampleRate);
  return Float32Array.from({ length }, (_, i) => {
    const t = i / sampleRate;
    // Cosines: the first sample is the loudest, so that the onset is a sample and not a slope.
    const wave = partials.reduce(
      (sum, [hz, share]) => sum + share * Math.cos(2 * Math.PI * hz * t),
      0,
    );
    const tail = Math.min(1, (length - i) / fade);
    return level * wave * Math.exp(-t / decay) * tail;
  });
}

/** The sound of each voice, in the order of VOICES, at a sample rate. */
export const voiceTables = (sampleRate: number): Float32Array[] =>
  VOICES.map((voice) => table(TIMBRES[voice], sampleRate));
