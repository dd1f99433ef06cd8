/// <reference lib="webworker" />
import * as v from "valibot";
import { stretched } from "~/audio/stretch";
import { stretchRequestSchema, type StretchAnswer } from "../protocol/stretch";

declare const self: DedicatedWorkerGlobalScope;

let turn: Promise<unknown> = Promise.resolve();

/** One after the other: the stretcher has one clock. */
self.onmessage = ({ data }: MessageEvent<unknown>) => {
  const { id, samples, rate, points } = v.parse(stretchRequestSchema, data);
  turn = turn.then(async () => {
    const answer: StretchAnswer = { id, samples: await stretched(samples, rate, points) };
    self.postMessage(answer, [answer.samples.buffer]);
  });
};
