import { TempoText } from "~/components/beat-unit";
import { useFormats } from "~/components/locale";
import type { Evenness, LogBlock } from "~/features/shapes";
import { words } from "~/words";
import styles from "./afterwards.module.css";

/** One passage of the session: from where to where, drawn as the climb it was. */
export function MovedLine({ block, even }: { block: LogBlock; even: Evenness | undefined }) {
  const formats = useFormats();
  const { start, end, reached, byClock, plays, clean, minutes } = block;
  const climbed = reached !== null && reached > start;
  return (
    <div className={styles.moved}>
      <Climb start={start} reached={reached ?? start} />
      <div>
        <strong>{block.title}</strong>, {block.name || words.bars(block.fromBar, block.toBar)}
        <p className={styles.soft}>
          {words.minutes(minutes)} · {words.cleanOf(clean, plays)}
          {even && ` · ${words.evenness(even.spread, even.bias ?? undefined)}`}
        </p>
      </div>
      <p className={climbed ? styles.big : styles.plain}>
        {climbed ? (
          <>
            {formats.tenth(start)} → <TempoText unit={block.beatUnit} bpm={reached} />
          </>
        ) : (
          <>
            {reached === null
              ? words.afterwards.noGate(end, byClock)
              : words.afterwards.reached(start, reached, end)}
          </>
        )}
      </p>
    </div>
  );
}

const WIDTH = 120;
const HEIGHT = 44;

function Climb({ start, reached }: { start: number; reached: number }) {
  const rise = Math.min(1, Math.max(0, (reached - start) / start) * 3);
  const top = HEIGHT - 8 - rise * (HEIGHT - 14);
  return (
    <svg width={WIDTH} height={HEIGHT} aria-hidden className={styles.climb}>
      <rect x="0" y={HEIGHT - 8} width="52" height="6" rx="1" className={styles.from} />
      <path d={`M56 ${HEIGHT - 5}V${top + 3}`} />
      <rect x="60" y={top} width="58" height="6" rx="1" className={styles.to} />
    </svg>
  );
}
