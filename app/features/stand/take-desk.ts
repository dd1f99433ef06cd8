import type { Scheduled } from "~/audio/engine";
import { deviceMicrophone, simulatedMicrophone, type Microphone } from "~/audio/microphone";
import type { Sound } from "~/audio/player";
import { peaksText, TakeRecorder } from "~/audio/take";
import { barsInTake, type Take } from "~/core/listen";
import { TakeStore } from "~/features/keeping/take-store";
import type { TakeChoice, TakenPlay } from "./take-choice";

/** A play that is being recorded. */
export interface RecordingPlay {
  readonly takeId: string;
  readonly scheduled: Scheduled;
}

interface Listeners {
  readonly onLevel: (peak: number) => void;
  readonly onGone: () => void;
}

const CLAPS = 8;
const CLAP_SECONDS = 0.6;
/** To take the hands off the keys. */
const CLAPS_IN = 1;

/** The device's microphone, or the stand-in, which hears the click where a loudspeaker plays it. */
async function microphoneOf(
  { context, engine }: Sound,
  { headphones, simulated }: TakeChoice,
): Promise<Microphone> {
  if (simulated === undefined) return deviceMicrophone(context);
  return simulatedMicrophone(context, headphones ? undefined : engine.output, simulated);
}

/** The parts of recording that are loaded only when something is recorded. */
export class TakeDesk {
  private takeId = "";
  private url = "";
  private pieces: Promise<unknown> = Promise.resolve();
  private done = false;

  private constructor(
    private readonly sound: Sound,
    private readonly choice: TakeChoice,
    private readonly recorder: TakeRecorder,
    private readonly store: TakeStore,
  ) {}

  /** Asks for the microphone; throws `MicrophoneMissing` where there is none. */
  static async open(sound: Sound, choice: TakeChoice, on: Listeners): Promise<TakeDesk> {
    const microphone = await microphoneOf(sound, choice);
    microphone.onGone(on.onGone);
    const recorder = await TakeRecorder.create(sound.context, microphone, on.onLevel);
    return new TakeDesk(sound, choice, recorder, await TakeStore.open());
  }

  /** Has the player clap along with some clicks; how much later they are heard, where it can be told. */
  static async clapAlong(sound: Sound, choice: TakeChoice): Promise<number | undefined> {
    const { context, engine } = sound;
    const microphone = await microphoneOf(sound, choice);
    const recorder = await TakeRecorder.create(context, microphone, () => undefined);
    const start = context.currentTime + CLAPS_IN;
    const at = Array.from({ length: CLAPS }, (_, n) => n * CLAP_SECONDS);
    const clicks = at.map((each) => ({ at: each, voice: "beat" as const, level: 1 }));
    const duration = CLAPS * CLAP_SECONDS;
    engine.schedule({ clicks, bars: [], markers: [], duration }, start);
    microphone.prepare(start, at);
    const delay = await recorder.clapped(at.map((each) => start + each));
    recorder.dispose();
    return delay;
  }

  /** Begins a recording, kept piece by piece as it comes. */
  async arm(urlOf: (takeId: string) => string): Promise<void> {
    this.takeId = crypto.randomUUID();
    this.url = urlOf(this.takeId);
    await this.store.begin(this.takeId, this.url);
    await this.recorder.arm((piece, index) => {
      this.pieces = this.pieces.then(() => this.store.keep(this.takeId, index, piece));
    });
  }

  begin(scheduled: Scheduled): RecordingPlay {
    const { map, start } = scheduled;
    const playing = map.bars.find(({ part }) => part === "play")?.start ?? 0;
    const counted = map.clicks.filter(({ at, voice }) => at < playing && voice !== "subdivision");
    this.recorder.open(
      start,
      counted.map(({ at }) => start + at),
    );
    const beats = map.bars.flatMap((bar) => (bar.part === "play" ? bar.beats : []));
    this.recorder.microphone.prepare(start, beats);
    return { takeId: this.takeId, scheduled };
  }

  /** The microphone has gone away in the middle of a play. */
  cutOff(): void {
    this.recorder.cutOff();
  }

  /** Closes a recording and keeps it; tells whether it could be placed and kept. */
  async keep(
    { takeId, scheduled }: RecordingPlay,
    { id, passage, tempo, rung }: TakenPlay,
  ): Promise<boolean> {
    const { mediaType } = this.recorder;
    const placed = await this.recorder.close();
    await this.pieces;
    if (!placed || !mediaType) {
      await this.store.forget(takeId);
      return false;
    }
    const { from, until, gaps, cutOff, peaks } = placed;
    const { clapped } = this.choice;
    const roundTrip = placed.roundTrip ?? clapped ?? this.reported();
    const otherwise = clapped === undefined ? "reported" : "clapped";
    const bars = barsInTake(scheduled.map.bars, { ...placed, start: scheduled.start, roundTrip });
    // Broken off in the count-in: there is nothing to listen to.
    if (bars.length === 0) {
      await this.store.forget(takeId);
      return false;
    }
    const about: Take = {
      play: id,
      passage,
      at: Date.now(),
      tempo,
      rung,
      mediaType,
      from,
      until,
      bars,
      placedBy: placed.roundTrip === undefined ? otherwise : "heard",
      roundTrip,
      gaps,
      cutOff,
      headphones: this.choice.headphones,
      peaks: peaksText(peaks),
    };
    await this.store.finish(takeId, this.url, about);
    this.done = true;
    return true;
  }

  /** What the devices say that it takes out and in again, in seconds. */
  private reported(): number {
    const { baseLatency, outputLatency = 0 } = this.sound.context;
    return Math.min(1, baseLatency + outputLatency + this.recorder.microphone.latency);
  }

  dispose(): void {
    this.recorder.dispose();
    const left = this.done ? Promise.resolve() : this.pieces.then(() => this.forgetQuietly());
    void left.finally(() => this.store.close());
  }

  private forgetQuietly = () => this.store.forget(this.takeId).catch(() => undefined);
}
