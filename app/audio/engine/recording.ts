import type { BeatMap } from "~/core/click";
import recorderWorklet from "../worklets/recorder-worklet.ts?worker&url";
import { ClickEngine } from "./click-engine";

const SAMPLE_RATE = 44_100;
const START_SECONDS = 0.25;

export interface Recording {
  readonly samples: Float32Array;
  readonly sampleRate: number;
  /** Where in the recording a time of the map lies, in samples. */
  readonly sampleAt: (mapSeconds: number) => number;
}

/** The maps one after the other, computed as fast as the machine can. */
export async function recordOffline(maps: readonly BeatMap[]): Promise<Recording> {
  const seconds = START_SECONDS + maps.reduce((sum, { duration }) => sum + duration, 0);
  const length = Math.ceil(seconds * SAMPLE_RATE);
  const context = new OfflineAudioContext(1, length, SAMPLE_RATE);
  const inOrder = oneAfterTheOther(maps, START_SECONDS);
  const engine = await ClickEngine.create(context, { volume: 1, maps: inOrder });
  engine.connect(context.destination);
  const buffer = await context.startRendering();
  engine.dispose();
  return {
    samples: buffer.getChannelData(0),
    sampleRate: SAMPLE_RATE,
    sampleAt: (at) => (START_SECONDS + at) * SAMPLE_RATE,
  };
}

interface Chunk {
  readonly frame: number;
  readonly samples: Float32Array;
}

/** The maps as they are played here and now, recorded inside the audio graph. */
export async function recordLive(maps: readonly BeatMap[], volume: number): Promise<Recording> {
  const context = new AudioContext({ sampleRate: SAMPLE_RATE });
  await context.resume();
  await context.audioWorklet.addModule(recorderWorklet);
  const recorder = new AudioWorkletNode(context, "fidus-recorder", { numberOfOutputs: 0 });
  const chunks: Chunk[] = [];
  // What the recorder has heard waits in its queue while the page is blocked: the maps may be told
  // as ended long before their last samples are here.
  let endFrame = Infinity;
  let allHere: () => void = () => undefined;
  const here = new Promise<void>((resolve) => (allHere = resolve));
  recorder.port.onmessage = ({ data }: MessageEvent<Chunk>) => {
    chunks.push(data);
    if (data.frame + data.samples.length >= endFrame) allHere();
  };
  const engine = await ClickEngine.create(context, { volume });
  engine.connect(recorder);
  engine.connect(context.destination);
  const start = context.currentTime + START_SECONDS;
  endFrame = (start + maps.reduce((sum, { duration }) => sum + duration, 0)) * SAMPLE_RATE;
  for (const { map, start: at } of oneAfterTheOther(maps, start)) engine.schedule(map, at);
  await here;
  engine.dispose();
  await context.close();

  const first = chunks[0]?.frame ?? 0;
  const last = chunks.at(-1);
  const samples = new Float32Array(last ? last.frame + last.samples.length - first : 0);
  // Levels are compared at full volume, whatever was set.
  for (const chunk of chunks) {
    samples.set(
      chunk.samples.map((sample) => sample / Math.max(0.05, volume)),
      chunk.frame - first,
    );
  }
  return { samples, sampleRate: SAMPLE_RATE, sampleAt: (at) => (start + at) * SAMPLE_RATE - first };
}

function oneAfterTheOther(maps: readonly BeatMap[], start: number) {
  let next = start;
  return maps.map((map) => {
    const at = next;
    next += map.duration;
    return { map, start: at };
  });
}
