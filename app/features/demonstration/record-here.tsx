import Button from "@mui/material/Button";
import { useEffect, useRef, useState } from "react";
import { useSubmit } from "react-router";
import { useAlive } from "~/components/alive";
import { demonstrationWords as said } from "~/words/demonstrations";

/** What the microphone hears is taken as it is: no echo, noise or level is put right. */
const AS_IT_IS = { echoCancellation: false, noiseSuppression: false, autoGainControl: false };

/** Records a demonstration in the page, and brings it as a file would be. */
export function RecordHere() {
  const submit = useSubmit();
  const alive = useAlive();
  const [since, setSince] = useState<number | undefined>(undefined);
  const [seconds, setSeconds] = useState(0);
  const [refused, setRefused] = useState(false);
  const recorder = useRef<MediaRecorder | undefined>(undefined);
  useEffect(() => {
    if (since === undefined) return;
    const clock = setInterval(() => setSeconds(Math.round((Date.now() - since) / 1000)), 500);
    return () => clearInterval(clock);
  }, [since]);
  useEffect(() => () => recorder.current?.stream.getTracks().forEach((track) => track.stop()), []);
  const begin = async () => {
    const stream = await navigator.mediaDevices
      .getUserMedia({ audio: AS_IT_IS })
      .catch(() => undefined);
    setRefused(stream === undefined);
    if (!stream) return;
    const pieces: Blob[] = [];
    const made = new MediaRecorder(stream);
    made.ondataavailable = ({ data }) => pieces.push(data);
    made.onstop = () => {
      stream.getTracks().forEach((track) => track.stop());
      setSince(undefined);
      const form = new FormData();
      const name = new Date().toISOString().slice(0, 10);
      form.set("file", new File(pieces, `${name}.webm`, { type: made.mimeType }));
      void submit(form, { method: "post", encType: "multipart/form-data" });
    };
    recorder.current = made;
    made.start(1000);
    setSeconds(0);
    setSince(Date.now());
  };
  if (!alive || typeof MediaRecorder === "undefined") return null;
  return (
    <p>
      <Button
        variant="outlined"
        onClick={() => (since === undefined ? void begin() : recorder.current?.stop())}
      >
        {since === undefined ? said.record : said.stop}
      </Button>{" "}
      <span role="status">
        {since === undefined ? refused && said.refused : said.recording(seconds)}
      </span>
    </p>
  );
}
