import { mayRestLong } from "~/core/week";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { passagesNamed, type Assignment, type Passage } from "~/db/queries";
import { stateOf } from "./passage-line";

/** Passages that can't be played yet: of these a week must not rest too long. */
export const rawOf = (passages: readonly Passage[], today: Day): ReadonlySet<string> =>
  new Set(passages.filter((each) => stateOf(each, today) === "raw").map(({ id }) => id));

/** The same of everyone, read only where it matters to a week. */
export async function rawIn(
  db: Queries,
  studioId: string,
  weeks: readonly Pick<Assignment, "text">[],
  today: Day,
): Promise<ReadonlySet<string>> {
  const named = weeks.flatMap(({ text }) =>
    text.items.flatMap(({ passageId, often }) =>
      mayRestLong(often) && passageId ? passageId : [],
    ),
  );
  return rawOf(await passagesNamed(db, studioId, named), today);
}
