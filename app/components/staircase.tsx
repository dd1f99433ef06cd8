import { memo, useMemo, type PointerEvent } from "react";
import { words } from "~/words/stand-words";
import { goalLabel } from "./goal-label";
import { labelledTempi, STEP_STATUSES, staircaseShape, type Step } from "./staircase-shape";
import styles from "./staircase.module.css";

export type { Step };

export interface StaircaseProps {
  readonly steps: readonly Step[];
  readonly target: number;
  readonly comfortable?: number | undefined;
  readonly ceiling?: number | undefined;
  /** The full tempo, where numbers are told in percent of it. */
  readonly of?: number | null | undefined;
  /** The tempo that the week is for. */
  readonly goal?: number | undefined;
  readonly hidden?: boolean;
  readonly height?: number;
  /** Numbers to be read from a distance. */
  readonly large?: boolean;
  /** A small drawing of the path alone: no numbers, no marks. */
  readonly small?: boolean;
  /** The rung that is looked at. */
  readonly selected?: number | undefined;
  readonly onPick?: (index: number) => void;
}

const WIDTH = { usual: 640, small: 132 };
const LEFT = { usual: 44, percent: 60, large: 64, percentLarge: 92, small: 4 };
const RIGHT = { labelled: 128, bare: 16, small: 4 };
const TOP = { usual: 26, small: 10 };
const BOTTOM = { usual: 22, small: 8 };
const LANE = { usual: 64, small: 20 };
const LABEL_GAP = { usual: 17, large: 25 };

function leftOf({ small, large, of }: StaircaseProps): number {
  if (small) return LEFT.small;
  if (of) return large ? LEFT.percentLarge : LEFT.percent;
  return large ? LEFT.large : LEFT.usual;
}

function frameOf(props: StaircaseProps) {
  const { steps, comfortable, small, height = 300 } = props;
  const size = small ? "small" : "usual";
  const hasLanes = steps.some(({ lane }) => lane !== undefined);
  const floor = height - BOTTOM[size];
  const right = small ? RIGHT.small : comfortable === undefined ? RIGHT.bare : RIGHT.labelled;
  return {
    left: leftOf(props),
    right: WIDTH[size] - right,
    top: TOP[size],
    bottom: hasLanes ? floor - LANE[size] - (small ? 8 : 20) : floor,
    lane: hasLanes ? ([floor - LANE[size], floor] as const) : undefined,
  };
}

/** A flat path lies in the middle; others fill the height. */
function scaleOf({ steps, target, comfortable, ceiling, hidden, small }: StaircaseProps) {
  const tempi = steps.flatMap(({ tempo, top = tempo }) => [tempo, top]);
  const seen = hidden || small ? [] : [comfortable ?? Infinity];
  let lowest = Math.min(...seen, ...(tempi.length < 5000 ? tempi : [tempi[0]!])) * 0.97;
  let highest = Math.max(target, ...tempi, Math.min(ceiling ?? 0, target * 1.15)) * 1.01;
  if (highest - lowest < target * 0.1) {
    lowest = target * 0.8;
    highest = target * 1.2;
  }
  return { lowest, highest };
}

/** The height of a letter, as in the style sheet. */
const LETTER = { usual: 14, large: 22 };

/**
 * The staircase of rungs: height is tempo, the length of a tread is the time it is expected to
 * take, the lane under it what is played. What has passed and what is now are solid in their
 * colours; what lies ahead is bare wood; what lies below today's start and was never passed is only
 * outlined.
 */
