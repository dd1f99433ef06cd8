import type { AskedTask, BlockKind } from "~/core/session";
import type { AskedItem, AssignmentItem, ItemKind, WentDay } from "~/core/week";
import type { Day } from "~/core/units";
import type { Assignment } from "~/db/queries";
import { openItems } from "./week-on";
import type { Happened } from "./week-plan";

/** What an item without a passage is in a session. */
const TASK_KINDS: Readonly<Record<ItemKind, BlockKind>> = {
  technique: "technique",
  etude: "practising",
  piece: "practising",
  theory: "mental",
  reading: "learning",
  listening: "listening",
  memory: "mental",
};
/** What can be done without an instrument. */
const SILENT: ReadonlySet<ItemKind> = new Set(["theory", "reading", "listening", "memory"]);

export interface AskedToday {
  readonly items: readonly AskedItem[];
  /** Minutes still owed by passage. */
  readonly byPassage: ReadonlyMap<string, number>;
  readonly done: ReadonlySet<string>;
  /** Passages that the week names at all. */
  readonly named: ReadonlySet<string>;
  readonly tasks: readonly AskedTask[];
}

/** Minutes of it that are still owed. */
const owed = ({ minutes, practised }: AskedItem): number =>
  Math.max(1, minutes - Math.round(practised));

const taskOf = (item: AssignmentItem, minutes: number): AskedTask => ({
  itemId: item.id,
  kind: TASK_KINDS[item.kind],
  text: item.title,
  minutes,
  silent: SILENT.has(item.kind),
});

/** What a week asks of a day, and what of it is still owed. */
export function askedToday(
  week: Pick<Assignment, "text">,
  day: WentDay | undefined,
  happened: Pick<Happened, "enough">,
  today: Day,
): AskedToday {
  const open = openItems(week);
  const byPassage = new Map<string, number>();
  const tasks: AskedTask[] = [];
  const items = (day?.items ?? []).map(({ itemId, minutes, practised, done }): AskedItem => {
    const item = week.text.items.find(({ id }) => id === itemId)!;
    const { title, passageId } = item;
    const enough = happened.enough.some((each) => each.item_id === itemId && each.day === today);
    const asked = { itemId, passageId, title, minutes, practised, done, enough };
    if (done) return asked;
    if (passageId === null) tasks.push(taskOf(item, owed(asked)));
    else byPassage.set(passageId, (byPassage.get(passageId) ?? 0) + owed(asked));
    return asked;
  });
  const done = new Set(
    items.flatMap((each) => (each.done && each.passageId !== null ? each.passageId : [])),
  );
  return {
    items,
    byPassage,
    done,
    named: new Set(open.flatMap(({ passageId }) => passageId ?? [])),
    tasks,
  };
}
