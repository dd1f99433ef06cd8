import { assert } from "~/core/result";

/** A moment of what comes in, and when it is to be heard, in seconds. */
export interface StretchPoint {
  readonly input: number;
  readonly output: number;
}

const QUANTUM = 128;
/** Before the first point, so that the stretcher has filled its window. */
const LEAD_SECONDS = 0.3;

interface Segment {
  active: boolean;
  input: number;
  output: number;
  rate: number;
}

/** The library's processor, as far as it is used. */
interface Processor {
  readonly port: Port;
  timeMap: Segment[];
  process(inputs: Float32Array[][], outputs: Float32Array[][], parameters: object): boolean;
}

interface Port {
  onmessage: ((event: { data: unknown[] }) => void) | null;
  postMessage(told: unknown[]): void;
}

/** What a worklet finds around it: outside of an audio graph we are that. */
interface WorkletScope {
  AudioWorkletProcessor: unknown;
  registerProcessor: (name: string, of: new (options: object) => Processor) => void;
  sampleRate: number;
  currentTime: number;
}

let loaded: Promise<new (options: object) => Processor> | undefined;

/**
 * The stretcher is written for an audio graph, where it has to be quick. Here it runs ahead of
 * what is heard: it is given the few names of a worklet's scope, and a clock that we turn.
 */
function processorClass(scope: WorkletScope, rate: number) {
  scope.sampleRate = rate;
  scope.currentTime = 0;
  loaded ??= new Promise((found, failed) => {
    scope.AudioWorkletProcessor = class {
      readonly port: Port = { onmessage: null, postMessage: () => undefined };
    };
    scope.registerProcessor = (_name, of) => found(of);
    import("signalsmith-stretch").catch(failed);
  });
  return loaded;
}

async function madeReady(scope: WorkletScope, rate: number): Promise<Processor> {
  const Made = await processorClass(scope, rate);
  const made = new Made({ numberOfInputs: 0, numberOfOutputs: 1, outputChannelCount: [1] });
  await new Promise<void>((ready) => {
    made.port.postMessage = ([told]) => told === "ready" && ready();
  });
  return made;
}

/** Each stretch between two points at its own rate; before the first one as it goes on. */
function timeMapOf(points: readonly StretchPoint[], like: Segment): Segment[] {
  const segments = points.slice(0, -1).map(({ input, output }, n): Segment => {
    const next = points[n + 1]!;
    const rate = (next.input - input) / (next.output - output);
    return { ...like, active: true, input, output: output + LEAD_SECONDS, rate };
  });
  const [first] = segments;
  return [{ ...first!, input: first!.input - first!.output * first!.rate, output: 0 }, ...segments];
}

/**
 * Samples drawn out or together so that each point of them is heard at its time, at the same
 * pitch. `points`: at least two, both times going up. The result begins at the first point and
 * ends at the last one. Runs at about twenty times real time; in a worker only, since it takes a
 * worklet's names for itself.
 */
export async function stretched(
  samples: Float32Array,
  rate: number,
  points: readonly StretchPoint[],
): Promise<Float32Array<ArrayBuffer>> {
  assert(points.length > 1, "A stretch has a beginning and an end.");
  const scope = globalThis as unknown as WorkletScope;
  const processor = await madeReady(scope, rate);
  processor.port.onmessage!({ data: [1, "addBuffers", [samples]] });
  const begins = points[0]!.output;
  const moved = points.map(({ input, output }) => ({ input, output: output - begins }));
  processor.timeMap = timeMapOf(moved, processor.timeMap[0]!);
  const seconds = LEAD_SECONDS + moved.at(-1)!.output;
  const quanta = Math.ceil((seconds * rate) / QUANTUM);
  const out = new Float32Array(quanta * QUANTUM);
  const quantum = [new Float32Array(QUANTUM)];
  for (let n = 0; n < quanta; n++) {
    scope.currentTime = (n * QUANTUM) / rate;
    processor.process([[]], [quantum], {});
    out.set(quantum[0]!, n * QUANTUM);
  }
  return out.slice(Math.round(LEAD_SECONDS * rate), Math.round(seconds * rate));
}
