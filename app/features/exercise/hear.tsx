import Button from "@mui/material/Button";
import { Play, Square } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { exerciseIn, tonesOfExercise, type Made } from "~/core/exercise";
import { exerciseWords as said } from "~/words/exercise";

/** An exercise as sound, from its beginning; gives what ends it. */
async function sound({ recipe, tonic }: Made, bpm: number, onEnd: () => void) {
  const music = exerciseIn(recipe, tonic);
  if (!music.ok) return undefined;
  // What makes the sound is loaded when somebody wants to hear it.
  const { renderTones, TRACK_RATE } = await import("~/audio/track");
  const tones = tonesOfExercise(music.value, bpm);
  const seconds = Math.max(...tones.map((tone) => tone.at + tone.seconds)) + 1;
  const samples = renderTones(tones, seconds);
  const context = new AudioContext();
  const buffer = context.createBuffer(1, samples.length, TRACK_RATE);
  buffer.copyToChannel(samples, 0);
  const source = new AudioBufferSourceNode(context, { buffer });
  source.connect(context.destination);
  source.onended = onEnd;
  source.start();
  return () => {
    source.onended = null;
    void context.close();
  };
}

/** Plays what is being made, plainly; a change ends it. */
export function Hear({ made, bpm }: { readonly made: Made; readonly bpm: number }) {
  const [sounds, setSounds] = useState(false);
  const end = useRef<(() => void) | undefined>(undefined);
  /** Which press it is: what was stopped, or left, while it was being made is not begun. */
  const press = useRef(0);
  const silence = () => {
    press.current++;
    end.current?.();
    end.current = undefined;
  };
  const stop = () => {
    silence();
    setSounds(false);
  };
  useEffect(() => silence, []);
  const play = async () => {
    setSounds(true);
    const own = ++press.current;
    const begun = await sound(made, bpm, stop);
    if (own !== press.current) return begun?.();
    end.current = begun;
    if (!begun) setSounds(false);
  };
  return (
    <Button
      variant="outlined"
      startIcon={sounds ? <Square size={18} /> : <Play size={18} />}
      onClick={() => (sounds ? stop() : void play())}
    >
      {sounds ? said.stop : said.hear}
    </Button>
  );
}
