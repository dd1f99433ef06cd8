import { openSound, type Sound } from "~/audio/player";
import type { MarkerPassed, Scheduled } from "~/audio/engine";
import { keptVoice } from "~/features/keeping/click-voice";
import type { Drone, MapBar } from "~/core/click";
import type { Loop } from "~/core/transport";

/** A loop with what the engine knows it by. */
export interface SoundingLoop extends Loop {
  readonly scheduled: Scheduled;
}

/** What sounds at the stand: the loop that is heard, the one that follows it, and the drone. */
export class LoopSound {
  private sound: Sound | undefined;
  private readonly sent = new Map<number, SoundingLoop>();
  heard: SoundingLoop | undefined;

  constructor(
    private readonly personId: string,
    private readonly onMarker: (loop: number, name: MarkerPassed["name"]) => void,
  ) {}

  get opened(): Sound | undefined {
    return this.sound;
  }

  /** Must be called from a press or a key: browsers start sound only then. */
  async open(volume: number): Promise<void> {
    this.sound ??= await openSound(
      { volume, voice: keptVoice(this.personId) },
      ({ scheduled, name }) => {
        for (const { id, scheduled: own } of this.sent.values()) {
          if (own.mapId === scheduled.mapId) return this.onMarker(id, name);
        }
      },
    );
    await this.sound.resume();
  }

  now(): number {
    return this.sound?.now() ?? 0;
  }

  send(loop: Loop): void {
    const scheduled = this.sound?.engine.schedule(loop.map, loop.start);
    if (scheduled) this.sent.set(loop.id, { ...loop, scheduled });
  }

  withdraw({ id }: Loop): void {
    const sent = this.sent.get(id);
    if (sent) this.sound?.engine.withdraw(sent.scheduled);
    this.sent.delete(id);
  }

  cut({ id }: Loop, at: number): void {
    const sent = this.sent.get(id);
    if (sent) this.sound?.engine.cut(sent.scheduled, at);
  }

  /** From here on this loop is the one that is heard. */
  begin({ id }: Loop): SoundingLoop | undefined {
    this.heard = this.sent.get(id);
    for (const each of this.sent.keys()) if (each < id) this.sent.delete(each);
    return this.heard;
  }

  drone(drone: Drone | null): void {
    this.sound?.engine.setDrone(drone);
  }

  stop(): void {
    this.sound?.engine.stop();
    this.heard = undefined;
    this.sent.clear();
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
