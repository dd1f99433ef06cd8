import { useFormats } from "~/components/locale";
import type { Turn } from "~/core/ladder";
import { turnTold } from "~/words/turns";
import styles from "./progress.module.css";

/** What changed on the way, numbered as in the chart. */
export function Turns({ turns }: { readonly turns: readonly Turn[] }) {
  const formats = useFormats();
  if (turns.length === 0) return null;
  return (
    <ol className={styles.turns}>
      {turns.map((turn, i) => (
        <li key={i}>
          {formats.shortDay(turn.day)}: {turnTold(turn)}
        </li>
      ))}
    </ol>
  );
}
