import Button from "@mui/material/Button";
import { Pause, Play } from "lucide-react";
import { useEffect, useRef, useState, useSyncExternalStore, type ReactNode } from "react";
import { listenWords as said } from "~/words/listen";
import { FollowedNotes } from "./followed-notes";
import { Loop, Speed } from "./listening-controls";
import { TakePlayer, type PlayerView } from "./player";
import { openTakes, SoundMissing, type TakeToHear } from "./take-sound";
import { Wave } from "./wave";
import styles from "./take.module.css";

const RESTS: PlayerView = { playing: false, at: 0, hears: 0 };

interface ListeningProps {
  /** Of the same bars; the first lends the others its own. They stay as they are for a page's life. */
  readonly takes: readonly (TakeToHear & { readonly name: ReactNode })[];
  /** Where the notes of the piece are had, if it has any. */
  readonly notes: string | undefined;
  /** For whoever goes through takes by the keys: more of them, told the bar that is heard. */
  readonly desk?: DeskKeys | undefined;
}

export interface DeskKeys {
  /** The waveform takes the keys when this changes. */
  readonly on: string;
  readonly keys: Readonly<Record<string, (bar: number | undefined) => void>>;
}

/** Opens takes once and closes them with the page. */
function useTakes(takes: readonly TakeToHear[]) {
  const [asked] = useState(takes);
  const [player, setPlayer] = useState<TakePlayer | "broken" | "missing" | undefined>(undefined);
  useEffect(() => {
    let over = false;
    let opened: TakePlayer | undefined;
    openTakes(asked).then(
      (voices) => {
        opened = new TakePlayer(voices, () => setPlayer("broken"));
        if (over) opened.dispose();
        else setPlayer(opened);
      },
      (error) => setPlayer(error instanceof SoundMissing ? "missing" : "broken"),
    );
    return () => {
      over = true;
      opened?.dispose();
      setPlayer(undefined);
    };
  }, [asked]);
  return player;
}

/** Takes drawn over their bars, played from any of them, a stretch of them round and round. */
export function Listening(props: ListeningProps) {
  const player = useTakes(props.takes);
  if (player === "broken" || player === "missing") return <p role="alert">{said[player]}</p>;
  if (!player) return <Opening notes={props.notes !== undefined} />;
  return <Opened player={player} {...props} />;
}

/** Until it is there it has its room: nothing below moves away from under a finger. */
export function Opening({ notes }: { readonly notes: boolean }) {
  return (
    <p role="status" className={styles.opening} data-notes={notes || undefined}>
      {said.opening}
    </p>
  );
}

function Opened({ player, takes, notes, desk }: ListeningProps & { readonly player: TakePlayer }) {
  const { playing, at, hears } = useSyncExternalStore(
    player.subscribe,
    player.snapshot,
    () => RESTS,
  );
  const { from, until, bars: told } = takes[0]!.about;
  const length = until - from;
  // The last bar of a play that was broken off is shorter.
  const bars = told.map((bar) => {
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
  const several = takes.length > 1;
  const box = useRef<HTMLDivElement>(null);
  const on = desk?.on;
  useEffect(() => {
    if (on !== undefined) box.current?.focus({ preventScroll: true });
  }, [on]);
  const keys: Record<string, () => void> = {
    " ": player.toggle,
    ArrowLeft: () => playBar(Math.max(0, heard - 1)),
    ArrowRight: () => playBar(Math.min(bars.length - 1, heard + 1)),
    ...(several && { Enter: () => player.hear((hears + 1) % takes.length) }),
  };
  return (
    <div className={styles.listening} data-heard={`${from} ${until}`}>
      {notes && (
        <FollowedNotes
          address={notes}
          from={Math.min(...bars.map(({ bar }) => bar))}
          to={Math.max(...bars.map(({ bar }) => bar))}
          here={bars[heard]?.bar}
        />
      )}
      <div
        ref={box}
        className={styles.waveBox}
        tabIndex={0}
        role="group"
        aria-label={several ? said.waves : said.wave}
        onKeyDown={(event) => {
          if (event.target !== event.currentTarget) return;
          const { ctrlKey, altKey, metaKey, key } = event;
          const more = ctrlKey || altKey || metaKey ? undefined : desk?.keys[key.toLowerCase()];
          const act = keys[key] ?? (more && (() => more(bars[heard]?.bar)));
          if (!act) return;
          event.preventDefault();
          act();
        }}
      >
        {takes.map(({ url }, index) => (
          <div key={url} data-quiet={index === hears ? undefined : ""} className={styles.voice}>
            <Wave player={player} index={index} />
          </div>
        ))}
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
      {several && <Which takes={takes} hears={hears} onHear={(index) => player.hear(index)} />}
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
      {desk && <p className={styles.soft}>{said.deskKeys}</p>}
    </div>
  );
}

interface WhichProps {
  readonly takes: ListeningProps["takes"];
  readonly hears: number;
  readonly onHear: (index: number) => void;
}

/** Which of the takes is heard; the other goes on in the same beat. */
function Which({ takes, hears, onHear }: WhichProps) {
  return (
    <fieldset className={styles.which}>
      <legend>{said.which}</legend>
      {takes.map(({ url, name }, index) => (
        <label key={url} className={styles.choice}>
          <input
            type="radio"
            name="hears"
            checked={index === hears}
            onChange={() => onHear(index)}
          />
          {name}
        </label>
      ))}
    </fieldset>
  );
}
