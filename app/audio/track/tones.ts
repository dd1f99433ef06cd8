import type { Tone } from "~/core/session";

/** Shares of the partials, from the fundamental: plain and a little reedy. */
const PARTIALS = [0.55, 0.24, 0.12, 0.06, 0.03];
const ATTACK = 0.008;
const RELEASE = 0.06;
/** In so many seconds the A of 440 Hz falls to a third; lower notes ring longer. */
const DECAY = 1.4;
const LEVEL = 0.3;

const hzOf = (midi: number, a: number): number => a * 2 ** ((midi - 69) / 12);

/** Loudness of a tone, so many seconds after it began. */
function envelope(t: number, seconds: number, decay: number): number {
  const rises = Math.min(1, t / ATTACK);
  const falls = Math.exp(-t / decay);
  const ends = t < seconds ? 1 : Math.max(0, 1 - (t - seconds) / RELEASE);
  return rises * falls * ends;
}

/** Notes in a plain tone, mixed into samples as they go by; tones come in the order they sound. */
export class Tones {
  private readonly coming: Iterator<Tone>;
  private next: IteratorResult<Tone>;
  private sounding: Tone[] = [];

  constructor(
    tones: Iterable<Tone>,
    private readonly rate: number,
    /** Frequency of the A of octave 4. */
    private readonly a: number,
  ) {
    this.coming = tones[Symbol.iterator]();
    this.next = this.coming.next();
  }

  /** Adds what sounds in these samples, the first of which is sample `from` of the whole. */
  mix(samples: Float32Array, from: number): void {
    const end = (from + samples.length) / this.rate;
    while (!this.next.done && this.next.value.at < end) {
      this.sounding.push(this.next.value);
      this.next = this.coming.next();
    }
    for (const tone of this.sounding) this.add(tone, samples, from);
    this.sounding = this.sounding.filter(({ at, seconds }) => at + seconds + RELEASE > end);
  }

  private add({ at, seconds, midi }: Tone, samples: Float32Array, from: number): void {
    const hz = hzOf(midi, this.a);
    const decay = DECAY * Math.sqrt(this.a / hz);
    const first = Math.max(0, Math.ceil(at * this.rate) - from);
    const last = Math.min(samples.length, Math.ceil((at + seconds + RELEASE) * this.rate) - from);
    for (let i = first; i < last; i++) {
      const t = (from + i) / this.rate - at;
      const turn = 2 * Math.PI * hz * t;
      let sample = 0;
      for (let n = 0; n < PARTIALS.length; n++) sample += PARTIALS[n]! * Math.sin((n + 1) * turn);
      samples[i]! += LEVEL * envelope(t, seconds, decay) * sample;
    }
  }
}
