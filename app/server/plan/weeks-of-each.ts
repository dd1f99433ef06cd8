import type { ItemDays, WeekTimes } from "~/core/week";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { weeksOfAll, type Assignment } from "~/db/queries";
import { rawIn } from "./raw";
import { stretchesOf, weekOn } from "./week-on";
import { keepDays, planWeek, readFrom, whatHappenedToAll, type Happened } from "./week-plan";

interface Student {
  readonly id: string;
  readonly times: WeekTimes;
}

export interface OneOfAll {
  /** The week that is on, the next one without one, or the last. */
  readonly week: Assignment | undefined;
  readonly happened: Happened;
  /** Its stretches, the last of them the one that is on; none where nobody goes by it any more. */
  readonly stretches: readonly ItemDays[];
}

/** The weeks of several students as they were asked and went, read at once. */
export async function weeksOfEach(
  db: Queries,
  studioId: string,
  students: readonly Student[],
  { since, today }: { readonly since: Day; readonly today: Day },
): Promise<ReadonlyMap<string, OneOfAll>> {
  const weeks = await weeksOfAll(db, studioId, today);
  const from = [since, ...weeks.map(readFrom)].toSorted()[0]!;
  const happenedFor = await whatHappenedToAll(db, studioId, from, today);
  const raw = await rawIn(db, studioId, weeks, today);
  const weekFor = new Map(weeks.map((week) => [week.person_id, week]));
  const all = new Map<string, OneOfAll>();
  for (const { id, times } of students) {
    const week = weekFor.get(id);
    const happened = happenedFor(id);
    const goesBy = week && (week.from_day > today || weekOn([week], today) !== undefined);
    const stretches = (goesBy ? stretchesOf(week, today) : []).map((stretch) =>
      planWeek({ week: stretch, times, happened, raw, today }),
    );
    for (const plan of stretches) {
      await keepDays(db, { studioId, personId: id }, plan, happened, today);
    }
    all.set(id, { week, happened, stretches });
  }
  return all;
}
