/** What is drawn under a rung, to tell what is played on it. */
export type Lane =
  /** A band of links out of all. */
  | { readonly kind: "links"; readonly from: number; readonly to: number; readonly of: number }
  /** Ticks along the rung, 0–1: clicks or notes. */
  | { readonly kind: "ticks"; readonly at: readonly number[] }
  /** So many layers of so many, one upon the other. */
  | { readonly kind: "layers"; readonly count: number; readonly of: number };

export const STEP_STATUSES = ["passed", "left-out", "now", "ahead"] as const;
export type StepStatus = (typeof STEP_STATUSES)[number];

export interface Step {
  readonly tempo: number;
  /** The fast plays of a cycle; otherwise the tempo. */
  readonly top?: number;
  /** Expected minutes on this rung; treads are as long as they last. */
  readonly minutes: number;
  readonly status: StepStatus;
  readonly phase?: number;
  readonly lane?: Lane | undefined;
}

export interface Frame {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
  /** Upper and lower edge of the lane under the stairs; none without lanes. */
  readonly lane: readonly [number, number] | undefined;
}

type Paths = Record<StepStatus, string>;

export interface StaircaseShape {
  readonly spans: readonly { readonly x: number; readonly length: number }[];
  readonly treads: Paths;
  readonly fast: string;
  readonly risers: string;
  readonly lanes: Paths;
  /** Where one school ends and the next begins. */
  readonly edges: readonly number[];
  readonly y: (tempo: number) => number;
}

const TREAD = 7;
const LEAST_PART = 3;
const MOST_MINUTES = 1e4;
/** Below this a tread shows neither ticks nor a gap. */
const SLENDER = 5;
/** A tenth of a unit is finer than any screen, and keeps the drawing's text short. */
const near = (value: number): number => Math.round(value * 10) / 10;

const byStatus = <T>(of: (status: StepStatus) => T): Record<StepStatus, T> => ({
  passed: of("passed"),
  "left-out": of("left-out"),
  now: of("now"),
  ahead: of("ahead"),
});

/** Treads wide enough to be seen, else in proportion to their minutes. */
function spansOf(steps: readonly Step[], { left, right }: Frame) {
  const width = right - left;
  const least = width / (steps.length * LEAST_PART);
  const known = steps.map(({ minutes }) =>
    Number.isFinite(minutes) ? Math.min(minutes, MOST_MINUTES) : MOST_MINUTES,
  );
  const sum = known.reduce((total, m) => total + m, 0);
  // No minutes at all are shared evenly.
  const shares = sum > 0 ? known.map((m) => m / sum) : known.map(() => 1 / steps.length);
  const free = width - least * steps.length;
  let x = left;
  return shares.map((share) => {
    const length = least + free * share;
    const span = { x: near(x), length: near(length) };
    x += length;
    return span;
  });
}

const box = (x: number, y: number, width: number, height: number): string =>
  `M${near(x)} ${near(y)}h${near(width)}v${near(height)}h${near(-width)}z`;

function lanePath(
  lane: Lane,
  { x, length }: { x: number; length: number },
  [upper, lower]: readonly [number, number],
): string {
  const gap = length > SLENDER ? 1 : 0;
  const height = lower - upper;
  switch (lane.kind) {
    case "links": {
      const each = height / lane.of;
      // The first link lies at the bottom, as in a score that is read upwards.
      const y = lower - lane.to * each;
      return box(
        x,
        y,
        Math.max(0.6, length - gap),
        Math.max(1, (lane.to - lane.from + 1) * each - gap),
      );
    }
    case "ticks":
      if (length < SLENDER) return "";
      return lane.at.map((at) => box(x + at * (length - 4), upper, 1.4, height)).join("");
    case "layers": {
      const each = height / lane.of;
      const layers = Array.from({ length: lane.count }, (_, i) => lower - (i + 1) * each);
      return layers.map((y) => box(x, y, length - gap * 2, each * 0.6)).join("");
    }
  }
}

/** Everything of a staircase that depends on its rungs, as few paths, however many rungs. */
export function staircaseShape(
  steps: readonly Step[],
  frame: Frame,
  { lowest, highest }: { readonly lowest: number; readonly highest: number },
): StaircaseShape {
  const height = frame.bottom - frame.top;
  const y = (tempo: number) =>
    near(frame.top + height * (1 - (tempo - lowest) / Math.max(1, highest - lowest)));
  const spans = spansOf(steps, frame);
  const treads = byStatus(() => [] as string[]);
  const lanes = byStatus(() => [] as string[]);
  const fast: string[] = [];
  const risers: string[] = [];
  const edges: number[] = [];
  steps.forEach((step, i) => {
    const { x, length } = spans[i]!;
    const { tempo, top = tempo, status, lane } = step;
    const next = steps[i + 1];
    treads[status].push(box(x, y(tempo) - TREAD / 2, Math.max(1.2, length), TREAD));
    if (top !== tempo) fast.push(box(x, y(top) - 2, Math.max(1.2, length), 4));
    if (next) risers.push(`M${near(x + length)} ${y(tempo)}V${y(next.tempo)}`);
    if (next && (next.phase ?? 0) !== (step.phase ?? 0)) edges.push(near(x + length));
    if (lane && frame.lane) lanes[status].push(lanePath(lane, spans[i]!, frame.lane));
  });
  const joined = (paths: Record<StepStatus, string[]>): Paths =>
    byStatus((status) => paths[status].join(""));
  return {
    spans,
    treads: joined(treads),
    fast: fast.join(""),
    risers: risers.join(""),
    lanes: joined(lanes),
    edges,
    y,
  };
}

/** Labels from the top down, none closer than a line to the one before. */
export function labelledTempi(
  tempi: readonly number[],
  y: (tempo: number) => number,
  gap: number,
): number[] {
  let last = -Infinity;
  return [...new Set(tempi)]
    .sort((a, b) => b - a)
    .filter((tempo) => {
      if (y(tempo) - last < gap) return false;
      last = y(tempo);
      return true;
    });
}
