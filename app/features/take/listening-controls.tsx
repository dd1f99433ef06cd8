import { listenWords as said } from "~/words/listen";
import type { TakePlayer } from "./player";
import styles from "./take.module.css";

const SPEEDS = [50, 60, 70, 80, 90, 100] as const;

/** How much slower it is heard, at the same pitch. */
export function Speed({ player }: { readonly player: TakePlayer }) {
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

/** A stretch of bars, round and round. */
export function Loop({ bars, loops, stretch, onLoops, onStretch }: LoopProps) {
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
