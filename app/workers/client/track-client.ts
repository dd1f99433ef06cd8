import * as v from "valibot";
import { trackAnswerSchema, type TrackFormat, type TrackRequest } from "../protocol/track";

interface TrackListener {
  /** How much of it is there, 0 to 1. */
  readonly onShare: (share: number) => void;
  readonly onDone: (file: Blob) => void;
}

const MEDIA_TYPES: Readonly<Record<TrackFormat, string>> = {
  "wav-16": "audio/wav",
  "wav-24": "audio/wav",
  mp3: "audio/mpeg",
  midi: "audio/midi",
};

/** Renders a track in a worker of its own; gives what ends it early. */
export function renderInWorker(
  request: TrackRequest,
  { onShare, onDone }: TrackListener,
): () => void {
  const worker = new Worker(new URL("../entries/track-worker.ts", import.meta.url), {
    type: "module",
  });
  const end = () => {
    worker.onmessage = null;
    worker.terminate();
  };
  const parts: Uint8Array<ArrayBuffer>[] = [];
  worker.onmessage = ({ data }: MessageEvent<unknown>) => {
    const answer = v.parse(trackAnswerSchema, data);
    if (answer.kind === "part") {
      parts.push(answer.bytes);
      onShare(answer.share);
      return;
    }
    end();
    onDone(new Blob(parts, { type: MEDIA_TYPES[request.format] }));
  };
  worker.postMessage(request);
  return end;
}
