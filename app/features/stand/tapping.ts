import { timingAgainst } from "~/core/listen";
import type { Payload } from "~/core/session";
import { measuredOf, type Loop } from "~/core/transport";

/** Taps along with the play that is on. */
export class Tapping {
  private beats: readonly number[] = [];
  private taps: number[] = [];

  /** From here on this loop is heard, and no other. */
  listen({ map }: Loop): void {
    this.beats = map.bars.filter(({ part }) => part === "play").flatMap((bar) => bar.beats);
    this.taps = [];
  }

  /** A tap, in seconds of the loop's map; the count-in is not part of the play. */
  tap(at: number): void {
    const [first = 0, second = first] = this.beats;
    if (at >= first - (second - first) / 2) this.taps.push(at);
  }

  /** It was heard to its end: how it lay, where enough of its beats were tapped. */
  end(play: string): Payload<"measured"> | undefined {
    const timing = timingAgainst(this.taps, this.beats);
    return timing && measuredOf(play, "taps", timing);
  }
}
