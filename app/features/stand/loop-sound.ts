import { openSound, type Sound } from "~/audio/player";
import type { MarkerPassed, Scheduled } from "~/audio/engine";
import { loopMap, type Drone, type LoopRequest, type MapBar } from "~/core/click";
import type { Bpm } from "~/core/units";

const LEAD_SECONDS = 0.15;

/** What sounds at the stand: the loop that is heard, the one that follows it, and the drone. */
export class LoopSound {
  private sound: Sound | undefined;
  heard: Scheduled | undefined;
  next: Scheduled | undefined;
  /** The tempo of the loop heard last; a loop that is withdrawn changes nothing for the ear. */
  tempoHeard: Bpm | undefined;
  private tempoSent: Bpm | undefined;

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
  send(request: LoopRequest, at: number): Scheduled | undefined {
    if (!this.sound) return undefined;
    const { engine, now } = this.sound;
    this.tempoSent = request.plays[0].tempo;
    return engine.schedule(loopMap(request), Math.max(at, now() + LEAD_SECONDS));
  }

  begin(scheduled: Scheduled): void {
    this.heard = scheduled;
    this.next = undefined;
    this.tempoHeard = this.tempoSent;
  }

  drone(drone: Drone | null): void {
    this.sound?.engine.setDrone(drone);
  }

  /** When the loop that is heard comes to its end. */
  get endsAt(): number {
    return this.heard ? this.heard.start + this.heard.map.duration : 0;
  }

  /** Seconds of the loop that have gone by. */
  get gone(): number {
    return this.heard ? Math.max(0, this.now() - this.heard.start) : 0;
  }

  /** Forgets the loop that was to follow. */
  dropNext(): void {
    if (this.next) this.sound?.engine.withdraw(this.next);
    this.next = undefined;
  }

  /** Silence at once; what was heard is still known. */
  hush(): void {
    this.sound?.engine.stop();
  }

  stop(): void {
    this.sound?.engine.stop();
    this.heard = undefined;
    this.next = undefined;
  }

  setVolume(volume: number): void {
    this.sound?.engine.setVolume(volume);
  }

  /** The bar and beat that are heard now. */
  position(): { bar: MapBar; beat: number } | undefined {
    if (!this.heard || !this.sound) return undefined;
    const at = this.sound.clock.heardNow() - this.heard.start;
    const bar = this.heard.map.bars.findLast(({ start }) => start <= at);
    if (!bar || at > bar.start + bar.duration) return undefined;
    return { bar, beat: bar.beats.filter((beat) => beat <= at).length };
  }

  /** Where in the loop a moment of the page's clock (an event's time stamp) was heard, in seconds. */
  heardAt(timeStamp: number): number | undefined {
    if (!this.heard || !this.sound) return undefined;
    return this.sound.clock.heardAt(timeStamp) - this.heard.start;
  }

  close(): void {
    void this.sound?.close();
  }
}
