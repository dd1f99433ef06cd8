import type WaveSurfer from "wavesurfer.js";
import type { TakeSound, TakeVoice } from "./take-sound";

export interface Stretch {
  readonly from: number;
  readonly to: number;
}

export interface PlayerView {
  readonly playing: boolean;
  /** Seconds from the beginning of what is heard, as the first take counts them. */
  readonly at: number;
  /** Which of the takes is heard, from 0. */
  readonly hears: number;
}

/**
 * Plays a take: from anywhere, a stretch of it round and round, slower at the same pitch. Of several
 * takes of the same bars one is heard, and another from the same beat on. All seconds are those of
 * the first.
 */
export class TakePlayer {
  private view: PlayerView = { playing: false, at: 0, hears: 0 };
  private readonly listeners = new Set<() => void>();
  private stretch: Stretch | undefined;
  private frame = 0;
  private readonly sounding: readonly HTMLAudioElement[];
  private hears = 0;
  /** What sounds of each: the whole of it, or its beginning until that has come. */
  private readonly sounds: TakeSound[];
  private clicks = false;
  /** Where somebody went who can't be there yet, in seconds of what they hear. */
  private wanted: { readonly at: number; readonly plays: boolean } | undefined;
  private over = false;

  constructor(
    readonly voices: readonly TakeVoice[],
    broken: () => void,
  ) {
    this.sounds = voices.map(({ sound }) => sound);
    this.sounds.forEach(({ whole }, index) => {
      // Where the whole can't be read, the page says so in place of the beginning.
      whole?.then(
        (all) => this.become(index, all),
        () => this.over || broken(),
      );
    });
    this.sounding = voices.map(({ sound }) => {
      const audio = new Audio(sound.plain);
      audio.preservesPitch = true;
      audio.onplay = () => this.follow();
      audio.onpause = () => this.tell();
      audio.onseeked = () => this.tell();
      return audio;
    });
  }

  /** All of a take has come, of which the beginning was heard so far. */
  private become(index: number, whole: TakeSound): void {
    if (this.over) return whole.release();
    const before = this.sounds[index]!;
    this.sounds[index] = whole;
    const audio = this.sounding[index]!;
    // Whoever has come to the end of the beginning goes on.
    const ranOut = { at: audio.currentTime, plays: audio.ended };
    this.sound(index, (index === this.hears && this.wanted) || ranOut);
    before.release();
  }

  /** Gives an element its sound anew, at the place where it is, or another. */
  private sound(index: number, to?: { readonly at: number; readonly plays: boolean }): void {
    const audio = this.sounding[index]!;
    const { currentTime, paused, playbackRate } = audio;
    const sound = this.sounds[index]!;
    audio.src = this.clicks ? sound.clicked() : sound.plain;
    audio.currentTime = to?.at ?? currentTime;
    audio.playbackRate = playbackRate;
    if (!paused || to?.plays) void audio.play();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly snapshot = (): PlayerView => this.view;

  get audio(): HTMLAudioElement {
    return this.sounding[this.hears]!;
  }
  private get voice(): TakeVoice {
    return this.voices[this.hears]!;
  }
  private get at(): number {
    return this.voice.shared(this.audio.currentTime);
  }
  private goTo(seconds: number, plays = !this.audio.paused): void {
    const { sound, own } = this.voice;
    const at = Math.min(Math.max(0, own(seconds)), sound.seconds);
    this.wanted = at > this.audio.duration ? { at, plays } : undefined;
    this.audio.currentTime = at;
  }

  private tell(): void {
    const at = Math.max(0, this.at);
    this.view = { playing: !this.audio.paused, at, hears: this.hears };
    for (const listener of this.listeners) listener();
  }

  /** While it sounds: where it is, and back to the beginning of a stretch at its end. */
  private follow = (): void => {
    cancelAnimationFrame(this.frame);
    const { stretch, at } = this;
    if (stretch && (at >= stretch.to || at < stretch.from - 0.05)) this.goTo(stretch.from);
    this.tell();
    if (!this.audio.paused) this.frame = requestAnimationFrame(this.follow);
  };

  toggle = (): void => void (this.audio.paused ? this.audio.play() : this.audio.pause());

  playFrom(seconds: number): void {
    this.goTo(seconds, true);
    void this.audio.play();
  }

  /** Another of the takes goes on in the same beat. */
  hear(index: number): void {
    const { at, audio: before } = this;
    const { paused } = before;
    this.hears = index;
    this.goTo(at);
    if (!paused) void this.audio.play();
    before.pause();
    this.tell();
  }

  loop(stretch: Stretch | undefined): void {
    this.stretch = stretch;
  }

  /** 0.5–1 of the speed at which it was played, at the same pitch. */
  speed(rate: number): void {
    for (const audio of this.sounding) audio.playbackRate = rate;
  }

  click(under: boolean): void {
    this.clicks = under;
    this.sounding.forEach((_, index) => this.sound(index));
  }

  /** Draws the waveform of a take into a box; it follows what is heard. */
  async draw(box: HTMLElement, index: number, nonce: string): Promise<WaveSurfer> {
    const { default: Wave } = await import("wavesurfer.js");
    const style = getComputedStyle(box);
    const wave = Wave.create({
      container: box,
      height: box.clientHeight,
      peaks: [[...this.voices[index]!.peaks]],
      duration: this.voices[0]!.sound.seconds,
      waveColor: style.getPropertyValue("--ink-soft").trim() || "#555",
      progressColor: style.getPropertyValue("--verdigris").trim() || "#276b60",
      cursorColor: style.getPropertyValue("--madder").trim() || "#8c1c2c",
      cursorWidth: 2,
      normalize: true,
      interact: true,
      hideScrollbar: true,
      cspNonce: nonce,
    });
    wave.on("interaction", (seconds: number) => this.goTo(seconds));
    this.subscribe(() => wave.setTime(this.view.at));
    return wave;
  }

  dispose(): void {
    this.over = true;
    cancelAnimationFrame(this.frame);
    for (const audio of this.sounding) {
      audio.pause();
      audio.removeAttribute("src");
    }
    this.listeners.clear();
    for (const sound of this.sounds) sound.release();
  }
}
