import { openSound, type Sound } from "~/audio/player";
import type { MarkerPassed, Scheduled } from "~/audio/engine";
import { loopMap, type BeatMap, type Drone, type LoopRequest, type MapBar } from "~/core/click";
import type { Segment } from "~/core/ladder";
import type { Heard } from "~/core/session";

const LEAD_SECONDS = 0.15;

/** A loop that was sent ahead. */
export interface Loop extends Heard {
  readonly scheduled: Scheduled;
  readonly request: LoopRequest;
  readonly segment: Pick<Segment, "fromBar" | "toBar">;
  /** Seconds of the audio context. */
  readonly ends: number;
}

/** A map in which the play itself is silent. */
function countInOnly(map: BeatMap): BeatMap {
  const begins = map.markers.find(({ name }) => name === "play-began")?.at ?? 0;
  return { ...map, clicks: map.clicks.filter(({ at }) => at < begins) };
}

/** What sounds at the stand: the loop that is heard, the one that follows it, and the drone. */
export class LoopSound {
  private sound: Sound | undefined;
  /** Whether nothing is to sound but the count-in. */
  quiet: () => boolean = () => false;
  /** What else sounds with the click is silenced with it. */
  onSilence: () => void = () => undefined;
  heard: Loop | undefined;
  next: Loop | undefined;
  /** The loop heard last; one that is withdrawn changes nothing for the ear. */
  last: Heard | undefined;

  get opened(): Sound | undefined {
    return this.sound;
  }

  get isOpen(): boolean {
    return this.sound !== undefined;
  }

  /** Must be called from a press or a key: browsers start sound only then. */
  async open(volume: number, onMarker: (passed: MarkerPassed) => void): Promise<void> {
    this.sound ??= await openSound(volume, onMarker);
    await this.sound.resume();
  }

  now(): number {
    return this.sound?.now() ?? 0;
  }

  /** Sends a loop ahead, to begin at a time of the audio context, or as soon as it can. */
  send(request: LoopRequest, what: Pick<Loop, "of" | "segment">, at: number): Loop | undefined {
    if (!this.sound) return undefined;
    const { engine, now } = this.sound;
    const map = this.quiet() ? countInOnly(loopMap(request)) : loopMap(request);
    const scheduled = engine.schedule(map, Math.max(at, now() + LEAD_SECONDS));
    const { tempo } = request.plays[0];
    return { ...what, scheduled, request, tempo, ends: scheduled.start + scheduled.map.duration };
  }

  begin(loop: Loop): void {
    this.heard = loop;
    this.next = undefined;
    this.last = loop;
  }

  drone(drone: Drone | null): void {
    this.sound?.engine.setDrone(drone);
  }

  /** When the loop that is heard comes to its end. */
  get endsAt(): number {
    return this.heard?.ends ?? 0;
  }

  /** Seconds of the loop that have gone by. */
  get gone(): number {
    return this.heard ? Math.max(0, this.now() - this.heard.scheduled.start) : 0;
  }

  /** Ends the loop that is heard at its next bar line, if there is one before its end. */
  endAtBarLine(): void {
    if (!this.heard || !this.sound) return;
    const { scheduled, ends } = this.heard;
    const { start, map } = scheduled;
    const earliest = this.now() + LEAD_SECONDS - start;
    const line = map.bars.find((bar) => bar.start >= earliest);
    if (!line || start + line.start >= ends) return;
    this.heard = { ...this.heard, ends: start + line.start };
    this.sound.engine.cut(scheduled, this.heard.ends);
    this.onSilence();
  }

  /** Forgets the loop that was to follow. */
  dropNext(): void {
    if (this.next) this.sound?.engine.withdraw(this.next.scheduled);
    this.next = undefined;
  }

  /** Silence at once; what was heard is still known. */
  hush(): void {
    this.sound?.engine.stop();
    this.onSilence();
  }

  stop(): void {
    this.sound?.engine.stop();
    this.onSilence();
    this.heard = undefined;
    this.next = undefined;
  }

  setVolume(volume: number): void {
    this.sound?.engine.setVolume(volume);
  }

  /** The bar and beat that are heard now. */
  position(): { bar: MapBar; beat: number } | undefined {
    if (!this.heard || !this.sound) return undefined;
    const { start, map } = this.heard.scheduled;
    const at = this.sound.clock.heardNow() - start;
    const bar = map.bars.findLast((each) => each.start <= at);
    if (!bar || at > bar.start + bar.duration) return undefined;
    return { bar, beat: bar.beats.filter((beat) => beat <= at).length };
  }

  /** Where in the loop a moment of the page's clock (an event's time stamp) was heard, in seconds. */
  heardAt(timeStamp: number): number | undefined {
    if (!this.heard || !this.sound) return undefined;
    return this.sound.clock.heardAt(timeStamp) - this.heard.scheduled.start;
  }

  close(): void {
    void this.sound?.close();
  }
}
