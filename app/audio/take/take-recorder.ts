import * as v from "valibot";
import { clappedDelay, findMark, roundTripOf, takeMark, type Heard } from "~/core/listen";
import type { Microphone } from "~/audio/microphone";
import {
  compressedWriter,
  plainWriter,
  type MediaType,
  type OnPiece,
  type TakeWriter,
} from "./take-writer";
import takeWorklet from "../worklets/take-worklet.ts?worker&url";
import type { ToTakeWorklet } from "../worklets/take-worklet";

/** Until the recorder takes what it is given. */
const SETTLES_MS = 150;
const MARK_AHEAD = 0.1;
/** What still sounds when the last bar is over. */
const RINGS_SECONDS = 0.6;
/** Somebody who claps may be early. */
const BEFORE_CLAPS = 0.3;
/** After the last click of a count-in: it comes back so much later at most. */
const COMES_BACK = 0.5;

const fromWorkletSchema = v.variant("kind", [
  v.object({ kind: v.picklist(["peak", "level"]), peak: v.number(), gap: v.boolean() }),
  v.object({ kind: v.literal("heard"), frame: v.number(), samples: v.instance(Float32Array) }),
  v.object({ kind: v.literal("given"), samples: v.instance(Float32Array) }),
]);

/** How a recording lies to the clock of the audio context. */
export interface Placed {
  /** A moment of the context, and where it lies in the recording, in seconds. */
  readonly mark: number;
  readonly markAt: number;
  /** Found from the clicks that came back; undefined where they were not heard. */
  readonly roundTrip: number | undefined;
  /** Where what is to be heard begins and ends, in seconds of the recording. */
  readonly from: number;
  readonly until: number;
  readonly gaps: boolean;
  /** The microphone went away: it ends there. */
  readonly cutOff: boolean;
  readonly peaks: Uint8Array;
}

interface Going {
  readonly writer: TakeWriter;
  readonly mark: number;
  openedAt: number;
  /** The moment at which the microphone went away. */
  goneAt: number;
  clicks: readonly number[];
  heard: { readonly frame: number; readonly samples: Float32Array }[];
  peaks: number[];
  gaps: boolean;
}

/** Records plays in the context in which the click sounds: where each bar lies is known unheard. */
export class TakeRecorder {
  private going: Going | undefined;
  private clapping: Going["heard"] | undefined;
  private onGiven: ((samples: Float32Array) => void) | undefined;

  private constructor(
    private readonly context: AudioContext,
    readonly microphone: Microphone,
    private readonly node: AudioWorkletNode,
    private readonly out: MediaStreamAudioDestinationNode,
    onLevel: (peak: number) => void,
  ) {
    node.port.onmessage = ({ data }: MessageEvent<unknown>) => {
      const message = v.parse(fromWorkletSchema, data);
      if (message.kind === "heard") {
        (this.clapping ?? this.going?.heard)?.push(message);
        return;
      }
      if (message.kind === "given") return this.onGiven?.(message.samples);
      onLevel(message.peak);
      if (message.kind === "peak" && this.going) {
        this.going.peaks.push(message.peak);
        this.going.gaps ||= message.gap;
      }
    };
  }

  static async create(
    context: AudioContext,
    microphone: Microphone,
    onLevel: (peak: number) => void,
  ): Promise<TakeRecorder> {
    await context.audioWorklet.addModule(takeWorklet);
    const node = new AudioWorkletNode(context, "fidus-take", {
      numberOfInputs: 1,
      numberOfOutputs: 1,
      outputChannelCount: [1],
      channelCount: 1,
      channelCountMode: "explicit",
    });
    const out = context.createMediaStreamDestination();
    microphone.node.connect(node).connect(out);
    return new TakeRecorder(context, microphone, node, out, onLevel);
  }

  private send(message: ToTakeWorklet): void {
    this.node.port.postMessage(message);
  }

  /** What the node gives out is told to a listener, or to nobody any more. */
  private listen = (on: ((samples: Float32Array) => void) | undefined): void => {
    this.onGiven = on;
    this.send({ kind: "give", on: on !== undefined });
  };

  /** Begins a recording: silence, the mark, and silence until a play opens it. */
  async arm(onPiece: OnPiece): Promise<void> {
    this.drop();
    const writer =
      compressedWriter(this.out.stream, onPiece) ??
      plainWriter(this.context.sampleRate, this.listen, onPiece);
    writer.start();
    await new Promise((resolve) => setTimeout(resolve, SETTLES_MS));
    const mark = this.context.currentTime + MARK_AHEAD;
    this.send({ kind: "mark", at: mark, mark: takeMark(this.context.sampleRate) });
    const fresh = { openedAt: 0, goneAt: Infinity, clicks: [], heard: [], peaks: [], gaps: false };
    this.going = { writer, mark, ...fresh };
    await new Promise((resolve) => setTimeout(resolve, MARK_AHEAD * 1000 + SETTLES_MS));
  }

