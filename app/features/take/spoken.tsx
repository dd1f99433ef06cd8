import Button from "@mui/material/Button";
import { Pause, Play } from "lucide-react";
import { useRef, useState } from "react";
import { listenWords } from "~/words/listen";

const { handIn: said } = listenWords;

interface SpokenProps {
  readonly label: string;
  readonly url: string;
}

/** What the teacher said aloud: fetched and heard with a press. */
export function Spoken({ label, url }: SpokenProps) {
  const audio = useRef<HTMLAudioElement>(null);
  const [playing, setPlaying] = useState(false);
  return (
    <>
      <Button
        variant="outlined"
        size="small"
        startIcon={playing ? <Pause size={16} /> : <Play size={16} />}
        aria-label={playing ? said.hush : label}
        onClick={() => void (playing ? audio.current?.pause() : audio.current?.play())}
      >
        {playing ? said.hush : said.hearSpoken}
      </Button>
      <audio
        ref={audio}
        src={url}
        preload="none"
        onPlay={() => setPlaying(true)}
        onPause={() => setPlaying(false)}
      />
    </>
  );
}
