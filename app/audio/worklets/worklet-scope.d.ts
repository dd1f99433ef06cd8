/** What is global inside an AudioWorklet; TypeScript's DOM library leaves it out. */
declare const currentFrame: number;
declare const sampleRate: number;
declare function registerProcessor(
  name: string,
  processor: new (options: never) => AudioWorkletProcessor,
): void;
declare abstract class AudioWorkletProcessor {
  readonly port: MessagePort;
  abstract process(inputs: Float32Array[][], outputs: Float32Array[][]): boolean;
}