  get mediaType(): MediaType | undefined {
    return this.going?.writer.mediaType;
  }

  /** A play begins, with its count-in, at a moment of the context; `clicks` of the count-in, in it. */
  open(start: number, clicks: readonly number[]): void {
    if (!this.going) return;
    this.going.openedAt = Math.max(start, this.context.currentTime);
    this.going.clicks = clicks;
    const listen = (clicks.at(-1) ?? start) + COMES_BACK;
    this.send({ kind: "open", at: this.going.openedAt, listen });
  }

  /** The microphone has gone away: what was recorded until now is all there will be. */
  cutOff(): void {
    if (this.going) this.going.goneAt = Math.min(this.going.goneAt, this.context.currentTime);
  }

  /** The play is over: what still sounds is heard out, and the recording is closed. */
  async close(): Promise<Placed | undefined> {
    const { going } = this;
    if (!going) return undefined;
    const ends = Math.min(going.goneAt, this.context.currentTime + RINGS_SECONDS);
    this.send({ kind: "shut", at: ends });
    await new Promise((resolve) => setTimeout(resolve, RINGS_SECONDS * 1000 + SETTLES_MS));
    await going.writer.stop();
    this.going = undefined;
    const markAt = await this.markIn(going);
    if (markAt === undefined) return undefined;
    const inIt = (moment: number) => markAt + moment - going.mark;
    return {
      mark: going.mark,
      markAt,
      roundTrip: this.roundTrip(going),
      from: inIt(going.openedAt),
      until: inIt(ends),
      gaps: going.gaps,
      cutOff: going.goneAt < Infinity,
      peaks: Uint8Array.from(going.peaks, (peak) => Math.min(255, Math.round(peak * 255))),
    };
  }

  /** The mark lies in the first seconds: a few pieces are enough to find it. */
  private async markIn({ writer: { pieces } }: Going): Promise<number | undefined> {
    for (const many of [4, pieces.length]) {
      const bytes = await new Blob(pieces.slice(0, many)).arrayBuffer();
      const sound = await this.context.decodeAudioData(bytes).catch(() => undefined);
      const found = sound && findMark(sound.getChannelData(0), sound.sampleRate);
      if (found !== undefined) return found / sound!.sampleRate;
    }
    return undefined;
  }

  private roundTrip({ heard, clicks }: Going): number | undefined {
    const all = this.inOne(heard);
    return all && roundTripOf(all, clicks);
  }

  private inOne(heard: Going["heard"]): Heard | undefined {
    const [first] = heard;
    const last = heard.at(-1);
    if (!first || !last) return undefined;
    const samples = new Float32Array(last.frame + last.samples.length - first.frame);
    for (const piece of heard) samples.set(piece.samples, piece.frame - first.frame);
    const { sampleRate } = this.context;
    return { from: first.frame / sampleRate, sampleRate, samples };
  }

  /**
   * Listens to somebody clapping along with clicks, at moments of the context that lie ahead; seconds
   * that they are heard later, or undefined where that can't be told.
   */
  async clapped(clicks: readonly number[]): Promise<number | undefined> {
    const heard: Going["heard"] = [];
    this.clapping = heard;
    const at = Math.max(this.context.currentTime, clicks[0]! - BEFORE_CLAPS);
    const listen = clicks.at(-1)! + COMES_BACK;
    this.send({ kind: "open", at, listen });
    const left = listen - this.context.currentTime;
    await new Promise((resolve) => setTimeout(resolve, left * 1000 + SETTLES_MS));
    this.send({ kind: "shut", at: listen });
    this.clapping = undefined;
    const all = this.inOne(heard);
    return all && clappedDelay(all, clicks);
  }

  /** Forgets a recording that is not wanted. */
  drop(): void {
    const { going } = this;
    this.going = undefined;
    going?.writer.drop();
  }

  dispose(): void {
    this.drop();
    this.node.port.onmessage = null;
    this.node.disconnect();
    this.microphone.close();
  }
}

/** A base64 text of the waveform's values. */
export const peaksText = (peaks: Uint8Array): string => btoa(String.fromCharCode(...peaks));
