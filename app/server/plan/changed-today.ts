import * as v from "valibot";
import { changedLadder, ladderChangeSchema, RULE_NAMES } from "~/core/judge";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { todayChanges, type Passage, type TodayChange } from "~/db/queries";

const ruleSchema = v.picklist(RULE_NAMES);

/** What was changed for a day, read; nothing where a later version knows it no more. */
export function readChange({ rule, change }: Pick<TodayChange, "rule" | "change">) {
  const read = v.safeParse(v.object({ rule: ruleSchema, change: ladderChangeSchema }), {
    rule,
    change,
  });
  return read.success ? read.output : undefined;
}

/** Passages with their ladders as they are changed for today, and what was changed. */
export async function changedToday(
  db: Queries,
  studioId: string,
  personId: string,
  today: Day,
  passages: readonly Passage[],
) {
  const rows = await todayChanges(db, studioId, personId, today);
  const ladders = new Map(passages.map(({ id, ladder }) => [id, ladder]));
  // One upon the other, in the order in which they were pressed.
  const changes = rows.toReversed().flatMap((row) => {
    const read = row.day === today ? readChange(row) : undefined;
    const ladder = ladders.get(row.passage_id);
    const changed = read && ladder && changedLadder(ladder, read.change);
    if (!changed) return [];
    ladders.set(row.passage_id, changed);
    return [{ passageId: row.passage_id, ...read }];
  });
  return {
    passages: passages.map((each): Passage => ({ ...each, ladder: ladders.get(each.id) ?? null })),
    changes,
  };
}

/**
 * What a student changed for single days since a day, for the teacher to keep or not: each change of
 * a passage once, with its days; what is so by now is left out.
 */
export async function triedSince(
  db: Queries,
  studioId: string,
  personId: string,
  since: Day,
  passages: readonly Passage[],
) {
  const rows = await todayChanges(db, studioId, personId, since);
  const tried = rows.flatMap((row) => {
    const read = readChange(row);
    const ladder = passages.find(({ id }) => id === row.passage_id)?.ladder;
    const changed = read && ladder && changedLadder(ladder, read.change);
    if (!changed || JSON.stringify(changed) === JSON.stringify(ladder)) return [];
    return [{ passageId: row.passage_id, day: row.day, ...read }];
  });
  const sameAs =
    (one: (typeof tried)[number]) =>
    (other: (typeof tried)[number]): boolean =>
      one.passageId === other.passageId &&
      JSON.stringify(one.change) === JSON.stringify(other.change);
  return tried
    .filter((each, index) => tried.findIndex(sameAs(each)) === index)
    .map((each) => ({ ...each, days: tried.filter(sameAs(each)).length }));
}
