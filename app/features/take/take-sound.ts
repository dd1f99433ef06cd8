import { wavFile } from "~/audio/track";
import { momentBeside, peaksBeside, type Take } from "~/core/listen";

const CLICK_SECONDS = 0.03;
const ACCENT_HZ = 1760;
const BEAT_HZ = 1175;
const CLICK_LEVEL = 0.35;

const PEAK_SECONDS = 0.02;

type About = Pick<Take, "from" | "until" | "bars">;

/** A take, where its sound is had and what is known of it. */
export interface TakeToHear {
  readonly url: string;
  readonly about: Take;
}

/** A take that is ready to be heard beside others, over the bars of the first of them. */
export interface TakeVoice {
  readonly sound: TakeSound;
  /** Seconds of its own sound for seconds of the first's. */
  readonly own: (at: number) => number;
  /** The other way about. */
  readonly shared: (own: number) => number;
  /** Its waveform over the bars of the first. */
  readonly peaks: readonly number[];
}

/** A short ping on each beat, the first of a bar higher, where the player should have been. */
function withClick(samples: Float32Array, rate: number, { from, bars }: About): Float32Array {
  const mixed = samples.map((sample) => sample * 0.7);
  for (const { beats } of bars) {
    beats.forEach((beat, index) => {
      const hz = index === 0 ? ACCENT_HZ : BEAT_HZ;
      const first = Math.round((beat - from) * rate);
      for (let i = 0; i < CLICK_SECONDS * rate; i++) {
        const at = first + i;
        if (at < 0 || at >= mixed.length) continue;
        const fall = Math.exp((-6 * i) / (CLICK_SECONDS * rate));
        mixed[at]! += CLICK_LEVEL * fall * Math.sin((2 * Math.PI * hz * i) / rate);
      }
    });
  }
  return mixed;
}

/** What is heard of a take: as it is, and with a click laid under it. */
export interface TakeSound {
  readonly plain: string;
  /** Made when it is first asked for. */
  readonly clicked: () => string;
  readonly seconds: number;
  /** This is only its beginning: all of it comes behind. */
  readonly whole?: Promise<TakeSound>;
  release(): void;
}

const RATE = 44_100;
/** Of a take longer than this, its beginning is opened first, and the whole of it behind that. */
const LONG_SECONDS = 60;
const FIRST_SECONDS = 30;
/** A recorder does not give every second as many bytes. */
const ROOM = 1.25;

/** What is to be heard of some bytes of a recording, as plain samples. */
async function heardOf(bytes: ArrayBuffer, { from, until }: About): Promise<Float32Array> {
  const decoder = new OfflineAudioContext(1, 1, RATE);
  const decoded = await decoder.decodeAudioData(bytes);
  return decoded.getChannelData(0).slice(Math.round(from * RATE), Math.round(until * RATE));
}

function soundOf(heard: Float32Array, about: About): Omit<TakeSound, "seconds" | "whole"> {
  const plain = URL.createObjectURL(wavFile(heard, RATE));
  let clicked: string | undefined;
  return {
    plain,
    clicked: () => (clicked ??= URL.createObjectURL(wavFile(withClick(heard, RATE, about), RATE))),
    release() {
      URL.revokeObjectURL(plain);
      if (clicked) URL.revokeObjectURL(clicked);
    },
  };
}

/** The first half minute of a long recording; undefined where its beginning alone can't be read. */
function beginningOf(bytes: ArrayBuffer, about: About): Promise<Float32Array | undefined> {
  const share = (ROOM * (about.from + FIRST_SECONDS)) / about.until;
  return heardOf(bytes.slice(0, Math.ceil(share * bytes.byteLength)), about).catch(() => undefined);
}

/** The server knows the take and has its sound no more. */
export class SoundMissing extends Error {}

/**
 * Fetches a take and cuts it to what is to be heard, as plain samples: what a browser's recorder
 * writes has no length and can't be moved about in exactly.
 */
async function openTake(url: string, about: About): Promise<TakeSound> {
  const answer = await fetch(url);
  if (answer.status === 404) throw new SoundMissing();
  if (!answer.ok) throw new Error(`The server answered ${answer.status}.`);
  const bytes = await answer.arrayBuffer();
  const seconds = about.until - about.from;
  const first = seconds > LONG_SECONDS ? await beginningOf(bytes, about) : undefined;
  if (!first?.length) {
    const heard = await heardOf(bytes, about);
    return { ...soundOf(heard, about), seconds: heard.length / RATE };
  }
  const whole = heardOf(bytes, about).then((heard) => ({ ...soundOf(heard, about), seconds }));
  return { ...soundOf(first, about), seconds, whole };
}

/** Opens takes of the same bars; the first lends the others its bars. */
export async function openTakes(takes: readonly TakeToHear[]): Promise<TakeVoice[]> {
  const opening = await Promise.allSettled(takes.map(({ url, about }) => openTake(url, about)));
  const sounds = opening.flatMap((each) => (each.status === "fulfilled" ? [each.value] : []));
  if (sounds.length < takes.length) {
    for (const sound of sounds) sound.release();
    throw opening.find((each) => each.status === "rejected")!.reason;
  }
  const first = takes[0]!.about;
  return sounds.map((sound, index) => {
    const { about } = takes[index]!;
    const there = momentBeside(first.bars, about.bars);
    const back = momentBeside(about.bars, first.bars);
    const own = (at: number) => there(at + first.from) - about.from;
    return {
      sound,
      own,
      shared: (at) => back(at + about.from) - first.from,
      peaks: peaksBeside(peaksOf(about.peaks), PEAK_SECONDS, sounds[0]!.seconds, own),
    };
  });
}

/** The values of a waveform as they were kept, between 0 and 1. */
const peaksOf = (text: string): number[] =>
  [...atob(text)].map((letter) => letter.charCodeAt(0) / 255);
