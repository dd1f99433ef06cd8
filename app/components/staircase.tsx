import { words } from "~/words";
import styles from "./staircase.module.css";

export interface Step {
  readonly tempo: number;
  /** Expected minutes on this rung; treads are as long as they last. */
  readonly minutes: number;
  readonly status: "passed" | "now" | "ahead";
}

export interface StaircaseProps {
  readonly steps: readonly Step[];
  readonly target: number;
  readonly comfortable?: number | undefined;
  readonly ceiling?: number | undefined;
  readonly hidden?: boolean;
  readonly height?: number;
  /** Numbers to be read from a distance. */
  readonly large?: boolean;
}

const WIDTH = 640;
const LEFT = 44;
const RIGHT = { labelled: 128, bare: 16 };
const TOP = 26;
const BOTTOM = 22;
const LABEL_GAP = { usual: 17, large: 25 };

/** Treads wide enough to be seen, else in proportion to their minutes. */
function treads(steps: readonly Step[], width: number) {
  const least = width / (steps.length * 3);
  const known = steps.map(({ minutes }) =>
    Number.isFinite(minutes) ? Math.min(minutes, 1e4) : 1e4,
  );
  const total = known.reduce((sum, m) => sum + m, 0) || 1;
  const free = width - least * steps.length;
  let x = LEFT;
  return known.map((minutes) => {
    const length = least + (free * minutes) / total;
    const tread = { x, length };
    x += length;
    return tread;
  });
}

/** Labels from the top down, none closer than a line to the one before. */
function labelled(ys: readonly number[], gap: number): boolean[] {
  let last = -Infinity;
  const shown = [...ys].reverse().map((y) => {
    if (y - last < gap) return false;
    last = y;
    return true;
  });
  return shown.reverse();
}

/**
 * The staircase of rungs: height is tempo, the length of a tread is the time it is expected to
 * take. What has passed and what is now are solid in their colours; what lies ahead is bare wood.
 */
export function Staircase({
  steps,
  target,
  comfortable,
  ceiling,
  hidden = false,
  height = 300,
  large = false,
}: StaircaseProps) {
  if (steps.length === 0) return null;
  const lowest = Math.min(steps[0]!.tempo, comfortable ?? Infinity) * 0.97;
  const highest = Math.max(target, Math.min(ceiling ?? 0, target * 1.15)) * 1.01;
  const y = (tempo: number) =>
    TOP + (height - TOP - BOTTOM) * (1 - (tempo - lowest) / Math.max(1, highest - lowest));
  const right = WIDTH - (comfortable === undefined ? RIGHT.bare : RIGHT.labelled);
  const spans = treads(steps, right - LEFT);
  const shown = labelled(
    steps.map(({ tempo }) => y(tempo)),
    large ? LABEL_GAP.large : LABEL_GAP.usual,
  );
  const name = words.staircase.label(steps.length, hidden ? undefined : [steps[0]!.tempo, target]);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className={`${styles.staircase} ${large ? styles.large : ""}`}
      preserveAspectRatio="xMinYMid"
      role="img"
      aria-label={name}
    >
      {!hidden && comfortable !== undefined && comfortable >= lowest && (
        <g className={styles.comfort}>
          <rect
            x={LEFT}
            y={y(comfortable)}
            width={right - LEFT}
            height={Math.max(0, height - BOTTOM - y(comfortable))}
          />
          <text x={right + 10} y={y(comfortable) + 5}>
            {words.staircase.comfortable(Math.round(comfortable))}
          </text>
        </g>
      )}
      {!hidden && ceiling !== undefined && ceiling <= highest && ceiling >= lowest && (
        <g className={styles.ceiling}>
          <path d={`M${LEFT} ${y(ceiling)}H${right}`} />
          <text x={right + 10} y={y(ceiling) + 5}>
            {words.staircase.ceiling(Math.round(ceiling))}
          </text>
        </g>
      )}
      {steps.map(({ tempo, status }, i) => {
        const { x, length } = spans[i]!;
        const next = steps[i + 1];
        return (
          <g key={i} className={styles[status]}>
            {next && (
              <path className={styles.riser} d={`M${x + length} ${y(tempo)}V${y(next.tempo)}`} />
            )}
            <rect
              className={styles.tread}
              x={x}
              y={y(tempo) - 3.5}
              width={Math.max(2, length)}
              height={7}
              rx={1}
            />
            {!hidden && shown[i] && (
              <text className={styles.number} x={LEFT - 10} y={y(tempo) + 5}>
                {tempo}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
