import {
  afterDay,
  chanceIn,
  chanceTogether,
  daysLater,
  estimateOf,
  firstLevel,
  type Level,
  type Span,
} from "~/core/record";
import { seeded } from "~/core/simulate";
import { ms, type Figure } from "./core";
import { KINDS, learnerCourse, type LearnerCourse } from "./level-learners";

const LEARNERS = 30;
const DAYS = 70;
const AHEAD = [7, 14, 28] as const;
const FIRST_SEED = 41_000;

const percent = (share: number) => `${(100 * share).toFixed(0)} %`;
const mean = (all: readonly number[]) => all.reduce((sum, each) => sum + each, 0) / all.length;

class Coverage {
  private held = 0;
  private off = 0;
  private count = 0;
  add({ value, low, high }: Span, truth: number) {
    this.count++;
    if (low <= truth && truth <= high) this.held++;
    this.off += Math.log(value / truth);
  }
  told = () => `${percent(this.held / this.count)} held, ${percent(this.off / this.count)} off`;
}

/** A learner's level day by day, with all plays so far. */
function* levels(course: LearnerCourse) {
  let level: Level = firstLevel(course.target);
  let [before, plays]: [number | undefined, number] = [undefined, 0];
  for (const day of course.days) {
    if (before !== undefined) level = daysLater(level, day.day - before);
    level = afterDay(level, day.reps);
    plays += day.reps.length;
    before = day.day;
    yield { ...day, level, plays };
  }
}

interface Foretold {
  readonly chance: number;
  readonly happened: number;
}

const brier = (all: readonly Foretold[]) =>
  mean(all.map(({ chance, happened }) => (chance - happened) ** 2));

/** How chances that were told came about, in fifths. */
function reliability(all: readonly Foretold[]): string {
  return [0, 0.1, 0.3, 0.5, 0.7, 0.9]
    .flatMap((from, i, steps) => {
      const to = steps[i + 1] ?? 1.01;
      const some = all.filter(({ chance }) => chance >= from && chance < to);
      if (some.length < 20) return [];
      const told = mean(some.map(({ chance }) => chance));
      return `${percent(told)} → ${percent(mean(some.map(({ happened }) => happened)))}`;
    })
    .join(", ");
}

const PLAY_STEPS = [10, 30, 100, 300, 1000] as const;

const STUDENTS = 60;
const PASSAGES = 10;
const TO_THE_CONCERT = 28;

/** The chances of a whole room: each passage's and that all of a student's stand together. */
function roomOfChances(): number {
  const level = [...levels(learnerCourse("linear", FIRST_SEED, DAYS))].at(-1)!.level;
  const begun = performance.now();
  for (let student = 0; student < STUDENTS; student++) {
    const passages = Array.from({ length: PASSAGES }, (_, n) => ({
      level,
      target: 60 + 4 * n,
      practised: 0.7,
    }));
    for (const each of passages) chanceIn(level, TO_THE_CONCERT, each);
    chanceTogether(passages, TO_THE_CONCERT, seeded(student));
  }
  return performance.now() - begun;
}

/** What estimates and chances are worth, on learners fixed before anything was tuned. */
export function judgementFigures(): Figure[] {
  const byKind = new Map(KINDS.map((kind) => [kind, [new Coverage(), new Coverage()] as const]));
  const byPlays = PLAY_STEPS.map(() => [new Coverage(), new Coverage()] as const);
  const foretold = new Map(AHEAD.map((days) => [days as number, [] as Foretold[]]));
  let [spent, estimated] = [0, 0];
  KINDS.forEach((kind, k) => {
    for (let n = 0; n < LEARNERS; n++) {
      const course = learnerCourse(kind, FIRST_SEED + 1000 * k + n, DAYS + 28);
      const share = course.days.length / (DAYS + 28);
      const begun = performance.now();
      for (const { day, level, plays, comfortable, ceiling } of levels(course)) {
        if (day >= DAYS) break;
        const known = estimateOf(level);
        estimated++;
        const at = PLAY_STEPS.findLastIndex((least) => plays >= least);
        for (const [c, h] of [byKind.get(kind)!, ...(at < 0 ? [] : [byPlays[at]!])]) {
          c.add(known.comfortable, comfortable);
          h.add(known.ceiling, ceiling);
        }
        for (const days of AHEAD) {
          if (plays < 10) continue;
          const chance = chanceIn(level, days, { target: course.goal, practised: share });
          const happened = course.truth[day + days]! >= course.goal ? 1 : 0;
          foretold.get(days)!.push({ chance, happened });
        }
      }
      spent += performance.now() - begun;
    }
  });
  const [first, , third] = [roomOfChances(), roomOfChances(), roomOfChances()];
  const room = [first, third];
  const told = ([c, h]: readonly [Coverage, Coverage]) =>
    `comfortable ${c.told()}; ceiling ${h.told()}`;
  return [
    ...[...byKind].map(([kind, found]) => ({ what: `spans, ${kind}`, value: told(found) })),
    ...byPlays.map((found, i) => ({
      what: `spans from ${PLAY_STEPS[i]} plays`,
      value: told(found),
    })),
    ...[...foretold].map(([days, all]) => {
      const rate = mean(all.map(({ happened }) => happened));
      return {
        what: `chances ${days} days ahead (${all.length})`,
        value: `Brier ${brier(all).toFixed(3)}, by the rate alone ${(rate * (1 - rate)).toFixed(3)}; told → happened ${reliability(all)}`,
      };
    }),
    {
      what: `chances of ${STUDENTS} students with ${PASSAGES} passages each, ${TO_THE_CONCERT} days ahead, the first time and the third`,
      value: room.map(ms).join(", "),
    },
    { what: "a day estimated, with three chances", value: `${(spent / estimated).toFixed(2)} ms` },
  ];
}
