/** What the take's worklet is asked; times are seconds of the audio context. */
export type ToTakeWorklet =
  /** Writes the mark at a moment, and nothing else until it is opened. */
  | { readonly kind: "mark"; readonly at: number; readonly mark: Float32Array }
  /** Passes the microphone on from a moment; what it hears until `listen` is handed over as well. */
  | { readonly kind: "open"; readonly at: number; readonly listen: number }
  | { readonly kind: "shut"; readonly at: number }
  /** Hands over all that it gives out as well, or does so no more. */
  | { readonly kind: "give"; readonly on: boolean };

const PEAKS_A_SECOND = 50;
/** So many frames are handed over at a time: whole quanta. */
const GIVEN_FRAMES = 4096;

/**
 * Stands between the microphone and the recorder: counts frames, so that each moment of a recording
 * is known, writes the mark, lets through only what belongs to a play, and tells how loud it is.
 */
class TakeProcessor extends AudioWorkletProcessor {
  private nextFrame: number | undefined;
  private mark: { readonly frame: number; readonly samples: Float32Array } | undefined;
  private open = Infinity;
  private shut = Infinity;
  private listenUntil = 0;
  private peak = 0;
  private counted = 0;
  private gap = false;
  private given: Float32Array | undefined;
  private filled = 0;

  constructor() {
    super();
    this.port.onmessage = ({ data }: MessageEvent<ToTakeWorklet>) => this.asked(data);
  }

  private asked(data: ToTakeWorklet): void {
    if (data.kind === "give") {
      this.handOver();
      this.given = data.on ? new Float32Array(GIVEN_FRAMES) : undefined;
      return;
    }
    const frame = Math.round(data.at * sampleRate);
    if (data.kind === "mark") {
      this.mark = { frame, samples: data.mark };
      this.open = Infinity;
      this.shut = Infinity;
    } else if (data.kind === "open") {
      this.open = frame;
      this.shut = Infinity;
      this.listenUntil = Math.round(data.listen * sampleRate);
      this.counted = 0;
      this.peak = 0;
      this.gap = false;
    } else {
      this.shut = frame;
    }
  }

  process([input]: Float32Array[][], [output]: Float32Array[][]): boolean {
    // The frame is told late now and then, never early.
    const frame = Math.max(this.nextFrame ?? currentFrame, currentFrame);
    const out = output![0]!;
    const heard = input?.[0];
    this.nextFrame = frame + out.length;
    const passing = frame + out.length > this.open && frame < this.shut;
    // A microphone that was pulled out gives nothing at all, not silence.
    if (passing && !heard) this.gap = true;
    for (let i = 0; i < out.length; i++) {
      const at = frame + i;
      const marked = this.mark?.samples[at - this.mark.frame];
      const through = at >= this.open && at < this.shut ? (heard?.[i] ?? 0) : 0;
      out[i] = marked ?? through;
      if (passing) this.meter(Math.abs(through), at);
    }
    if (heard && passing && frame < this.listenUntil) {
      this.port.postMessage({ kind: "heard", frame, samples: heard.slice() });
    }
    if (this.given) this.give(out);
    if (!passing) this.meterIdle(heard);
    return true;
  }

  private give(out: Float32Array): void {
    this.given!.set(out, this.filled);
    this.filled += out.length;
    if (this.filled === GIVEN_FRAMES) this.handOver();
  }

  private handOver(): void {
    if (this.given && this.filled > 0) {
      this.port.postMessage({ kind: "given", samples: this.given.slice(0, this.filled) });
    }
    this.filled = 0;
  }

  private meter(level: number, frame: number): void {
    if (frame < this.open || frame >= this.shut) return;
    this.peak = Math.max(this.peak, level);
    if (++this.counted < sampleRate / PEAKS_A_SECOND) return;
    this.tell("peak");
  }

  /** Before it is opened the level is told as well: whoever sets up sees whether anything comes. */
  private meterIdle(heard: Float32Array | undefined): void {
    for (const sample of heard ?? []) this.peak = Math.max(this.peak, Math.abs(sample));
    this.counted += heard?.length ?? 128;
    if (this.counted >= sampleRate / 10) this.tell("level");
  }

  private tell(kind: "peak" | "level"): void {
    this.port.postMessage({ kind, peak: this.peak, gap: this.gap });
    this.peak = 0;
    this.counted = 0;
  }
}

registerProcessor("fidus-take", TakeProcessor);
