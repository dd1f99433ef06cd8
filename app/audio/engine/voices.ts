import {
  USUAL_VOICE,
  VOICES,
  type Accents,
  type ClickSound,
  type ClickVoice,
  type Voice,
} from "~/core/click";

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
const WOOD: Record<Voice, Timbre> = {
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

/** The pitch of each voice against that of a beat, and how long and loud it is against wood. */
const PITCHES: Record<Exclude<Voice, "cue">, number> = {
  accent: 1.5,
  beat: 1,
  subdivision: 2,
  count: 0.75,
};

/**
 * A sound of the same five voices: `hz` of a beat, partials as multiples of it, and the time in which
 * it falls to a third. The cue stays what it is: it tells that the tempo changes.
 */
function struck(
  hz: number,
  partials: Timbre["partials"],
  { seconds, decay }: Pick<Timbre, "seconds" | "decay">,
): Record<Voice, Timbre> {
  const at = (voice: Exclude<Voice, "cue">): Timbre => ({
    partials: partials.map(([times, share]) => [hz * PITCHES[voice] * times, share]),
    seconds,
    decay,
    level: WOOD[voice].level,
  });
  return {
    accent: at("accent"),
    beat: at("beat"),
    subdivision: at("subdivision"),
    count: at("count"),
    cue: WOOD.cue,
  };
}

const TIMBRES: Record<ClickSound, Record<Voice, Timbre>> = {
  wood: WOOD,
  // A membrane: its overtones lie at 1.59 and 2.14 times the pitch.
  drum: struck(
    260,
    [
      [1, 0.65],
      [1.59, 0.25],
      [2.14, 0.1],
    ],
    { seconds: 0.06, decay: 0.014 },
  ),
  tick: struck(
    2600,
    [
      [1, 0.6],
      [1.83, 0.4],
    ],
    { seconds: 0.012, decay: 0.002 },
  ),
  // A small bell rings on under the next beats.
  bell: struck(
    1320,
    [
      [1, 0.55],
      [2.76, 0.3],
      [5.4, 0.15],
    ],
    { seconds: 0.18, decay: 0.045 },
  ),
  pulse: struck(520, [[1, 1]], { seconds: 0.07, decay: 0.018 }),
  thud: struck(
    130,
    [
      [1, 0.8],
      [2, 0.2],
    ],
    { seconds: 0.08, decay: 0.02 },
  ),
};

/** Of the accent and of everything else, so that the loudest is never above what it was. */
const ACCENT_LEVELS: Record<Accents, { readonly accent: number; readonly others: number }> = {
  lighter: { accent: 0.75, others: 1 },
  usual: { accent: 1, others: 1 },
  louder: { accent: 1, others: 0.6 },
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
export function voiceTables(
  sampleRate: number,
  { sound, accents }: ClickVoice = USUAL_VOICE,
): Float32Array[] {
  const { accent, others } = ACCENT_LEVELS[accents];
  return VOICES.map((voice) => {
    const timbre = TIMBRES[sound][voice];
    const share = voice === "accent" ? accent : others;
    return table({ ...timbre, level: timbre.level * share }, sampleRate);
  });
}
