import { useFormats } from "~/components/locale";
import { StateMark } from "~/components/state-mark";
import type { BarRange } from "~/components/use-bar-selection";
import type { MemoryPlan, PartStanding } from "~/core/week";
import { words } from "~/words";
import { heartWords } from "~/words/by-heart";
import styles from "./by-heart.module.css";

interface HeartPartsProps {
  readonly unit: MemoryPlan["unit"];
  readonly parts: readonly PartStanding[];
  readonly selection: BarRange | undefined;
  /** Chooses the bars of a part; undefined where nothing can be said of them. */
  readonly onSelect: ((bars: BarRange) => void) | undefined;
}

const stateOf = ({ stand, since, due }: PartStanding) =>
  since === undefined ? (stand === 0 ? "raw" : "forming") : due ? "forming" : "safe";

/** A piece line by line or page by page: what of each stands by heart, and since when. */
export function HeartParts({ unit, parts, selection, onSelect }: HeartPartsProps) {
  const formats = useFormats();
  return (
    <ol className={styles.parts}>
      {parts.map((part, at) => {
        const { fromBar, toBar, stand, since, due } = part;
        const chosen = selection?.fromBar === fromBar && selection.toBar === toBar;
        const day = since && formats.shortDay(since);
        return (
          <li key={fromBar}>
            <button
              type="button"
              className={styles.part}
              aria-pressed={chosen}
              disabled={!onSelect}
              onClick={() => onSelect?.({ fromBar, toBar })}
            >
              <span>
                <span aria-hidden>
                  <StateMark state={stateOf(part)} bare />
                </span>
                <strong>{heartWords.part(unit, at + 1)}</strong>
              </span>
              <span>{words.bars(fromBar, toBar)}</span>
              <span>
                {day === undefined
                  ? heartWords.partly(stand, toBar - fromBar + 1)
                  : due
                    ? heartWords.due(day)
                    : heartWords.since(day)}
              </span>
            </button>
          </li>
        );
      })}
    </ol>
  );
}
