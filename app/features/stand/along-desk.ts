import type { Scheduled } from "~/audio/engine";
import type { Sound } from "~/audio/player";
import { StretchClient } from "~/workers/client";
import { alongPoints, canSoundAlong, type AlongPoint } from "~/core/listen";
import type { AlongSource } from "./along-sources";

/** Sound is fetched round the bars, so that a stretcher's window never meets an edge. */
const MARGIN_SECONDS = 0.4;
/** So soon can something be scheduled. */
const SOON_SECONDS = 0.03;
const FADE_SECONDS = 0.02;
/** So many pieces are kept; a ladder goes up and down between a few tempi. */
const MOST_KEPT = 12;

/** The parts of playing along that are loaded only when it is turned on. */
export class AlongDesk {
  private readonly stretcher = new StretchClient();
  private readonly gain: GainNode;
  private readonly sounds = new Map<string, Promise<AudioBuffer>>();
  private readonly kept = new Map<string, Promise<AudioBuffer>>();
  private playing: AudioBufferSourceNode | undefined;
  private turn = 0;

  constructor(
    private readonly sound: Sound,
    private readonly addressOf: (id: string) => string,
    volume: number,
  ) {
    this.gain = sound.context.createGain();
    this.gain.gain.value = volume;
    this.gain.connect(sound.context.destination);
  }

  /** Fetches a demonstration, once. */
  fetch({ id }: AlongSource): Promise<AudioBuffer> {
    const found = this.sounds.get(id) ?? this.fetched(id);
    this.sounds.set(id, found);
    return found;
  }

  private async fetched(id: string): Promise<AudioBuffer> {
    const answer = await fetch(this.addressOf(id));
    if (!answer.ok) throw new Error(`The demonstration was not sent: ${answer.status}`);
    return this.sound.context.decodeAudioData(await answer.arrayBuffer());
  }

  /** Plays along with a loop; false where its tempo is too far from the demonstration's. */
  async play({ map, start }: Scheduled, source: AlongSource): Promise<boolean> {
    const turn = ++this.turn;
    const points = alongPoints(map.bars, source);
    if (points.length < 2 || !canSoundAlong(points)) return false;
    const buffer = await this.stretched(source, points);
    // Another loop has begun, or it was stopped, while this was made ready.
    if (turn !== this.turn) return true;
    const { context } = this.sound;
    const at = start + points[0]!.output;
    const from = Math.max(at, context.currentTime + SOON_SECONDS);
    const offset = from - at;
    if (offset >= buffer.duration) return true;
    const node = context.createBufferSource();
    node.buffer = buffer;
    node.connect(this.gain);
    node.start(from, offset);
    this.playing = node;
    return true;
  }

  private stretched(source: AlongSource, points: readonly AlongPoint[]): Promise<AudioBuffer> {
    const key = `${source.id} ${JSON.stringify(points.map(({ input, output }) => [input, output - points[0]!.output]))}`;
    const found = this.kept.get(key) ?? this.stretchNow(source, points);
    this.kept.delete(key);
    this.kept.set(key, found);
    for (const old of this.kept.keys()) if (this.kept.size > MOST_KEPT) this.kept.delete(old);
    return found;
  }

  private async stretchNow(
    source: AlongSource,
    points: readonly AlongPoint[],
  ): Promise<AudioBuffer> {
    const whole = await this.fetch(source);
    const rate = whole.sampleRate;
    const from = Math.max(0, points[0]!.input - MARGIN_SECONDS);
    const first = Math.round(from * rate);
    const last = Math.round((points.at(-1)!.input + MARGIN_SECONDS) * rate);
    const samples = mixed(whole, first, last);
    const moved = points.map(({ input, output }) => ({ input: input - first / rate, output }));
    const drawn = await this.stretcher.stretch({ samples, rate, points: moved });
    const buffer = this.sound.context.createBuffer(1, drawn.length, rate);
    buffer.copyToChannel(drawn, 0);
    return buffer;
  }

  stop(): void {
    this.turn++;
    this.playing?.stop(this.sound.context.currentTime + FADE_SECONDS);
    this.playing = undefined;
  }

  setVolume(volume: number): void {
    this.gain.gain.value = volume;
  }

  dispose(): void {
    this.stop();
    this.stretcher.dispose();
    this.gain.disconnect();
  }
}

/** A stretch of a sound in one channel. */
function mixed(sound: AudioBuffer, first: number, last: number): Float32Array<ArrayBuffer> {
  const channels = Array.from({ length: sound.numberOfChannels }, (_, n) =>
    sound.getChannelData(n).subarray(first, last),
  );
  const [one] = channels;
  return Float32Array.from(one!, (_, n) => {
    let sum = 0;
    for (const channel of channels) sum += channel[n]!;
    return sum / channels.length;
  });
}
