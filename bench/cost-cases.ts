import * as v from "valibot";
import type { Breather, CountIn } from "~/core/click";
import { DayClimbs, Climbs, tollsOf, type CleanAt } from "~/core/cost";
import type { Gate } from "~/core/gate";
import {
  LADDER_DEFAULTS,
  ladderSchema,
  wayIn,
  wayOf,
  type AfterFlawed,
  type Ladder,
} from "~/core/ladder";
import { initialState, planOf, summarise, type Played, type SessionPlan } from "~/core/session";
import { bpm, type Bpm } from "~/core/units";
import { seeded, sitThrough, type Random } from "~/core/simulate";

/** What a cost depends on; every pair of values comes in some case. */
export const FACTORS = {
  gate: [
    "three in a row",
    "one taken away",
    "four of five",
    "four in all",
    "a minute",
    "two plays",
  ],
  then: ["ask", "lower", "cut", "rest", "leave"],
  context: ["none", "top", "each-rung"],
  school: ["even-steps", "burst", "woven-chain"],
  countIn: ["one bar", "half a bar", "the first time"],
  breather: ["none", "four seconds", "in time"],
  days: ["one day", "three days"],
} as const;
type Factor = keyof typeof FACTORS;
export type CostCase = { readonly [F in Factor]: (typeof FACTORS)[F][number] };

const NAMES = Object.keys(FACTORS) as Factor[];
const TRIES = 60;

const pairsOf = (one: CostCase): string[] =>
  NAMES.flatMap((a, i) => NAMES.slice(i + 1).map((b) => `${a}=${one[a]} ${b}=${one[b]}`));

/** How often each pair of values comes at least. */
const TIMES = 2;

/** Cases in which every pair of values of two factors comes at least twice, the same each time. */
export function costCases(): CostCase[] {
  const random = seeded(9);
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
  const draw = () => Object.fromEntries(NAMES.map((name) => [name, pick<string>(FACTORS[name])]));
  const all = new Set<string>();
  for (const [i, a] of NAMES.entries()) {
    for (const b of NAMES.slice(i + 1)) {
      for (const x of FACTORS[a]) for (const y of FACTORS[b]) all.add(`${a}=${x} ${b}=${y}`);
    }
  }
  const cases: CostCase[] = [];
  for (let time = 0; time < TIMES; time++) {
    const open = new Set(all);
    while (open.size > 0) {
      const drawn = Array.from({ length: TRIES }, () => draw() as unknown as CostCase);
      const newIn = (one: CostCase) => pairsOf(one).filter((pair) => open.has(pair)).length;
      const best = drawn.reduce((most, one) => (newIn(one) > newIn(most) ? one : most));
      if (newIn(best) === 0) continue;
      for (const pair of pairsOf(best)) open.delete(pair);
      cases.push(best);
    }
  }
  return cases;
}

const GATES: Record<CostCase["gate"], Gate> = {
  "three in a row": [{ kind: "in-a-row", plays: 3, afterFlawed: "reset" }],
  "one taken away": [{ kind: "in-a-row", plays: 3, afterFlawed: "minus-one" }],
  "four of five": [{ kind: "of-last", plays: 4, window: 5 }],
  "four in all": [{ kind: "in-all", plays: 4 }],
  "a minute": [{ kind: "minutes", minutes: 1, percent: 60 }],
  "two plays": [{ kind: "played", plays: 2 }],
};
const SCHOOLS = {
  "even-steps": { name: "even-steps", numbers: { step: 12 } },
  burst: { name: "burst", numbers: { step: 10, ratio: 1.5, slow: 1, fast: 1, mostFast: 1 } },
  "woven-chain": { name: "woven-chain", numbers: { unit: "beat", size: 2, step: 24, window: 3 } },
} as const;
const BREATHERS: Record<CostCase["breather"], Breather> = {
  none: { kind: "seconds", seconds: 0 },
  "four seconds": { kind: "seconds", seconds: 4 },
  "in time": { kind: "in-time" },
};
const COUNT_INS: Record<CostCase["countIn"], Partial<CountIn>> = {
  "one bar": {},
  "half a bar": { bars: 0.5 },
  "the first time": { firstOnly: true },
};

const BARS = Array.from({ length: 7 }, (_, i) => ({
  number: i + 1,
  metre: { beats: 3, unit: 4 } as const,
}));
const MINUTES = { "one day": 12, "three days": 5 } as const;

/** Sure at 60, about even at 110. */
const cleanAt: CleanAt = (tempo) => 0.97 / (1 + Math.exp((tempo - 110) / 12));

function ladderOf(one: CostCase): Ladder {
  const chain = one.school === "woven-chain";
  const { click } = LADDER_DEFAULTS;
  return v.parse(ladderSchema, {
    ...LADDER_DEFAULTS,
    phases: [{ school: SCHOOLS[one.school], start: null, target: null }],
    start: 60,
    target: chain ? 84 : 96,
    startRule: { kind: "where-ended-less", steps: 1 },
    gate: GATES[one.gate],
    afterFlawed: { plays: 2, then: one.then, steps: 1, seconds: 30 } satisfies AfterFlawed,
    inContext: {
      bars: one.context === "none" ? 0 : 1,
      at: one.context === "top" ? "top" : "each-rung",
    },
    rest: 10,
    minutes: MINUTES[one.days],
    days: one.days === "one day" ? 1 : 3,
    hidden: false,
    click: {
      ...click,
      countIn: { ...click.countIn, ...COUNT_INS[one.countIn] },
      breather: BREATHERS[one.breather],
    },
  });
}

