import * as v from "valibot";
import {
  droneHz,
  droneLevel,
  VOICES,
  type BeatMap,
  type ClickVoice,
  type Drone,
  type MapMarker,
} from "~/core/click";
import clickWorklet from "../worklets/click-worklet.ts?worker&url";
import { fromWorkletSchema, type ToWorklet } from "./protocol";

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

interface EngineOptions {
  readonly onMarker?: (passed: MarkerPassed) => void;
  /** 0–1; full is still below full scale. */
  readonly volume: number;
  /** Known before the first sample: an offline context does not wait for messages. */
  readonly maps?: readonly Pick<Scheduled, "map" | "start">[];
}

const messageFor = ({ mapId, map, start }: Scheduled): ToWorklet => ({
  kind: "schedule",
  mapId,
  start,
  clicks: {
    at: Float64Array.from(map.clicks, ({ at }) => at),
    voice: Uint8Array.from(map.clicks, ({ voice }) => VOICES.indexOf(voice)),
    level: Float32Array.from(map.clicks, ({ level }) => level),
  },
  markers: map.markers,
});

/** Sends beat maps ahead to the worklet and tells when their markers have come by. */
export class ClickEngine {
  private constructor(
    private readonly node: AudioWorkletNode,
    private readonly maps: Map<number, Scheduled>,
    private readonly onMarker: (passed: MarkerPassed) => void,
    private lastId: number,
  ) {
    node.port.onmessage = ({ data }: MessageEvent<unknown>) => {
      const message = v.parse(fromWorkletSchema, data);
      if (message.kind === "ready") return;
      const scheduled = this.maps.get(message.mapId);
      if (!scheduled) return;
      if (message.name === "map-ended") this.maps.delete(message.mapId);
      this.onMarker({ scheduled, name: message.name });
    };
  }

  /** In a live context: running already, so that the worklet can answer. */
  static async create(context: BaseAudioContext, options: EngineOptions): Promise<ClickEngine> {
    const { onMarker = () => undefined, volume, maps = [] } = options;
    await context.audioWorklet.addModule(clickWorklet);
    const scheduled = maps.map((each, i): Scheduled => ({ ...each, mapId: i + 1 }));
    const first: ToWorklet[] = [{ kind: "volume", volume }, ...scheduled.map(messageFor)];
    const node = new AudioWorkletNode(context, "fidus-click", {
      numberOfInputs: 0,
      outputChannelCount: [1],
      processorOptions: { first },
    });
    // A message to a port that is still being set up may wait for the main thread; once the
    // worklet has answered, nothing has to.
    if (maps.length === 0) {
      await new Promise((resolve) => (node.port.onmessage = resolve));
    }
    const known = new Map(scheduled.map((each) => [each.mapId, each]));
    return new ClickEngine(node, known, onMarker, scheduled.length);
  }

  private send(message: ToWorklet): void {
    this.node.port.postMessage(message);
  }

  connect(to: AudioNode): void {
    this.node.connect(to);
  }

  /** What it gives out, for whoever listens in. */
  get output(): AudioNode {
    return this.node;
  }

  /** Sends a map ahead; `start` lies in the future of the context. */
  schedule(map: BeatMap, start: number): Scheduled {
    const scheduled = { mapId: ++this.lastId, map, start };
    this.maps.set(scheduled.mapId, scheduled);
    this.send(messageFor(scheduled));
    return scheduled;
  }

  /** Forgets a map that has not begun. */
  withdraw({ mapId }: Scheduled): void {
    this.maps.delete(mapId);
    this.send({ kind: "withdraw", mapId });
  }

  /** Ends a map early, at a time of the context; it tells its end there. */
  cut({ mapId }: Scheduled, at: number): void {
    this.send({ kind: "cut", mapId, at });
  }

  /** Silence now; whatever was scheduled is forgotten. */
  stop(): void {
    this.maps.clear();
    this.send({ kind: "stop" });
  }

  /** A sustained pitch from now on; null ends it, and so does a stop. */
  setDrone(drone: Drone | null): void {
    const hz = drone ? droneHz(drone) : null;
    this.send({ kind: "drone", hz, level: drone ? droneLevel(drone) : 0 });
  }

  /** 0–1; full is still below full scale. */
  setVolume(volume: number): void {
    this.send({ kind: "volume", volume });
  }

  /** What clicks sound like from the next one on. */
  setVoice(voice: ClickVoice): void {
    this.send({ kind: "voice", voice });
  }

  dispose(): void {
    this.stop();
    this.node.port.onmessage = null;
    this.node.disconnect();
  }
}
