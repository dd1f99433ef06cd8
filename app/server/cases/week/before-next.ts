import { minutesOfItem, type AssignmentItem, type Before } from "~/core/week";
import type { Day } from "~/core/units";
import type { Passage } from "~/db/queries";
import type { Happened } from "../../plan/week-plan";
import { stateOf } from "../../plan/passage-line";

/** What the layout of a week has to know of what was practised before its first day. */
export function beforeNext(
  passages: readonly Passage[],
  items: readonly AssignmentItem[],
  happened: Happened | undefined,
  from: Day,
): Before {
  const lastDay: Record<string, Day> = {};
  const practised = (id: string, days: Iterable<Day>) => {
    const last = [...days].toSorted().findLast((each) => each < from);
    if (last) lastDay[id] = last;
  };
  for (const passage of passages) {
    const rows = happened?.played.filter(({ passage_id }) => passage_id === passage.id) ?? [];
    practised(passage.id, [...rows.map(({ day: on }) => on), passage.lastDay ?? from]);
  }
  for (const item of items) {
    if (item.passageId === null && happened) {
      practised(item.id, minutesOfItem(item, happened.facts.spent).keys());
    }
  }
  return {
    lastDay,
    raw: passages.filter((each) => stateOf(each, from) === "raw").map(({ id }) => id),
  };
}
