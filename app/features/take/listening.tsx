import Button from "@mui/material/Button";
import { Pause, Play } from "lucide-react";
import { useEffect, useRef, useState, useSyncExternalStore } from "react";
import type { Take } from "~/core/listen";
import { listenWords as said } from "~/words/listen";
import { TakePlayer, type PlayerView } from "./player";
import { openTake, peaksOf } from "./take-sound";
import styles from "./take.module.css";

const SPEEDS = [50, 60, 70, 80, 90, 100] as const;
const RESTS: PlayerView = { playing: false, at: 0 };

interface ListeningProps {
  readonly url: string;
  readonly about: Take;
}

/** Opens a take once and closes it with the page. */
function useTake({ url, about }: ListeningProps) {
  const [player, setPlayer] = useState<TakePlayer | "broken" | undefined>(undefined);
  useEffect(() => {
    let over = false;
    let opened: TakePlayer | undefined;
    openTake(url, about).then(
      (sound) => {
        if (over) return sound.release();
        opened = new TakePlayer(sound);
        setPlayer(opened);
      },
      () => setPlayer("broken"),
    );
    return () => {
      over = true;
      opened?.dispose();
      setPlayer(undefined);
    };
  }, [url, about]);
  return player;
}

/** A take drawn over its bars, played from any of them, a stretch of them round and round. */
export function Listening(props: ListeningProps) {
  const player = useTake(props);
  if (player === "broken") return <p role="alert">{said.broken}</p>;
  if (!player) return <p role="status">{said.opening}</p>;
  return <Opened player={player} about={props.about} />;
}

function Opened({ player, about }: { readonly player: TakePlayer; readonly about: Take }) {
  const { playing, at } = useSyncExternalStore(player.subscribe, player.snapshot, () => RESTS);
  const { from, until } = about;
  const length = until - from;
  // The last bar of a play that was broken off is shorter.
  const bars = about.bars.map((bar) => {
    const at = bar.at - from;
    return { ...bar, at, duration: Math.min(bar.duration, length - at) };
  });
  const heard = bars.findLastIndex((bar) => bar.at <= at + 0.01);
  const [loops, setLoops] = useState(false);
  const [stretch, setStretch] = useState({ first: 0, last: bars.length - 1 });
  useEffect(() => {
    const [first, last] = [bars[stretch.first]!, bars[stretch.last]!];
    player.loop(loops ? { from: first.at, to: last.at + last.duration } : undefined);
  });
  const playBar = (index: number) => player.playFrom(bars[index]!.at);
  const keys: Record<string, () => void> = {
    " ": player.toggle,
    ArrowLeft: () => playBar(Math.max(0, heard - 1)),
    ArrowRight: () => playBar(Math.min(bars.length - 1, heard + 1)),
  };
  return (
    <div className={styles.listening} data-heard={`${from} ${until}`}>
      <div
        className={styles.waveBox}
        tabIndex={0}
        role="group"
        aria-label={said.wave}
        onKeyDown={(event) => {
          const act = event.target === event.currentTarget ? keys[event.key] : undefined;
          if (!act) return;
          event.preventDefault();
          act();
        }}
      >
        <Wave player={player} peaks={about.peaks} />
        {bars.map((bar, index) => (
          <span
            key={index}
            className={styles.line}
            style={{ left: `${(100 * bar.at) / length}%` }}
            aria-hidden
          />
        ))}
      </div>
      <div className={styles.bars} role="group" aria-label={said.barsLabel}>
        {bars.map((bar, index) => (
          <button
            key={index}
            type="button"
            aria-label={said.fromBar(bar.bar)}
            aria-current={index === heard || undefined}
            style={{
              left: `${(100 * bar.at) / length}%`,
              width: `${(100 * bar.duration) / length}%`,
            }}
            onClick={() => playBar(index)}
          >
            {bar.bar}
          </button>
        ))}
      </div>
      <div className={styles.controls}>
        <Button
          variant="contained"
          startIcon={playing ? <Pause size={20} /> : <Play size={20} />}
          onClick={player.toggle}
        >
          {playing ? said.pause : said.play}
        </Button>
        <Speed player={player} />
        <Loop
          bars={bars.map(({ bar }) => bar)}
          loops={loops}
          stretch={stretch}
          onLoops={setLoops}
          onStretch={setStretch}
        />
        <label className={styles.choice}>
          <input type="checkbox" onChange={({ target }) => player.click(target.checked)} />
          {said.click}
        </label>
      </div>
    </div>
  );
}

const nonceOfPage = (): string =>
  document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce ?? "";

function Wave({ player, peaks }: { readonly player: TakePlayer; readonly peaks: string }) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    let over = false;
    const drawn = player.draw(box.current!, peaksOf(peaks), nonceOfPage());
    void drawn.then((wave) => over && wave.destroy());
    return () => {
      over = true;
      void drawn.then((wave) => wave.destroy());
    };
  }, [player, peaks]);
  return <div className={styles.wave} ref={box} aria-hidden />;
}

function Speed({ player }: { readonly player: TakePlayer }) {
  return (
    <label className={styles.choice}>
      {said.speed}
      <select
        defaultValue={100}
        onChange={({ target }) => player.speed(Number(target.value) / 100)}
      >
        {SPEEDS.map((speed) => (
          <option key={speed} value={speed}>
            {said.percent(speed)}
          </option>
        ))}
      </select>
    </label>
  );
}

interface LoopProps {
  readonly bars: readonly number[];
  readonly loops: boolean;
  /** Places among the bars. */
  readonly stretch: { readonly first: number; readonly last: number };
  readonly onLoops: (loops: boolean) => void;
  readonly onStretch: (stretch: LoopProps["stretch"]) => void;
}

function Loop({ bars, loops, stretch, onLoops, onStretch }: LoopProps) {
  const place = (label: string, value: number, set: (at: number) => LoopProps["stretch"]) => (
    <label className={styles.choice}>
      {label}
      <select value={value} onChange={({ target }) => onStretch(set(Number(target.value)))}>
        {bars.map((bar, index) => (
          <option key={index} value={index}>
            {bar}
          </option>
        ))}
      </select>
    </label>
  );
  return (
    <fieldset className={styles.loop}>
      <label className={styles.choice}>
        <input type="checkbox" checked={loops} onChange={({ target }) => onLoops(target.checked)} />
        {said.loop}
      </label>
      {place(said.loopFrom, stretch.first, (at) => ({
        first: at,
        last: Math.max(at, stretch.last),
      }))}
      {place(said.loopTo, stretch.last, (at) => ({
        first: Math.min(at, stretch.first),
        last: at,
      }))}
    </fieldset>
  );
}
