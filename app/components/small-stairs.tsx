import { words } from "~/words";
import { stairsCorners } from "./stairs-corners";
import styles from "./small-stairs.module.css";

interface SmallStairsProps {
  /** The tempi of today's rungs, each once in its order. */
  readonly tempi: readonly number[];
  /** The tempo that the week is for. */
  readonly goal: number | null;
}

const WIDTH = 150;
const HEIGHT = 34;
const EDGE = 4;

/** Today's way up in a line: where it starts, and how high the week's goal lies. */
export function SmallStairs({ tempi, goal }: SmallStairsProps) {
  const all = goal === null ? tempi : [...tempi, goal];
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const span = Math.max(1, high - low);
  const y = (tempo: number) => EDGE + (HEIGHT - 2 * EDGE) * (1 - (tempo - low) / span);
  const own = Math.max(1, Math.max(...tempi) - Math.min(...tempi));
  const corners = stairsCorners(tempi, {
    width: WIDTH,
    height: ((HEIGHT - 2 * EDGE) * own) / span,
  });
  const top = y(Math.max(...tempi));
  const line = corners.map(([cx, cy]) => `${cx.toFixed(1)},${(cy + top).toFixed(1)}`).join(" ");
  return (
    <svg
      className={styles.stairs}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={words.staircase.small(tempi[0] ?? 0, goal)}
    >
      {goal !== null && (
        <line className={styles.goal} x1="0" x2={WIDTH} y1={y(goal)} y2={y(goal)} />
      )}
      <polyline className={styles.line} points={line} />
      <circle className={styles.start} cx="2.5" cy={y(tempi[0] ?? low)} r="2.5" />
    </svg>
  );
}
