import * as v from "valibot";
import { initialNumbers, LADDER_DEFAULTS, ladderSchema, type StartRule } from "~/core/ladder";
import { Learner, practiseUntilStable, seeded, TEACHING, type Teaching } from "~/core/simulate";
import type { Figure } from "./core";
import { COURSE_BARS } from "./schools";

const LEARNERS = 12;
/** Each learner several times, with other luck: one course alone says little. */
const LUCKS = 8;
const FEW_LUCKS = 2;
const MOST_DAYS = 120;
const FIRST_SEED = 52_000;
const TARGET = 92;

const RULES: Readonly<Record<string, StartRule>> = {
  "half of the target": { kind: "half-of-target" },
  "75 % of the target": { kind: "percent-of-target", percent: 75 },
  comfortable: { kind: "comfortable" },
  "as advised": { kind: "advised" },
  "where it ended": { kind: "where-ended" },
  "that, less a step": { kind: "where-ended-less", steps: 1 },
  "that, less three": { kind: "where-ended-less", steps: 3 },
};

const ladderOf = (startRule: StartRule) =>
  v.parse(ladderSchema, {
    ...LADDER_DEFAULTS,
    phases: [
      {
        school: { name: "even-steps", numbers: initialNumbers("even-steps") },
        start: null,
        target: null,
      },
    ],
    afterFlawed: { ...LADDER_DEFAULTS.afterFlawed, then: "lower" },
    start: 56,
    target: TARGET,
    startRule,
    gate: [{ kind: "in-a-row", plays: 3, afterFlawed: "reset" }],
    minutes: 12,
    rest: 0,
    hidden: false,
  });

/** A learner drawn by a seed: where they begin, how fast they learn, how steep it falls, days off. */
function course(
  seed: number,
  lucky: number,
  startRule: StartRule,
  teaching: Teaching,
  follows: boolean,
) {
  const random = seeded(seed);
  const between = (from: number, to: number) => from + (to - from) * random();
  const ability = TARGET * between(0.6, 0.95);
  const traits = {
    ability,
    plateau: TARGET * between(1.2, 1.6),
    learning: between(0.0015, 0.004),
    forgetting: between(0.005, 0.03),
    fatigue: between(0.0002, 0.0012),
    width: between(0.05, 0.11),
  };
  const share = between(0.1, 0.45);
  const offDays = new Set(
    Array.from({ length: MOST_DAYS }, (_, day) => (random() < share ? day : -1)),
  );
  const luck = seeded(seed + 1000 * (lucky + 1));
  return practiseUntilStable({
    ladder: ladderOf(startRule),
    bars: COURSE_BARS,
    learner: new Learner(traits, luck, teaching),
    random: luck,
    mostDays: MOST_DAYS,
    follows,
    off: (day) => offDays.has(day),
  });
}

const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
const mean = (values: readonly number[]) =>
  values.reduce((sum, each) => sum + each, 0) / values.length;
const seeds = Array.from({ length: LEARNERS }, (_, n) => FIRST_SEED + n);

/** Minutes to a stable target by start rule, and with advice followed, under each way of teaching. */
export function adviceFigures(): Figure[] {
  return (Object.keys(TEACHING) as Teaching[]).flatMap((teaching) => {
    const run = (rule: StartRule, lucks: number, follows = false) =>
      seeds.map((seed) => {
        const all = Array.from({ length: lucks }, (_, luck) => luck).map((luck) =>
          course(seed, luck, rule, teaching, follows),
        );
        return {
          minutes: mean(all.map(({ minutes }) => minutes)),
          days: mean(all.map(({ days }) => days)),
          open: all.filter(({ stable }) => !stable).length,
          courses: all.length,
        };
      });
    const told = (results: ReturnType<typeof run>) => {
      const open = results.reduce((sum, each) => sum + each.open / each.courses, 0) / LEARNERS;
      const [minutes, days] = [
        median(results.map((each) => each.minutes)),
        median(results.map((each) => each.days)),
      ];
      const never = open > 0 ? `, ${Math.round(100 * open)} % not within ${MOST_DAYS} days` : "";
      return `${Math.round(minutes)} min, ${Math.round(days)} days${never}`;
    };
    const usual = run(RULES["where it ended"]!, LUCKS);
    const followed = run(RULES["where it ended"]!, LUCKS, true);
    // Who did not get there every time can't be compared by minutes.
    const both = followed.map((each, n) => [each, usual[n]!] as const);
    const there = both.filter(([one, other]) => one.open === 0 && other.open === 0);
    const ratios = there.map(([one, other]) => one.minutes / Math.max(1, other.minutes));
    return [
      ...Object.entries(RULES).map(([name, rule]) => ({
        what: `${teaching}: ${name}`,
        value: told(run(rule, FEW_LUCKS)),
      })),
      {
        what: `${teaching}: where it ended, advice followed`,
        value: `${told(followed)}; ${Math.round(100 * median(ratios))} % of the minutes at the median, ${Math.round(100 * Math.max(...ratios))} % at most`,
      },
    ];
  });
}
