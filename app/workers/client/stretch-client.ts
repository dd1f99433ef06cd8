import * as v from "valibot";
import { stretchAnswerSchema, type StretchRequest } from "../protocol/stretch";

/** Stretches sound in a worker of its own, one piece after the other. */
export class StretchClient {
  private readonly worker = new Worker(new URL("../entries/stretch-worker.ts", import.meta.url), {
    type: "module",
  });
  private readonly waiting = new Map<number, (samples: Float32Array<ArrayBuffer>) => void>();
  private asked = 0;

  constructor() {
    this.worker.onmessage = ({ data }: MessageEvent<unknown>) => {
      const { id, samples } = v.parse(stretchAnswerSchema, data);
      this.waiting.get(id)?.(samples);
      this.waiting.delete(id);
    };
  }

  stretch(request: Omit<StretchRequest, "id">): Promise<Float32Array<ArrayBuffer>> {
    const id = this.asked++;
    const answer = new Promise<Float32Array<ArrayBuffer>>((done) => this.waiting.set(id, done));
    this.worker.postMessage({ id, ...request } satisfies StretchRequest, [request.samples.buffer]);
    return answer;
  }

  dispose(): void {
    this.waiting.clear();
    this.worker.terminate();
  }
}