export const Staircase = memo(function Staircase(props: StaircaseProps) {
  const { steps, target, comfortable, ceiling, goal, selected, of } = props;
  const told = (tempo: number) => words.staircase.tempo(tempo, of ?? null);
  const goalSaid = goal === undefined ? "" : words.staircase.goal(told(goal));
  const { hidden = false, height = 300, large = false, small = false } = props;
  const frame = frameOf(props);
  const scale = scaleOf(props);
  const { left, right, top, bottom, lane } = frame;
  const shape = useMemo(
    () => staircaseShape(steps, frame, scale),
    // The frame and the scale follow from what is named here.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [steps, target, comfortable, ceiling, height, small, hidden],
  );
  if (steps.length === 0) return null;
  const { y, treads, lanes, spans } = shape;
  const { lowest, highest } = scale;
  const inside = (tempo: number) => tempo >= lowest && tempo <= highest;
  const gap = large ? LABEL_GAP.large : LABEL_GAP.usual;
  const named =
    hidden || small
      ? []
      : labelledTempi(
          steps.flatMap(({ tempo, top = tempo }) => [tempo, top]),
          y,
          gap,
        );
  const now = steps.find(({ status }) => status === "now");
  const picked = selected === undefined ? undefined : spans[selected];
  const label = words.staircase.label(
    steps.length,
    hidden ? undefined : [told(steps[0]!.tempo), told(steps.at(-1)!.tempo)],
    of ? "" : words.staircase.unit,
  );
  const classes = [
    styles.staircase,
    large ? styles.large : "",
    small ? styles.small : "",
    (right - left) / steps.length < 4 ? styles.dense : "",
  ];
  const pick = (event: PointerEvent<SVGSVGElement>) => {
    const at = alongX(event.currentTarget, event.clientX);
    const index = spans.findIndex(({ x, length }) => at >= x && at < x + length);
    if (index !== -1) props.onPick?.(index);
  };
  return (
    <svg
      {...(props.onPick ? { onPointerUp: pick } : {})}
      viewBox={`0 0 ${small ? WIDTH.small : WIDTH.usual} ${height}`}
      className={classes.join(" ")}
      preserveAspectRatio="xMinYMid"
      {...(small ? { "aria-hidden": true } : { role: "img", "aria-label": label })}
    >
      {!hidden && comfortable !== undefined && inside(comfortable) && (
        <g className={styles.comfort}>
          <rect
            x={left}
            y={y(comfortable)}
            width={right - left}
            height={Math.max(0, bottom - y(comfortable))}
          />
          <text x={right + 10} y={y(comfortable) + 5}>
            {words.staircase.comfortable(told(comfortable))}
          </text>
        </g>
      )}
      {!hidden && ceiling !== undefined && inside(ceiling) && (
        <g className={styles.ceiling}>
          <path d={`M${left} ${y(ceiling)}H${right}`} />
          <text x={right + 10} y={ceilingLabel(y(ceiling), comfortable && y(comfortable))}>
            {words.staircase.ceiling(told(ceiling))}
          </text>
        </g>
      )}
      {!hidden && !small && goal !== undefined && inside(goal) && (
        <g className={styles.goal}>
          <path d={`M${left} ${y(goal)}H${right}`} />
          <text
            {...goalLabel(goalSaid, large ? LETTER.large : LETTER.usual, goal, steps, shape, frame)}
          >
            {goalSaid}
          </text>
        </g>
      )}
      {picked && (
        <rect
          className={styles.selected}
          x={picked.x - 2}
          y={top - 12}
          width={Math.max(5, picked.length + 4)}
          height={(lane?.[1] ?? bottom) - top + 16}
        />
      )}
      {shape.edges.map((x) => (
        <path key={x} className={styles.edge} d={`M${x} ${top - 10}V${lane?.[1] ?? bottom}`} />
      ))}
      <path className={styles.riser} d={shape.risers} />
      {STEP_STATUSES.map((status) => (
        <g key={status} className={styles[status]}>
          {treads[status] && <path className={styles.tread} d={treads[status]} />}
          {lanes[status] && <path className={styles.lane} d={lanes[status]} />}
        </g>
      ))}
      {shape.fast && <path className={styles.fast} d={shape.fast} />}
      {named.map((tempo) => (
        <text
          key={tempo}
          className={`${styles.number} ${now?.tempo === tempo ? styles.nowNumber : ""}`}
          x={left - 10}
          y={y(tempo) + 5}
        >
          {told(tempo)}
        </text>
      ))}
    </svg>
  );
});

/** A point of the screen in the drawing's own units. */
function alongX(svg: SVGSVGElement, clientX: number): number {
  const box = svg.getBoundingClientRect();
  return ((clientX - box.left) * svg.viewBox.baseVal.width) / box.width;
}

const LINE = 16;

/** Below the comfortable tempo's label when both would lie on each other. */
const ceilingLabel = (at: number, other: number | undefined): number =>
  (other !== undefined && Math.abs(at - other) < LINE ? other - LINE : at) + 5;
