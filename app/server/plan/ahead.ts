import {
  estimateOf,
  notAbove,
  outlookOf,
  someDaysLater,
  type Ahead,
  type DatedOutlook,
  type PassageOutlook,
} from "~/core/record";
import type { AssignmentItem, Often } from "~/core/week";
import { addDays, daysBetween, type Day } from "~/core/units";
import type { Passage } from "~/db/queries";
import { passageTempo } from "./passage-tempo";
import { standingOf } from "./standing";
import { openItems, type RunningWeek } from "./week-on";

/** Fewer plays tell nothing of days ahead. */
export const LEAST_PLAYS = 10;
/** Further ahead nothing can be told that would not be told of a year as well. */
const FURTHEST = 400;

/** Days from today to a date, as far as anything can be told. */
export const daysAhead = (today: Day, date: Day): number =>
  Math.min(FURTHEST, daysBetween(today, date));

/** Where nobody has said when there is time, or how long. */
const USUAL_DAYS = 5;
const USUAL_MINUTES = 10;
/** So many days ahead are drawn where no date is set. */
const DRAWN_DAYS = 28;
const FAN_STEPS = 14;
const FAN_BEYOND = 1.1;

export interface AheadInputs {
  readonly today: Day;
  readonly concert: Day | null;
  readonly week: RunningWeek | undefined;
  /** Days of a week on which there is time to practise; 0 where nobody has said. */
  readonly weekdays: number;
  /** Nothing that asks for more is said until nothing hurts any more. */
  readonly hurts: boolean;
}

/** Days of a week on which an item is practised. */
function daysOfItem(often: Often | undefined, weekdays: number): number {
  const most = weekdays > 0 ? weekdays : USUAL_DAYS;
  if (often?.kind === "times") return Math.min(often.times, most);
  if (often?.kind === "every-other") return Math.min(3.5, most);
  return most;
}

const itemOf = (week: RunningWeek | undefined, passageId: string): AssignmentItem | undefined =>
  week && openItems(week).find((item) => item.passageId === passageId);

/** How a passage goes on from today; undefined without a level. */
export function aheadOf(passage: Passage, inputs: AheadInputs): Omit<Ahead, "days"> | undefined {
  const standing = standingOf(passage, inputs.today, "common");
  if (!standing) return undefined;
  const item = itemOf(inputs.week, passage.id);
  return {
    level: standing.level,
    target: passage.ladder?.target ?? passageTempo(passage).full,
    practised: daysOfItem(item?.often, inputs.weekdays) / 7,
    minutes: item?.minutes ?? passage.ladder?.minutes ?? USUAL_MINUTES,
  };
}

/** The dates that a passage has, the nearest first. */
function datesOf(passage: Passage, target: number, { today, concert, week }: AheadInputs) {
  const goal = itemOf(week, passage.id)?.goalTempo ?? null;
  const dates = [
    ...(week && goal !== null
      ? [{ kind: "week" as const, day: week.until_day, target: goal }]
      : []),
    ...(concert ? [{ kind: "concert" as const, day: concert, target }] : []),
  ];
  return dates.filter(({ day }) => day >= today);
}

/** The comfortable tempo on the days up to one, as it is likely to go on. */
function fanOf(ahead: Omit<Ahead, "days">, most: number | null, today: Day, days: number) {
  const fan: PassageOutlook["fan"][number][] = [];
  const every = Math.max(1, Math.ceil(days / FAN_STEPS));
  const beyond = FAN_BEYOND * Math.max(ahead.target, most ?? 0);
  let level = ahead.level;
  for (let day = 0; day <= days; day++) {
    if (day % every === 0 || day === days) {
      const { comfortable } = estimateOf(level);
      fan.push({
        day: addDays(today, day),
        // Today it is held back by what was passed; later on, what lies far beyond is not asked for.
        ...notAbove(comfortable, day === 0 ? most : beyond),
      });
    }
    level = someDaysLater(level, ahead.practised);
  }
  return fan;
}

/** Whether the dates of a passage will hold, and how it is likely to go on. */
export function passageOutlook(passage: Passage, inputs: AheadInputs): PassageOutlook | undefined {
  const ahead = aheadOf(passage, inputs);
  const standing = standingOf(passage, inputs.today, "common");
  if (!ahead || !standing) return undefined;
  const { practiceDays } = passage;
  if (passage.plays < LEAST_PLAYS) return { practiceDays, unknown: true, dates: [], fan: [] };
  const dates = datesOf(passage, ahead.target, inputs).map(
    ({ kind, day, target }): DatedOutlook => {
      const days = daysAhead(inputs.today, day);
      const outlook = outlookOf({ ...ahead, target, days });
      const asksMore = ({ kind: change }: (typeof outlook.changes)[number]) =>
        change === "day-more" || change === "minutes-more";
      const { likely } = outlook.ahead;
      return {
        ...outlook,
        changes: outlook.changes.filter((change) => !inputs.hurts || !asksMore(change)),
        ...{ kind, day, target },
        minutes: likely === undefined ? null : Math.round(likely * ahead.practised * ahead.minutes),
      };
    },
  );
  const last = dates.at(-1)?.day;
  const drawn = last ? daysAhead(inputs.today, last) : DRAWN_DAYS;
  return {
    practiceDays,
    unknown: false,
    dates,
    fan: fanOf(ahead, standing.most, inputs.today, drawn),
  };
}
