import { spanOf, staircase, todaysStart, type Ladder } from "~/core/ladder";
import { advisedStart, afterDay, daysLater, estimateOf, firstLevel } from "~/core/record";
import type { SoFar } from "./so-far";
import { asAdvised, practiceDay } from "./follow";
import { playLasts, replay, summarise, type SessionPlan, planOf } from "~/core/session";
import { addDays, bpm, type Day } from "~/core/units";
import type { Learner } from "./learner";
import { simulateSitting } from "./player";
import type { Random } from "./random";

type Bars = SessionPlan["blocks"][number]["bars"];

export interface Course {
  readonly ladder: Ladder;
  readonly bars: Bars;
  readonly learner: Learner;
  readonly random: Random;
  /** After so many days it is given up. */
  readonly mostDays: number;
  /** Follows what is advised, one change a day at most; otherwise the ladder stays as it is. */
  readonly follows?: boolean;
  /** Days on which nothing is played, counted from 0; otherwise every day is one of practice. */
  readonly off?: (day: number) => boolean;
}

export interface CourseResult {
  readonly days: number;
  readonly plays: number;
  readonly minutes: number;
  /** A clean play at the target had become nearly certain. */
  readonly stable: boolean;
}

const NEARLY_CERTAIN = 0.9;
const DAY_MS = 86_400_000;
const FIRST_DAY = Date.UTC(2026, 0, 5, 17);
const dayOf = (day: number): Day => addDays("2026-01-05", day);
const PASSAGE = "00000000-0000-4000-8000-000000000001";

/** The plan of one day, as the desk would make it: start by rule, place where it was left. */
function dayPlan({ bars }: Course, { ladder, level, ended, passed }: SoFar): SessionPlan {
  const known = estimateOf(level);
  const place = ended?.place ?? { phase: 0, stage: 0 };
  const span = spanOf(ladder, ladder.phases[place.phase]!);
  const start = todaysStart(ladder.startRule, {
    first: span.start,
    target: span.target,
    ended: ended && bpm(ended.endTempo),
    comfortable: ended ? known.comfortable.value : undefined,
    advised: ended ? advisedStart(level) : undefined,
    passed,
    tempi: staircase(ladder, { start: span.start, bars, place }).map(({ tempo }) => tempo),
  });
  const block = {
    passageId: PASSAGE,
    pieceTitle: "",
    passageName: "",
    focus: "",
    fromBar: bars[0]!.number,
    toBar: bars.at(-1)!.number,
    pickupBeats: 0,
    startBeats: 0,
    order: [],
    endBeats: 0,
    bars,
    around: { before: [], after: [] },
    beatUnit: "quarter" as const,
    ladder,
    start,
    // A ladder that was climbed to its end begins anew the next day.
    place: ended?.toppedOut ? { phase: 0, stage: 0 } : place,
    again: ended !== undefined,
    passedTempi: [],
    shareOfPassage: 1,
    comfortable: known.comfortable.value,
    ceiling: ended ? known.ceiling.value : null,
  };
  return planOf({ noVerdict: "wait", blocks: [block] });
}

/**
 * Practises one ladder day after day, in the minutes meant for it, until a clean play at the
 * target is nearly certain to this learner at the beginning of a day. A model: what comes out
 * tells how the ladder deals with such a learner, not how a person learns.
 */
export function practiseUntilStable(course: Course): CourseResult {
  const { learner, random, mostDays, off = () => false } = course;
  const { ladder } = course;
  let so: SoFar = {
    ladder,
    level: firstLevel(ladder.target),
    days: [],
    passed: undefined,
    plays: 0,
    minutes: 0,
    ended: undefined,
  };
  let nights = 0;
  for (let day = 0; day < mostDays; day++) {
    const { plays, minutes } = so;
    if (off(day)) {
      nights++;
      continue;
    }
    if (day > 0) learner.sleep(nights + 1);
    so = { ...so, level: daysLater(so.level, so.days.length > 0 ? nights + 1 : 0) };
    if (course.follows) {
      const block = dayPlan(course, so).blocks[0]!;
      const now = { today: dayOf(day), nights, start: block.start, lasts: playLasts(block) };
      so = { ...so, ladder: asAdvised(course, so, now) };
    }
    nights = 0;
    if (learner.cleanAt(ladder.target) >= NEARLY_CERTAIN) {
      return { days: day, plays, minutes, stable: true };
    }
    const plan = dayPlan(course, so);
    const startsAt = FIRST_DAY + day * DAY_MS;
    const sitting = { plan, learners: [learner], startsAt, minutes: [ladder.minutes], random };
    const state = replay(plan, simulateSitting(sitting));
    const [ended] = summarise(state);
    const played = state.plays.flatMap(({ verdict, layer, top, cycle, share }) =>
      verdict && layer === undefined ? [{ tempo: top, verdict, cycle, share }] : [],
    );
    so = {
      ladder: so.ladder,
      level: afterDay(so.level, played),
      days: [...so.days, practiceDay(dayOf(day), state, ended)],
      passed: Math.max(so.passed ?? 0, ended?.reachedTempo ?? 0) || undefined,
      plays: plays + (ended?.plays ?? 0),
      minutes: minutes + (ended?.activeSeconds ?? 0) / 60,
      ended,
    };
  }
  return { days: mostDays, plays: so.plays, minutes: so.minutes, stable: false };
}
