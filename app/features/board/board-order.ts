import type { Look } from "~/core/judge";
import type { BlockKind } from "~/core/session";
import type { Day } from "~/core/units";
import type { LineDay } from "./week-bars";

/** A student on the board, from the last lesson to the next. */
export interface Line {
  readonly id: string;
  readonly name: string;
  readonly instrument: string;
  readonly days: readonly LineDay[];
  readonly goal: number | undefined;
  readonly until: Day | undefined;
  /** A week is on: its lesson can be moved. */
  readonly canMove: boolean;
  readonly inGroup: boolean;
  readonly groups: readonly string[];
  readonly lessonToday: string | undefined;
  readonly last:
    | {
        readonly day: Day;
        readonly titles: readonly string[];
        readonly kinds: readonly BlockKind[];
        readonly byHand: number;
      }
    | undefined;
  readonly looks: readonly Look[];
}

export const BOARD_ORDERS = ["look", "lesson"] as const;
export type BoardOrder = (typeof BOARD_ORDERS)[number];

export interface Asked {
  readonly find: string;
  readonly order: BoardOrder;
  /** Only students who need a look: for this, or for anything. */
  readonly look: Look["kind"] | "any" | "";
  /** Only students of this group; everyone without one. */
  readonly group: string;
}

type Compared = Pick<Line, "lessonToday" | "looks" | "until">;

const byClock = (a: Compared, b: Compared): number =>
  Number(b.lessonToday !== undefined) - Number(a.lessonToday !== undefined) ||
  (a.lessonToday ?? "").localeCompare(b.lessonToday ?? "");

/** What somebody has to see to, the most urgent first; anything else is told and can wait. */
const URGENT: readonly Look["kind"][] = ["pain", "question", "silent", "stuck", "felt"];

export const needsAttention = ({ looks }: Pick<Line, "looks">): boolean =>
  looks.some(({ kind }) => URGENT.includes(kind));

const urgency = ({ looks }: Compared): number =>
  Math.min(...looks.map(({ kind }) => URGENT.indexOf(kind)).filter((at) => at >= 0), URGENT.length);

const ORDERS: Record<BoardOrder, (a: Compared, b: Compared) => number> = {
  // Whoever was hurt comes before anything else that there is to say.
  look: (a, b) => byClock(a, b) || urgency(a) - urgency(b) || b.looks.length - a.looks.length,
  // Who has no week comes last; a lesson that is overdue stands before the others.
  lesson: (a, b) => byClock(a, b) || (a.until ?? "9999").localeCompare(b.until ?? "9999"),
};

/** The lines that are asked for: today's lessons by the clock first, then in the order wanted. */
export function ordered<L extends Line>(
  lines: readonly L[],
  { find, order, look, group }: Asked,
): L[] {
  const wanted = find.trim().toLocaleLowerCase();
  return lines
    .filter(({ name, instrument }) => `${name} ${instrument}`.toLocaleLowerCase().includes(wanted))
    .filter(({ groups }) => group === "" || groups.includes(group))
    .filter(
      (line) =>
        look === "" ||
        (look === "any" ? needsAttention(line) : line.looks.some(({ kind }) => kind === look)),
    )
    .toSorted(ORDERS[order]);
}

/** What some of the students need a look for, with how many they are. */
export function looksOn(lines: readonly Line[]): Map<Look["kind"], number> {
  const counts = new Map<Look["kind"], number>();
  for (const { looks } of lines) {
    for (const kind of new Set(looks.map((each) => each.kind))) {
      counts.set(kind, (counts.get(kind) ?? 0) + 1);
    }
  }
  return counts;
}
