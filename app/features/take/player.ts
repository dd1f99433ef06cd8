import type WaveSurfer from "wavesurfer.js";
import type { TakeSound } from "./take-sound";

export interface Stretch {
  readonly from: number;
  readonly to: number;
}

export interface PlayerView {
  readonly playing: boolean;
  /** Seconds from the beginning of what is heard. */
  readonly at: number;
}

/** Plays a take: from anywhere, a stretch of it round and round, slower at the same pitch. */
export class TakePlayer {
  private view: PlayerView = { playing: false, at: 0 };
  private readonly listeners = new Set<() => void>();
  private stretch: Stretch | undefined;
  private frame = 0;
  readonly audio = new Audio();

  constructor(private readonly sound: TakeSound) {
    this.audio.src = sound.plain;
    this.audio.preservesPitch = true;
    this.audio.onplay = () => this.follow();
    this.audio.onpause = () => this.tell();
    this.audio.onseeked = () => this.tell();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly snapshot = (): PlayerView => this.view;

  private tell(): void {
    this.view = { playing: !this.audio.paused, at: this.audio.currentTime };
    for (const listener of this.listeners) listener();
  }

  /** While it sounds: where it is, and back to the beginning of a stretch at its end. */
  private follow = (): void => {
    cancelAnimationFrame(this.frame);
    const { stretch, audio } = this;
    if (stretch && (audio.currentTime >= stretch.to || audio.currentTime < stretch.from - 0.05)) {
      audio.currentTime = stretch.from;
    }
    this.tell();
    if (!audio.paused) this.frame = requestAnimationFrame(this.follow);
  };

  toggle = (): void => void (this.audio.paused ? this.audio.play() : this.audio.pause());

  playFrom(seconds: number): void {
    this.audio.currentTime = Math.min(Math.max(0, seconds), this.sound.seconds);
    void this.audio.play();
  }

  loop(stretch: Stretch | undefined): void {
    this.stretch = stretch;
  }

  /** 0.5–1 of the speed at which it was played, at the same pitch. */
  speed(rate: number): void {
    this.audio.playbackRate = rate;
  }

  click(under: boolean): void {
    const { currentTime, paused, playbackRate } = this.audio;
    this.audio.src = under ? this.sound.clicked : this.sound.plain;
    this.audio.currentTime = currentTime;
    this.audio.playbackRate = playbackRate;
    if (!paused) void this.audio.play();
  }

  /** Draws the waveform into a box from the values that were kept; it follows what is heard. */
  async draw(box: HTMLElement, peaks: readonly number[], nonce: string): Promise<WaveSurfer> {
    const { default: Wave } = await import("wavesurfer.js");
    const style = getComputedStyle(box);
    const wave = Wave.create({
      container: box,
      height: box.clientHeight,
      peaks: [[...peaks]],
      duration: this.sound.seconds,
      waveColor: style.getPropertyValue("--ink-soft").trim() || "#555",
      progressColor: style.getPropertyValue("--verdigris").trim() || "#276b60",
      cursorColor: style.getPropertyValue("--madder").trim() || "#8c1c2c",
      cursorWidth: 2,
      normalize: true,
      interact: true,
      hideScrollbar: true,
      cspNonce: nonce,
    });
    wave.on("interaction", (seconds: number) => {
      this.audio.currentTime = seconds;
    });
    this.subscribe(() => wave.setTime(this.view.at));
    return wave;
  }

  dispose(): void {
    cancelAnimationFrame(this.frame);
    this.audio.pause();
    this.audio.removeAttribute("src");
    this.listeners.clear();
    this.sound.release();
  }
}
