/// <reference lib="webworker" />
import * as v from "valibot";
import { mp3Encoder, renderTrack, TRACK_RATE, trackMidi, wavEncoder } from "~/audio/track";
import { trackRequestSchema, type TrackAnswer, type TrackRequest } from "../protocol/track";

declare const self: DedicatedWorkerGlobalScope;

const tell = (bytes: Uint8Array<ArrayBuffer>, share: number) => {
  const answer: TrackAnswer = { kind: "part", bytes, share };
  self.postMessage(answer, [bytes.buffer]);
};

async function sound(request: TrackRequest): Promise<void> {
  const { format, seconds, tags } = request;
  const total = Math.ceil(seconds * TRACK_RATE);
  const encoder =
    format === "mp3"
      ? await mp3Encoder(tags)
      : wavEncoder(total, format === "wav-24" ? 24 : 16, tags);
  tell(encoder.head, 0);
  let done = 0;
  for (const chunk of renderTrack(request)) {
    done += chunk.length;
    tell(encoder.chunk(chunk), total === 0 ? 1 : done / total);
  }
  tell(encoder.end(), 1);
}

/** One request for each worker; whoever does not want it any more ends the worker. */
self.onmessage = async ({ data }: MessageEvent<unknown>) => {
  const request = v.parse(trackRequestSchema, data);
  if (request.format === "midi") {
    tell(trackMidi(request.tags.title, request.loops, request.tones), 1);
  } else await sound(request);
  self.postMessage({ kind: "done" } satisfies TrackAnswer);
};
