import type { GradePart } from "~/core/week";

const rounded = (value: number) => String(Math.round(value));

/** Practice over a period, to be read, graded and taken along; only its page and files say it. */
export const reportWords = {
  title: "Report",
  lead: (who: string, from: string, to: string) => `${who}, ${from} to ${to}.`,
  everyone: "Everyone",
  week: "Week",
  who: "Of whom",
  from: "From",
  to: "To",
  spans: { "four-weeks": "four weeks", quarter: "three months", year: "a year" },
  csv: "As CSV",
  pdf: "As PDF",
  grid: "Practice by player",
  none: "Nobody to report of.",
  columns: {
    name: "Player",
    instrument: "Instrument",
    since: "Since",
    days: "Days",
    minutes: "Minutes",
    byHand: "By hand",
    sessions: "Sessions",
    regularity: "Regularity",
    itemsAsked: "Items asked",
    items: "Items done",
    takesAsked: "Takes asked",
    takes: "Takes brought",
    late: "Late",
    ratings: "Ratings",
    grade: "By the rule",
  },
  since: (name: string, day: string) => `${name} (since ${day})`,
  percent: (share: number) => `${Math.round(100 * share)} %`,
  of: (done: number, asked: number) => (asked === 0 ? "–" : `${done} of ${asked}`),
  regularityTold:
    "Regularity: days with practice out of all days. Students who came later are counted from the day they came.",
  itemsTold:
    "Items are counted day by day, up to yesterday: “12 of 14” means that two items a day were asked for seven days, and two of those times were missed. An item is done by its minutes (four fifths of them), by its goal, or when the player has said that it is enough.",
  byHandTold: "Minutes by hand were written down, not counted at the stand.",
  rule: {
    title: "The rule",
    lead: "What counts, and how much. Move a slider and every sum moves with it; nothing is kept until you say so.",
    minutes: (value: number) => `${value} minutes a week are all that is asked`,
    days: (value: number) => (value === 1 ? "1 day a week" : `${value} days a week`),
    weights: {
      minutes: "minutes",
      days: "days",
      items: "items",
      takes: "takes",
    } satisfies Record<GradePart, string>,
    weight: (part: string, value: number) => `Weight of ${part}: ${value}`,
    cap: (value: number) => `No part counts for more than ${value} % of what was asked`,
    keep: "Keep this rule",
    kept: "Kept.",
  },
  sums: {
    title: "How each sum comes about",
    none: "nothing was asked",
    sum: (value: number) => rounded(value),
    part: (part: string, done: number, asked: number, points: number, of: number) =>
      `${part}: ${rounded(done)} of ${rounded(asked)}, ${points.toFixed(1)} of ${of.toFixed(1)}`,
  },
} as const;
