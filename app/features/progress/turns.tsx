import { useFormats } from "~/components/locale";
import type { LadderChanged, SchoolName } from "~/core/ladder";
import type { Day } from "~/core/units";
import { turnTold } from "~/words/turns";
import styles from "./progress.module.css";

/** Where something turned: the ladder was set or changed, or nothing was played for a while. */
export type Turn =
  | (LadderChanged & { readonly day: Day })
  | { readonly kind: "set"; readonly day: Day; readonly schools: readonly SchoolName[] }
  | { readonly kind: "pause"; readonly day: Day; readonly days: number };

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
