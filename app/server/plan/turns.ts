import { whatChanged, type Turn } from "~/core/ladder";
import { dayOf, daysBetween, type Day } from "~/core/units";
import type { laddersOf } from "~/db/queries";

/** So many days off are a pause. */
const PAUSE_DAYS = 7;
/** The latest of them: more can't be told apart in a drawing. */
const MOST = 9;

type Given = Awaited<ReturnType<typeof laddersOf>>[number];

/** Changes of a passage's ladder and pauses in its practice, the oldest first. */
export function turnsOf(
  ladders: readonly Given[],
  played: readonly Day[],
  today: Day,
  timeZone: string,
): Turn[] {
  const changes = ladders.flatMap(({ at, ladder }, i): Turn[] => {
    const day = dayOf(at.getTime(), timeZone);
    const before = ladders[i - 1];
    if (!before) {
      return [{ kind: "set", day, schools: ladder.phases.map(({ school }) => school.name) }];
    }
    const changed = whatChanged(before.ladder, ladder);
    return changed ? [{ ...changed, day }] : [];
  });
  const pauses = [...played, today].flatMap((day, i, all): Turn[] => {
    const before = all[i - 1];
    const off = before === undefined ? 0 : daysBetween(before, day) - 1;
    return off >= PAUSE_DAYS ? [{ kind: "pause", day: before!, days: off }] : [];
  });
  return [...changes, ...pauses]
    .toSorted((one, other) => (one.day < other.day ? -1 : one.day > other.day ? 1 : 0))
    .slice(-MOST);
}
