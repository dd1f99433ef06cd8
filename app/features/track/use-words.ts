import { useRef, useState } from "react";
import { TRACK_RATE } from "~/audio/track";

/** A teacher's recording, as the track takes it: in one channel, at its rate. */
export interface TrackWord {
  readonly id: string;
  readonly samples: Float32Array<ArrayBuffer>;
}

/** By the place of the part that it stands before. */
export type TrackWords = Readonly<Record<number, TrackWord>>;

/** What is longer is no word before a ladder. */
const MOST_SECONDS = 300;

export type WordState = "quiet" | "coming" | "too-long" | "broken";

async function samplesOf(address: string): Promise<Float32Array<ArrayBuffer> | "too-long"> {
  const answer = await fetch(address);
  if (!answer.ok) throw new Error(`The server answered ${answer.status}.`);
  const context = new OfflineAudioContext(1, 1, TRACK_RATE);
  const sound = await context.decodeAudioData(await answer.arrayBuffer());
  if (sound.duration > MOST_SECONDS) return "too-long";
  const channels = Array.from({ length: sound.numberOfChannels }, (_, n) =>
    sound.getChannelData(n),
  );
  return Float32Array.from(
    channels[0]!,
    (_, at) => channels.reduce((sum, channel) => sum + channel[at]!, 0) / channels.length,
  );
}

/** What the teacher says before parts of a track: chosen, fetched, and ready to be mixed in. */
export function useWords() {
  const [words, setWords] = useState<TrackWords>({});
  const [chosen, setChosen] = useState<Readonly<Record<number, string | undefined>>>({});
  const [state, setState] = useState<WordState>("quiet");
  const last = useRef(0);
  const without = (part: number) => (before: TrackWords) =>
    Object.fromEntries(Object.entries(before).filter(([at]) => Number(at) !== part));
  const choose = (part: number, id: string | undefined, address: string) => {
    const asked = ++last.current;
    setWords(without(part));
    setChosen((before) => ({ ...before, [part]: id }));
    setState(id === undefined ? "quiet" : "coming");
    if (id === undefined) return;
    samplesOf(address).then(
      (samples) => {
        // Another was chosen meanwhile.
        if (asked !== last.current) return;
        if (samples === "too-long") return setState("too-long");
        setWords((before) => ({ ...before, [part]: { id, samples } }));
        setState("quiet");
      },
      () => setState("broken"),
    );
  };
  return { words, chosen, state, choose };
}
