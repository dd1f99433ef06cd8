import Button from "@mui/material/Button";
import { Pause, Play } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { useAlive } from "~/components/alive";
import type { BarPlace } from "~/core/listen";
import { demonstrationWords as said } from "~/words/demonstrations";
import styles from "./demonstration.module.css";
import { MarkBars } from "./mark-bars";

interface HeardProps {
  readonly demonstration: {
    readonly id: string;
    readonly name: string;
    readonly places: readonly BarPlace[];
  };
  readonly url: string;
  readonly bars: number;
  readonly teaches: boolean;
  readonly kept: boolean;
}

const nonce = () =>
  document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce ?? "";

/** Draws the waveform of a sound over its own player. */
async function draw(audio: HTMLAudioElement, box: HTMLElement) {
  const { default: Wave } = await import("wavesurfer.js");
  const style = getComputedStyle(box);
  return Wave.create({
    container: box,
    media: audio,
    height: box.clientHeight,
    waveColor: style.getPropertyValue("--ink-soft").trim(),
    progressColor: style.getPropertyValue("--verdigris").trim(),
    cursorColor: style.getPropertyValue("--madder").trim(),
    cursorWidth: 2,
    normalize: true,
    hideScrollbar: true,
    cspNonce: nonce(),
  });
}

/** A demonstration to listen to, drawn with its bars; for the teacher with a way to mark them. */
export function Heard({ demonstration, url, bars, teaches, kept }: HeardProps) {
  const alive = useAlive();
  const audio = useRef<HTMLAudioElement>(null);
  const box = useRef<HTMLDivElement>(null);
  const [seconds, setSeconds] = useState(0);
  const [playing, setPlaying] = useState(false);
  const [places, setPlaces] = useState<readonly BarPlace[]>(demonstration.places);
  useEffect(() => setPlaces(demonstration.places), [demonstration.places]);
  useEffect(() => {
    if (!alive || !audio.current || !box.current) return;
    const made = draw(audio.current, box.current);
    void made.then((wave) => wave.on("ready", (duration) => setSeconds(duration)));
    return () => void made.then((wave) => wave.destroy());
  }, [alive]);
  const playFrom = (at: number) => {
    if (!audio.current) return;
    audio.current.currentTime = at;
    void audio.current.play();
  };
  const told = demonstration.places;
  const [first, last] = [told[0], told.at(-1)];
  return (
    <div className={styles.heard}>
      <div className={styles.waveBox}>
        <div ref={box} className={styles.wave} />
        {seconds > 0 &&
          places.map(({ bar, at }) => (
            <span key={bar} className={styles.line} style={{ left: `${(100 * at) / seconds}%` }}>
              {bar}
            </span>
          ))}
      </div>
      <audio
        ref={audio}
        src={url}
        preload="auto"
        onPlay={() => setPlaying(true)}
        onPause={() => setPlaying(false)}
      />
      <p className={styles.playing}>
        <Button
          variant="contained"
          startIcon={playing ? <Pause size={18} /> : <Play size={18} />}
          aria-label={playing ? said.pause : said.listen(demonstration.name)}
          onClick={() => void (playing ? audio.current?.pause() : audio.current?.play())}
        >
          {playing ? said.pause : said.play}
        </Button>
        <span className={styles.soft}>
          {first && last && first !== last
            ? said.marked(told.length, ((last.at - first.at) / (last.bar - first.bar)).toFixed(2))
            : said.notMarked}
        </span>
      </p>
      {teaches && alive && (
        <MarkBars
          id={demonstration.id}
          playsAt={() => (audio.current?.paused === false ? audio.current.currentTime : undefined)}
          onHear={playFrom}
          places={places}
          bars={bars}
          kept={kept}
          onChange={setPlaces}
        />
      )}
    </div>
  );
}
