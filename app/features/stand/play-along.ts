import type { Sound } from "~/audio/player";
import type { AlongDesk } from "./along-desk";
import type { AlongSources } from "./along-sources";
import type { SoundingLoop } from "./loop-sound";

export type AlongPhase = "off" | "loading" | "on" | "too-far" | "broken";

/**
 * The teacher's playing along with the click: stretched ahead to the loop's own tempo, laid on its
 * bars. It never holds the play up: what is not ready in time begins later, at its place.
 */
export class PlayAlong {
  private phase: AlongPhase = "off";
  private desk: AlongDesk | undefined;
  private wanted = false;
  private volume: number;
  private readonly listeners = new Set<() => void>();

  constructor(
    private readonly sources: AlongSources,
    private readonly addressOf: (id: string) => string,
    volume: number,
  ) {
    this.volume = volume;
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly snapshot = (): AlongPhase => this.phase;

  private set(phase: AlongPhase): void {
    this.phase = phase;
    for (const listener of this.listeners) listener();
  }

  has = (passageId: string): boolean => this.sources[passageId] !== undefined;

  /** From a press, since it may open the sound. */
  async turn(
    on: boolean,
    sound: Sound,
    heard: SoundingLoop | undefined,
    passageId: string,
  ): Promise<void> {
    this.wanted = on;
    if (!on) {
      this.stop();
      return this.set("off");
    }
    this.set("loading");
    try {
      const { AlongDesk: Desk } = await import("./along-desk");
      this.desk ??= new Desk(sound, this.addressOf, this.volume);
      await this.desk.fetch(this.sources[passageId]!);
      if (!this.wanted) return;
      this.set("on");
      if (heard) this.begin(heard, passageId);
    } catch {
      this.set("broken");
    }
  }

  /** A loop begins to sound. */
  begin(loop: SoundingLoop, passageId: string): void {
    const source = this.sources[passageId];
    if (!this.wanted || !this.desk || !source) return;
    this.desk.stop();
    void this.desk.play(loop.scheduled, source).then(
      (played) => this.wanted && this.set(played ? "on" : "too-far"),
      () => this.set("broken"),
    );
  }

  stop(): void {
    this.desk?.stop();
  }

  setVolume(volume: number): void {
    this.volume = volume;
    this.desk?.setVolume(volume);
  }

  dispose(): void {
    this.wanted = false;
    this.desk?.dispose();
    this.listeners.clear();
  }
}
