import { VOICES, type BeatMap, type MapMarker } from "~/core/click";
import clickWorklet from "../worklets/click-worklet.ts?worker&url";
import type { FromWorklet, ToWorklet } from "./protocol";

export interface Scheduled {
  readonly mapId: number;
  readonly map: BeatMap;
  /** Seconds of the audio context. */
  readonly start: number;
}

export interface MarkerPassed {
  readonly scheduled: Scheduled;
  readonly name: MapMarker["name"];
}

/** Sends beat maps ahead to the worklet and tells when their markers have come by. */
export class ClickEngine {
  private readonly maps = new Map<number, Scheduled>();
  private lastId = 0;

  private constructor(
    private readonly node: AudioWorkletNode,
    private readonly onMarker: (passed: MarkerPassed) => void,
  ) {
    node.port.onmessage = ({ data }: MessageEvent<FromWorklet>) => {
      const scheduled = this.maps.get(data.mapId);
      if (!scheduled) return;
      if (data.name === "map-ended") this.maps.delete(data.mapId);
      this.onMarker({ scheduled, name: data.name });
    };
  }

  static async create(
    context: BaseAudioContext,
    onMarker: (passed: MarkerPassed) => void = () => undefined,
  ): Promise<ClickEngine> {
    await context.audioWorklet.addModule(clickWorklet);
    const node = new AudioWorkletNode(context, "fidus-click", {
      numberOfInputs: 0,
      outputChannelCount: [1],
    });
    return new ClickEngine(node, onMarker);
  }

  private send(message: ToWorklet): void {
    this.node.port.postMessage(message);
  }

  connect(to: AudioNode): void {
    this.node.connect(to);
  }

  /** Sends a map ahead; `start` lies in the future of the context. */
  schedule(map: BeatMap, start: number): Scheduled {
    const scheduled = { mapId: ++this.lastId, map, start };
    this.maps.set(scheduled.mapId, scheduled);
    this.send({
      kind: "schedule",
      mapId: scheduled.mapId,
      start,
      clicks: {
        at: Float64Array.from(map.clicks, ({ at }) => at),
        voice: Uint8Array.from(map.clicks, ({ voice }) => VOICES.indexOf(voice)),
        level: Float32Array.from(map.clicks, ({ level }) => level),
      },
      markers: map.markers,
    });
    return scheduled;
  }

  /** Forgets a map that has not begun. */
  withdraw(scheduled: Scheduled): void {
    this.maps.delete(scheduled.mapId);
    this.send({ kind: "cut", from: scheduled.start });
  }

  /** Silence now; whatever was scheduled is forgotten. */
  stop(): void {
    this.maps.clear();
    this.send({ kind: "stop" });
  }

  /** 0–1; full is still below full scale. */
  setVolume(volume: number): void {
    this.send({ kind: "volume", volume });
  }

  dispose(): void {
    this.stop();
    this.node.port.onmessage = null;
    this.node.disconnect();
  }
}
