import { useEffect, useRef, useState } from "react";

/** What the microphone hears is taken as it is: no echo, noise or level is put right. */
const AS_IT_IS = { echoCancellation: false, noiseSuppression: false, autoGainControl: false };
const TICK_MS = 250;

interface Recording {
  readonly recorder: MediaRecorder;
  readonly since: number;
}

export interface Voice {
  /** Seconds since it was begun; undefined while nothing is recorded. */
  readonly seconds: number | undefined;
  readonly refused: boolean;
  readonly begin: () => Promise<void>;
  readonly stop: () => void;
}

/**
 * Records what is said or played in a page, and gives it as a file would be chosen; `most`: seconds
 * after which it stops by itself.
 */
export function useVoice(onDone: (file: File) => void, most = Infinity): Voice {
  const [recording, setRecording] = useState<Recording | undefined>(undefined);
  const [seconds, setSeconds] = useState(0);
  const [refused, setRefused] = useState(false);
  const open = useRef<MediaRecorder | undefined>(undefined);
  /** The microphone is given back; whoever leaves in the middle sends nothing. */
  const close = () => {
    if (!open.current) return;
    open.current.onstop = null;
    for (const track of open.current.stream.getTracks()) track.stop();
    open.current = undefined;
  };
  useEffect(() => close, []);
  useEffect(() => {
    if (!recording) return;
    const { recorder, since } = recording;
    const clock = setInterval(() => {
      const passed = (Date.now() - since) / 1000;
      setSeconds(Math.floor(passed));
      if (passed >= most && recorder.state === "recording") recorder.stop();
    }, TICK_MS);
    return () => clearInterval(clock);
  }, [recording, most]);
  const begin = async () => {
    const stream = await navigator.mediaDevices
      .getUserMedia({ audio: AS_IT_IS })
      .catch(() => undefined);
    setRefused(stream === undefined);
    if (!stream) return;
    const pieces: Blob[] = [];
    const recorder = new MediaRecorder(stream);
    open.current = recorder;
    recorder.ondataavailable = ({ data }) => pieces.push(data);
    recorder.onstop = () => {
      close();
      setRecording(undefined);
      const name = new Date().toISOString().slice(0, 10);
      onDone(new File(pieces, `${name}.webm`, { type: recorder.mimeType }));
    };
    recorder.start(1000);
    setSeconds(0);
    setRecording({ recorder, since: Date.now() });
  };
  const stop = () => recording?.recorder.stop();
  return { seconds: recording && seconds, refused, begin, stop };
}

/** Whether this browser can record at all. */
export const canRecord = (): boolean =>
  typeof MediaRecorder !== "undefined" && navigator.mediaDevices !== undefined;
