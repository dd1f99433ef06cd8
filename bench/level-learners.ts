import { cleanProbability, tempoAt, type RecordedRep } from "~/core/record";
import { seeded, type Random } from "~/core/simulate";
import { bpm } from "~/core/units";

/** How a learner's level (ln-tempo) goes with days of practice; fixed before anything was tuned. */
export const KINDS = ["static", "linear", "exponential", "power law", "jumps", "flat"] as const;
export type LearnerKind = (typeof KINDS)[number];

/** A day of a learner: what was played, and what was true in the end. */
export interface LearnerDay {
  readonly day: number;
  readonly reps: readonly RecordedRep[];
  /** True tempi at the end of the day, good and bad days aside. */
  readonly comfortable: number;
  readonly ceiling: number;
}

export interface LearnerCourse {
  readonly kind: LearnerKind;
  readonly target: number;
  /** What is to be stood at by a date: 5 to 50 % above where it began. */
  readonly goal: number;
  readonly days: readonly LearnerDay[];
  /** The true comfortable tempo on every day, practised or not. */
  readonly truth: readonly number[];
}

const normal = (random: Random): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** Level gained after so many days of practice. */
function gained(kind: LearnerKind, days: number, rate: number, jumps: readonly number[]): number {
  switch (kind) {
    case "static":
      return 0;
    case "linear":
      return rate * days;
    case "exponential":
      return 30 * rate * (1 - Math.exp(-days / 30));
    case "power law":
      return 0.12 * (rate / 0.01) * Math.log1p(days / 4);
    case "jumps":
      return jumps.filter((day) => day <= days).length * 8 * rate;
    case "flat":
      return 0.3 * rate * days;
  }
}

const JUMP_EVERY = 8;
const TREND = { from: 0.003, to: 0.015 };

/**
 * A learner over a number of days, drawn by a seed: how fast, how steep the fall, how good and bad
 * the days are, how often they practise and how many plays; lapses and tiring on top.
 */
export function learnerCourse(kind: LearnerKind, seed: number, days: number): LearnerCourse {
  const random = seeded(seed);
  const between = (from: number, to: number) => from + (to - from) * random();
  const target = between(72, 160);
  const start = target * between(0.5, 0.9);
  const width = Math.exp(Math.log(0.08) + 0.35 * normal(random));
  const rate = between(TREND.from, TREND.to);
  const swing = between(0.01, 0.05);
  const share = between(0.4, 1);
  const perDay = Math.round(between(4, 30));
  const fatigue = between(0, 0.0015);
  const lost = between(0, 0.008);
  const jumps = Array.from({ length: 40 }, (_, n) => JUMP_EVERY * (n + between(0.2, 1)));
  let [practised, forgotten] = [0, 0];
  const found: LearnerDay[] = [];
  const truth: number[] = [];
  let last: boolean | undefined;
  for (let day = 0; day < days; day++) {
    const level = () => Math.log(start) + gained(kind, practised, rate, jumps) - forgotten;
    const at = level();
    truth.push(tempoAt({ centre: at, width }, 0.9));
    last = day === 0 || random() < share;
    if (!last) {
      forgotten = Math.min(forgotten + lost, gained(kind, practised, rate, jumps) + 0.1);
      continue;
    }
    const todays = at + swing * normal(random);
    // Played like a ladder: from below upwards, around where it gets hard.
    const from = Math.exp(at) * between(0.65, 0.85);
    const to = Math.exp(at) * between(0.95, 1.12);
    const reps = Array.from({ length: perDay }, (_, n): RecordedRep => {
      const tempo = bpm(Math.min(400, Math.max(10, Math.round(from + ((to - from) * n) / perDay))));
      const clean = random() < cleanProbability({ centre: todays - fatigue * n, width }, tempo);
      return { tempo, verdict: clean ? "clean" : "flawed" };
    });
    const curve = { centre: at, width };
    const [comfortable, ceiling] = [tempoAt(curve, 0.9), tempoAt(curve, 0.5)];
    found.push({ day, reps, comfortable, ceiling });
    practised++;
    forgotten *= 0.9;
  }
  return { kind, target, goal: truth[0]! * between(1.05, 1.5), days: found, truth };
}
