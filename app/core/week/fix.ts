import type { AssignmentItem } from "./assignment";
import type { StudentWeek } from "./told";

/** How a week that asks too much is made to fit. */
export const FIXES = ["fewer-times", "fewer-minutes"] as const;
export type Fix = (typeof FIXES)[number];

const FEWEST_MINUTES = 3;
const MOST_STEPS = 120;
/** A long item gives way by more than a minute at once. */
const SHARE_AT_ONCE = 0.1;

export const asksTooMuch = ({ notes }: Pick<StudentWeek, "notes">): boolean =>
  notes.some(({ kind }) => kind === "too-much" || kind === "falls-out");

/** A time less: every day becomes every other day, that becomes three times, and so on. */
function lessOften(item: AssignmentItem, fewest: number): AssignmentItem | undefined {
  const { often } = item;
  if (often.kind === "daily") return { ...item, often: { kind: "every-other" } };
  if (often.kind === "every-other") return { ...item, often: { kind: "times", times: 3 } };
  return often.times > fewest
    ? { ...item, often: { kind: "times", times: often.times - 1 } }
    : undefined;
}

function shorter(item: AssignmentItem): AssignmentItem | undefined {
  const less = item.minutes - Math.max(1, Math.floor(item.minutes * SHARE_AT_ONCE));
  return less >= FEWEST_MINUTES ? { ...item, minutes: less } : undefined;
}

interface Inputs {
  readonly fix: Fix;
  /** The week as it would be with some items. */
  readonly preview: (items: readonly AssignmentItem[]) => StudentWeek;
  /** Passages that can't be played yet. */
  readonly raw: ReadonlySet<string>;
}

/** What is away from the instrument gives way first, what can't be played yet last. */
function rankOf({ passageId, kind }: AssignmentItem, raw: ReadonlySet<string>): number {
  if (passageId !== null) return raw.has(passageId) ? 2 : 1;
  return kind === "listening" || kind === "theory" || kind === "reading" ? 0 : 1;
}

const RANKS = 3;
const timesAWeek = ({ often }: AssignmentItem): number =>
  often.kind === "daily" ? 7 : often.kind === "every-other" ? 3.5 : often.times;

/**
 * The items with fewer times, or fewer minutes, until all of it fits. What matters least gives way
 * first, down to half; then the next; and only then more of the first. Of equals the one that takes
 * most gives way; what can't be played yet is never left to one day.
 * Undefined when nothing can give way any more.
 */
export function fitted(
  all: readonly AssignmentItem[],
  { fix, preview, raw }: Inputs,
): readonly AssignmentItem[] | undefined {
  let items = all;
  for (let step = 0; step < MOST_STEPS; step++) {
    const week = preview(items);
    if (!asksTooMuch(week)) return items;
    const days = (id: string) =>
      week.days.filter(({ asked }) => asked.some(({ itemId }) => itemId === id)).length;
    const [least] = items
      .flatMap((item, index) => {
        const was = all[index]!;
        const rank = rankOf(item, raw);
        const less = fix === "fewer-times" ? lessOften(item, rank === 2 ? 2 : 1) : shorter(item);
        if (!less) return [];
        const share = (item.minutes * timesAWeek(item)) / (was.minutes * timesAWeek(was));
        const order = share > 0.5 ? rank : rank + RANKS;
        return [{ index, less, order, taken: item.minutes * Math.max(1, days(item.id)) }];
      })
      .toSorted((a, b) => a.order - b.order || b.taken - a.taken);
    if (!least) return undefined;
    items = items.with(least.index, least.less);
  }
  return undefined;
}
