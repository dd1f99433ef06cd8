import { count, days, inDays } from "./counts";

/** A chance as a teacher would say it; never a figure that nobody could know. */
const CHANCES: readonly (readonly [from: number, words: string])[] = [
  [0.97, "nearly certain"],
  [0.86, "about nine in ten"],
  [0.77, "about four in five"],
  [0.71, "about three in four"],
  [0.58, "about two in three"],
  [0.42, "about even"],
  [0.29, "about one in three"],
  [0.22, "about one in four"],
  [0.15, "about one in five"],
  [0.07, "about one in ten"],
  [0.02, "hardly"],
  [0, "not as it goes now"],
];

export const chanceInWords = (chance: number): string =>
  CHANCES.find(([from]) => chance >= from)?.[1] ?? CHANCES.at(-1)![1];

/** What is said of the days ahead. */
export const outlookWords = {
  title: "Will it hold?",
  known: (practiceDays: number) => `Reckoned from ${days(practiceDays)} of practice.`,
  unknown: (practiceDays: number) =>
    `Not known yet: ${days(practiceDays)} of practice ${practiceDays === 1 ? "is" : "are"} too little to tell. After ten plays it can be said.`,
  noDate: "No date is set for it: no concert and no goal for this week.",
  date: {
    concert: (name: string, day: string, target: string) =>
      `${name || "Concert"}, ${day}, at ${target} bpm`,
    week: (_: string, day: string, target: string) => `This week's goal, ${day}, at ${target} bpm`,
  },
  ahead: (likely: number | undefined, soonest: number | undefined, latest: number | undefined) => {
    if (likely === 0) return "It stands already, as likely as not.";
    if (likely === undefined) return "As it goes now, it is not in sight within two years.";
    const span =
      latest === undefined
        ? `at the soonest in ${days(soonest ?? likely)}`
        : `four times in five between ${soonest ?? 0} and ${days(latest)}`;
    return `Likely in ${days(likely)} (${span})`;
  },
  minutes: (minutes: number) => `, with about ${minutes} min of practice.`,
  change: "What would change it",
  changes: {
    "day-more": "One more day a week",
    "minutes-more": "Ten more minutes each day",
    target: (tempo: number) => `A target of ${tempo} bpm`,
    half: "Half of the bars by themselves",
  },
  setTarget: (tempo: number) => `Set the target to ${tempo} bpm`,
  targetSet: (is: number, was: number) => `The target is ${is} bpm now; it was ${was}.`,
  takeBack: (was: number) => `Back to ${was} bpm`,
  hurts: "Something hurt last time: nothing that asks for more is offered until nothing hurts.",
  how: "How sure is this?",
  notMet: "no ceiling met yet",
  comfortableAt: (value: number, low: number, high: number, held: boolean) => {
    if (held) {
      return low < value
        ? `Comfortable at ${value} bpm (${low} or more): nothing faster was passed yet`
        : `Comfortable at ${value} bpm: nothing faster was passed yet`;
    }
    return `Comfortable at ${value} bpm (between ${low} and ${high})`;
  },
  thisWeekIn: (key: string) => `This week in ${key}.`,
  ceilingAround: (ceiling: number) => `ceiling around ${ceiling}`,
  fan: "as it is likely to go on",
  concert: {
    title: "Towards the concert",
    open: "Towards the concert",
    none: "No concert is set ahead. It is set on the week's page.",
    lead: (name: string, day: string, left: number) => `${name}, ${day}: ${inDays(left)}`,
    all: (words: string) => `That all of it stands: ${words}.`,
    piece: (words: string) => `all of it: ${words}`,
    weakest: "the weakest passage first",
    at: (target: string) => `at ${target} bpm`,
    went: (since: string, then: string, now: string) => `${since}: ${then}; today: ${now}`,
    now: (chance: string) => `today: ${chance}`,
    unknown: (number: number) => `${count(number, "passage")} with too few plays to tell.`,
    how: "A passage stands when a clean play at its target is nearly certain: nine in ten. Days that are missed are missed for all passages; so all together is less likely than the weakest, and likelier than if each were by itself. The columns are the chance as it was at the end of each week, for today's target.",
  },
} as const;