/** The passage of a case: bars 2–6, or two of them for a chain, which has many rungs. */
function blockOf(one: CostCase): Played {
  const toBar = one.school === "woven-chain" ? 3 : 6;
  return {
    fromBar: 2,
    toBar,
    pickupBeats: 0,
    startBeats: 0,
    order: [],
    endBeats: 0,
    beatUnit: "quarter",
    bars: BARS.slice(1, toBar),
    around: { before: BARS.slice(0, 1), after: BARS.slice(toBar, toBar + 1) },
  };
}

/** Minutes on average, with the error of that, and the chance of being through. */
export interface CaseFigures {
  readonly minutes: number;
  readonly error: number;
  readonly fits: number;
}

const spread = (minutes: readonly number[], through: number): CaseFigures => {
  const mean = minutes.reduce((sum, each) => sum + each, 0) / minutes.length;
  const variance = minutes.reduce((sum, each) => sum + (each - mean) ** 2, 0) / minutes.length;
  return {
    minutes: mean,
    error: Math.sqrt(variance / minutes.length),
    fits: through / minutes.length,
  };
};

/** What a case costs as it is told: by the cost's own simulation. */
export function toldCost(one: CostCase, runs: number): CaseFigures {
  const ladder = ladderOf(one);
  const block = { ...blockOf(one), ladder };
  const random = seeded(3);
  const from = { start: ladder.start, place: { phase: 0, stage: 0 } };
  if (ladder.days > 1) {
    const days = new DayClimbs({
      block,
      cleanAt,
      comfortable: undefined,
      from,
      days: ladder.days,
      random,
    });
    days.climb(runs);
    return { ...days.told(), error: 0 };
  }
  const rungs = planFor(one, ladder.start, from.place, false).rungs;
  const climbs = new Climbs(tollsOf({ block, rungs, cleanAt }), ladder, random);
  climbs.climb(runs);
  return { ...climbs.told(ladder.minutes), error: 0 };
}

function planFor(
  one: CostCase,
  start: Bpm,
  place: { phase: number; stage: number },
  again: boolean,
) {
  const ladder = ladderOf(one);
  const plan: SessionPlan = planOf({
    noVerdict: "wait",
    blocks: [
      {
        ...blockOf(one),
        bars: [...blockOf(one).bars],
        around: {
          before: BARS.slice(0, 1),
          after: BARS.slice(blockOf(one).toBar, blockOf(one).toBar + 1),
        },
        passageId: "00000000-0000-4000-8000-000000000001",
        pieceTitle: "",
        passageName: "",
        focus: "",
        ladder,
        shareOfPassage: 1,
        start,
        place,
        again,
        passedTempi: [],
        comfortable: null,
        ceiling: null,
      },
    ],
  });
  return { plan, rungs: initialState(plan).blocks[0]!.rungs };
}

/** One climb through the stand's reducer, day by day; minutes and whether it got through. */
function climbAtTheStand(one: CostCase, random: Random): { minutes: number; through: boolean } {
  const ladder = ladderOf(one);
  const block = blockOf(one);
  const fastest = new Map<string, number>();
  let ended: { tempo: Bpm; place: { phase: number; stage: number }; way: string } | null = null;
  let seconds = 0;
  for (let day = 0; day < ladder.days; day++) {
    const left = {
      ended,
      comfortable: undefined,
      fastest: (material: string) => fastest.get(material),
      daysGone: undefined,
    };
    const { start, place } = wayIn(ladder, block, block, left);
    const { plan } = planFor(one, start, place, day > 0);
    const most = ladder.days > 1 ? ladder.minutes * 60 : Infinity;
    const sat = sitThrough({ plan, cleanAt, random, most });
    seconds += sat.seconds;
    if (sat.through) {
      const fits = ladder.days > 1 || seconds <= ladder.minutes * 60;
      return { minutes: seconds / 60, through: fits };
    }
    const [summary] = summarise(sat.state);
    for (const { material, tempo } of summary!.passed) {
      fastest.set(material, Math.max(fastest.get(material) ?? 0, tempo));
    }
    ended = { tempo: bpm(summary!.endTempo), place: summary!.place, way: wayOf(ladder) };
  }
  return { minutes: seconds / 60, through: false };
}

/** What a case really costs: through the stand's reducer, so many times. */
export function realCost(one: CostCase, runs: number): CaseFigures {
  const random = seeded(17);
  const climbs = Array.from({ length: runs }, () => climbAtTheStand(one, random));
  return spread(
    climbs.map(({ minutes }) => minutes),
    climbs.filter(({ through }) => through).length,
  );
}
