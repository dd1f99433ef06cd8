import type { BeatMap } from "~/core/click";
import { spreadAgainst } from "~/core/listen";

/** Taps along with one play, in seconds of its map. */
export class TappedAlong {
  private taps: number[] = [];

  add(at: number): void {
    this.taps.push(at);
  }

  clear(): void {
    this.taps = [];
  }

  /** How uneven the taps were against the beats of the play, in milliseconds. */
  spread(map: BeatMap): number | undefined {
    const beats = map.bars.filter(({ part }) => part === "play").flatMap((bar) => bar.beats);
    const spread = spreadAgainst(this.taps, beats);
    return spread === undefined ? undefined : spread * 1000;
  }
}
