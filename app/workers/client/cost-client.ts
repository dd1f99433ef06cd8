import * as v from "valibot";
import { costAnswerSchema, type CostAnswer, type CostRequest } from "../protocol/cost";

/** Asks the worker what ladders cost. A newer question stops the older one. */
export class CostClient {
  private readonly worker = new Worker(new URL("../entries/cost-worker.ts", import.meta.url), {
    type: "module",
  });
  private lastId = 0;

  constructor(onAnswer: (answer: CostAnswer) => void) {
    this.worker.onmessage = ({ data }: MessageEvent<unknown>) => {
      const answer = v.parse(costAnswerSchema, data);
      // What was on its way when the numbers moved on is of no use any more.
      if (answer.id === this.lastId) onAnswer(answer);
    };
  }

  ask(question: Omit<CostRequest, "id">): void {
    this.lastId++;
    this.worker.postMessage({ ...question, id: this.lastId } satisfies CostRequest);
  }

  dispose(): void {
    this.worker.onmessage = null;
    this.worker.terminate();
  }
}
