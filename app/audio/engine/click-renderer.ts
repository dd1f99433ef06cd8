import { DroneVoice } from "./drone-voice";
import type { MarkerReached, ToWorklet } from "./protocol";
import { voiceTables } from "./voices";

interface PendingClick {
  readonly mapId: number;
  readonly frame: number;
  readonly voice: number;
  readonly level: number;
}

interface PendingMarker {
  readonly frame: number;
  readonly message: MarkerReached;
}

interface Sounding {
  readonly table: Float32Array;
  readonly level: number;
  position: number;
}

/**
 * A constant far below hearing (−120 dB): the browser drops its sink after half a minute of exact
 * silence, and the first click after that would be late.
 */
const KEEP_ALIVE = 1e-6;
const STOP_FADE_SECONDS = 0.005;
/** Full volume stays below full scale, whatever is asked. */
const LOUDEST = 0.8;

/**
 * Makes the clicks sample by sample. Each onset is computed from its map's start in double
 * precision and rounded once to a sample; nothing is derived from the click before.
 */
export class ClickRenderer {
  private tables: Float32Array[];
  private clicks: PendingClick[] = [];
  private markers: PendingMarker[] = [];
  private sounding: Sounding[] = [];
  private fading: { samples: Sounding[]; left: number } | undefined;
  private drones: DroneVoice[] = [];
  private volume = 0.7;
  private frame: number | undefined;

  constructor(
    private readonly sampleRate: number,
    private readonly report: (message: MarkerReached) => void,
  ) {
    this.tables = voiceTables(sampleRate);
  }

  receive(message: ToWorklet): void {
    switch (message.kind) {
      case "schedule":
        this.schedule(message);
        break;
      case "withdraw":
        this.clicks = this.clicks.filter(({ mapId }) => mapId !== message.mapId);
        this.markers = this.markers.filter((marker) => marker.message.mapId !== message.mapId);
        break;
      case "cut":
        this.cut(message);
        break;
      case "stop":
        this.clicks = [];
        this.markers = [];
        this.fading = {
          samples: this.sounding,
          left: Math.round(STOP_FADE_SECONDS * this.sampleRate),
        };
        this.sounding = [];
        this.drone(null, 0);
        break;
      case "drone":
        this.drone(message.hz, message.level);
        break;
      case "voice":
        // What sounds goes on as it is.
        this.tables = voiceTables(this.sampleRate, message.voice);
        break;
      case "volume":
        this.volume = Math.min(1, Math.max(0, message.volume));
        break;
    }
  }

  /** What a map still had to tell is told where it is cut off. */
  private cut({ mapId, at }: ToWorklet & { kind: "cut" }): void {
    const end = Math.round(at * this.sampleRate);
    this.clicks = this.clicks.filter((click) => click.mapId !== mapId || click.frame < end);
    this.markers = this.markers
      .map((marker) =>
        marker.message.mapId === mapId && marker.frame > end ? { ...marker, frame: end } : marker,
      )
      .sort((a, b) => a.frame - b.frame);
  }

  /** The drone that sounds swells over into the new one; the same pitch goes on. */
  private drone(hz: number | null, level: number): void {
    const goesOn = this.drones.find((voice) => voice.hz === hz);
    for (const voice of this.drones) voice.setLevel(voice === goesOn ? level : 0);
    if (!goesOn && hz !== null) this.drones.push(new DroneVoice(hz, level, this.sampleRate));
  }

  private schedule({ mapId, start, clicks, markers }: ToWorklet & { kind: "schedule" }): void {
    for (let i = 0; i < clicks.at.length; i++) {
      this.clicks.push({
        mapId,
        frame: Math.round((start + clicks.at[i]!) * this.sampleRate),
        voice: clicks.voice[i]!,
        level: clicks.level[i]!,
      });
    }
    for (const { at, name } of markers) {
      const time = start + at;
      this.markers.push({
        frame: Math.round(time * this.sampleRate),
        message: { kind: "marker", mapId, name, time },
      });
    }
    this.clicks.sort((a, b) => a.frame - b.frame);
    this.markers.sort((a, b) => a.frame - b.frame);
  }

  /**
   * Fills one quantum. `currentFrame` is what the browser says; it sometimes repeats a quantum, so
   * we count for ourselves and follow it only forwards.
   */
  render(output: Float32Array, currentFrame: number): void {
    const frame = Math.max(this.frame ?? currentFrame, currentFrame);
    const end = frame + output.length;
    this.frame = end;
    output.fill(0);
    for (const voice of this.sounding) this.mix(voice, output, 0);
    this.fadeOut(output);
    while (this.clicks.length > 0 && this.clicks[0]!.frame < end) {
      const click = this.clicks.shift()!;
      const voice = { table: this.tables[click.voice]!, level: click.level, position: 0 };
      // An onset in a stretch that the browser skipped is joined where it would be by now.
      voice.position = Math.max(0, frame - click.frame);
      this.mix(voice, output, Math.max(0, click.frame - frame));
      this.sounding.push(voice);
    }
    this.sounding = this.sounding.filter(({ table, position }) => position < table.length);
    for (const voice of this.drones) voice.mix(output);
    this.drones = this.drones.filter(({ over }) => !over);
    const gain = this.volume * LOUDEST;
    for (let i = 0; i < output.length; i++) {
      output[i] = Math.min(1, Math.max(-1, output[i]! * gain)) + KEEP_ALIVE;
    }
    while (this.markers.length > 0 && this.markers[0]!.frame < end) {
      this.report(this.markers.shift()!.message);
    }
  }

  private mix(voice: Sounding, output: Float32Array, from: number): void {
    const { table, level } = voice;
    const length = Math.min(output.length - from, table.length - voice.position);
    for (let i = 0; i < length; i++) {
      output[from + i]! += level * table[voice.position + i]!;
    }
    voice.position += Math.max(0, length);
  }

  private fadeOut(output: Float32Array): void {
    if (!this.fading) return;
    const total = STOP_FADE_SECONDS * this.sampleRate;
    const rest = new Float32Array(output.length);
    for (const voice of this.fading.samples) this.mix(voice, rest, 0);
    for (let i = 0; i < output.length; i++) {
      output[i]! += rest[i]! * Math.max(0, (this.fading.left - i) / total);
    }
    this.fading.left -= output.length;
    if (this.fading.left <= 0) this.fading = undefined;
  }
}
