import { wavHeader, wavSamples } from "../track";

/** What is written of what a node gives out, piece by piece as it comes. */
export interface TakeWriter {
  readonly mediaType: MediaType;
  /** All of it, in order, once it was stopped. */
  readonly pieces: readonly Blob[];
  start(): void;
  /** Writes to the end. */
  stop(): Promise<void>;
  /** Writes nothing any more. */
  drop(): void;
}

/** Told each piece with its place; the first may be told again at the end. */
export type OnPiece = (piece: Blob, index: number) => void;

/** In this order: what the browser can write is taken. */
const FORMATS = [
  ["audio/webm;codecs=opus", "audio/webm"],
  ["audio/ogg;codecs=opus", "audio/ogg"],
  ["audio/mp4", "audio/mp4"],
] as const;
export type MediaType = (typeof FORMATS)[number][1] | "audio/wav";

const BITS_A_SECOND = 96_000;
const PIECE_MS = 500;
const PIECE_SECONDS = PIECE_MS / 1000;

/** Compressed, by the browser's own recorder; undefined where it has none for these formats. */
export function compressedWriter(stream: MediaStream, onPiece: OnPiece): TakeWriter | undefined {
  if (typeof MediaRecorder === "undefined") return undefined;
  const format = FORMATS.find(([each]) => MediaRecorder.isTypeSupported(each));
  if (!format) return undefined;
  const [mimeType, mediaType] = format;
  const recorder = new MediaRecorder(stream, { mimeType, audioBitsPerSecond: BITS_A_SECOND });
  const pieces: Blob[] = [];
  recorder.ondataavailable = ({ data }) => {
    if (data.size === 0) return;
    onPiece(data, pieces.length);
    pieces.push(data);
  };
  return {
    mediaType,
    pieces,
    start: () => recorder.start(PIECE_MS),
    async stop() {
      const stopped = new Promise((resolve) => (recorder.onstop = resolve));
      recorder.stop();
      await stopped;
    },
    drop() {
      if (recorder.state === "inactive") return;
      recorder.ondataavailable = null;
      recorder.stop();
    },
  };
}

const UNTOLD = { title: "", artist: "", comment: "" };

/**
 * Plain samples, for browsers without a recorder: `listen` has its listener told what the node gives
 * out, and takes it off again. Its head stands first and is known last.
 */
export function plainWriter(
  sampleRate: number,
  listen: (on: ((samples: Float32Array) => void) | undefined) => void,
  onPiece: OnPiece,
): TakeWriter {
  const pieces: Blob[] = [];
  let gathered: Float32Array[] = [];
  let waiting = 0;
  let written = 0;
  const add = (piece: Blob, index = pieces.length) => {
    pieces[index] = piece;
    onPiece(piece, index);
  };
  const flush = () => {
    if (waiting === 0) return;
    add(new Blob(gathered.map((samples) => wavSamples(samples, 16))));
    written += waiting;
    [gathered, waiting] = [[], 0];
  };
  const head = () => add(new Blob([wavHeader(written, sampleRate, 16, UNTOLD)]), 0);
  return {
    mediaType: "audio/wav",
    pieces,
    start() {
      head();
      listen((samples) => {
        gathered.push(samples);
        waiting += samples.length;
        if (waiting >= PIECE_SECONDS * sampleRate) flush();
      });
    },
    stop() {
      listen(undefined);
      flush();
      head();
      return Promise.resolve();
    },
    drop: () => listen(undefined),
  };
}
