import * as v from "valibot";

/** What a grade is made of. */
export const GRADE_PARTS = ["minutes", "days", "items", "takes"] as const;
export type GradePart = (typeof GRADE_PARTS)[number];

const whole = (least: number, most: number) =>
  v.pipe(v.number(), v.integer(), v.minValue(least), v.maxValue(most));
const weight = whole(0, 100);

/** A rule that a teacher sets: what is asked a week, how much each part weighs, where it ends. */
export const gradeRuleSchema = v.object({
  /** Minutes and days of practice a week that are all that is asked. */
  minutes: whole(10, 1200),
  days: whole(1, 7),
  weights: v.object({ minutes: weight, days: weight, items: weight, takes: weight }),
  /** No part counts for more than so many percent of what was asked. */
  cap: whole(100, 150),
});
export type GradeRule = v.InferOutput<typeof gradeRuleSchema>;

export const USUAL_RULE: GradeRule = {
  minutes: 100,
  days: 4,
  weights: { minutes: 40, days: 30, items: 15, takes: 15 },
  cap: 100,
};

/** What somebody did in a period. */
export interface Practised {
  /** Weeks that the period lasts; parts of one count in part. */
  readonly weeks: number;
  readonly minutes: number;
  readonly days: number;
  readonly items: { readonly asked: number; readonly done: number };
  readonly takes: { readonly asked: number; readonly handedIn: number };
}

/** One part of a grade, explained. */
export interface GradeLine {
  readonly part: GradePart;
  readonly done: number;
  readonly asked: number;
  /** 0–1.5: done of asked, up to the cap. */
  readonly share: number;
  /** What it adds to the sum. */
  readonly points: number;
  /** So many it could add as asked. */
  readonly of: number;
}

export interface Grade {
  /** 0–150; 100 is all that was asked. */
  readonly sum: number;
  readonly lines: readonly GradeLine[];
}

/**
 * The grade that a rule gives: the weighted mean of done ÷ asked, in percent. A part of which
 * nothing was asked, or that weighs nothing, is left out, and the others share its weight. Nothing
 * where no part is left.
 */
export function gradeOf(rule: GradeRule, did: Practised): Grade | undefined {
  const asked: Record<GradePart, number> = {
    minutes: rule.minutes * did.weeks,
    days: rule.days * did.weeks,
    items: did.items.asked,
    takes: did.takes.asked,
  };
  const done: Record<GradePart, number> = {
    minutes: did.minutes,
    days: did.days,
    items: did.items.done,
    takes: did.takes.handedIn,
  };
  const parts = GRADE_PARTS.filter((part) => asked[part] > 0 && rule.weights[part] > 0);
  const all = parts.reduce((sum, part) => sum + rule.weights[part], 0);
  if (all === 0) return undefined;
  const lines = parts.map((part): GradeLine => {
    const share = Math.min(rule.cap / 100, done[part] / asked[part]);
    const of = (100 * rule.weights[part]) / all;
    return { part, done: done[part], asked: asked[part], share, points: share * of, of };
  });
  return { sum: lines.reduce((sum, { points }) => sum + points, 0), lines };
}
