import type { Block, Try } from "~/core/session";
import { words } from "~/words/stand-words";
import { useStand } from "./stand-context";
import styles from "./trying.module.css";

interface TryingProps {
  readonly plan: Pick<Block, "bars">;
  readonly trying: Try;
}

/** Said while runs are just tried, with the bars that are: nothing of it counts. */
export function Trying({ plan, trying }: TryingProps) {
  const { send } = useStand();
  const { trying: said } = words.stand;
  const { fromBar, toBar } = trying;
  const bars = [...new Set(plan.bars.map(({ number }) => number))];
  const choose = (from: number, to: number) =>
    send({ kind: "try-bars", fromBar: Math.min(from, to), toBar: Math.max(from, to) });
  const field = (label: string, value: number, onChoose: (bar: number) => void) => (
    <label>
      {label}
      <select value={value} onChange={(event) => onChoose(Number(event.target.value))}>
        {bars.map((bar) => (
          <option key={bar}>{bar}</option>
        ))}
      </select>
    </label>
  );
  return (
    <div className={styles.trying} role="group" aria-label={said.title}>
      <strong>{said.title}</strong>
      {bars.length > 1 && (
        <span>
          {field(said.from, fromBar, (bar) => choose(bar, Math.max(bar, toBar)))}
          {field(said.to, toBar, (bar) => choose(Math.min(bar, fromBar), bar))}
        </span>
      )}
    </div>
  );
}
