/// <reference lib="webworker" />
import * as v from "valibot";
import { reckonCost } from "./reckon-cost";
import { costRequestSchema, type CostAnswer } from "../protocol/cost";

declare const self: DedicatedWorkerGlobalScope;

let latest = -1;

/** Lets messages in between two batches, so that a newer request stops an older one. */
const breathe = () => new Promise<void>((resolve) => setTimeout(resolve));

self.onmessage = async ({ data }: MessageEvent<unknown>) => {
  const request = v.parse(costRequestSchema, data);
  latest = request.id;
  const tell = (answer: CostAnswer) => self.postMessage(answer);
  for (const step of reckonCost(request, tell)) {
    void step;
    await breathe();
    if (latest !== request.id) return;
  }
};
