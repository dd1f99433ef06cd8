import { count } from "./counts";

/** What is said where a piece is learnt by heart. */
export const heartWords = {
  title: "By heart",
  lead: (stands: number, bars: number) =>
    stands === 0
      ? "Nothing stands yet. Drag over the bars that you can play without the notes."
      : `${stands} of ${count(bars, "bar")} stand by heart`,
  inTime: (chance: string) => `in time: ${chance}`,
  tooEarly: "too early to tell whether it is in time",
  map: "What stands",
  how: "Drag over bars, or arrows and Shift; then say whether they stand.",
  stand: (bars: string) => `Stand by heart: ${bars}`,
  fell: "Fallen out: back to the notes",
  since: (day: string) => `since ${day}`,
  due: (day: string) => `since ${day}, to be tested`,
  part: (unit: "bars" | "lines" | "pages", n: number) =>
    `${{ bars: "Bar", lines: "Line", pages: "Page" }[unit]} ${n}`,
  partly: (stand: number, bars: number) =>
    stand === 0 ? "not yet" : `${stand} of ${count(bars, "bar")}`,
  key: "Solid: stands. Dashed: stands, and is to be tested.",
  test: "A test from the middle",
  testHow:
    "Fidus chooses a bar among those that stand. Play from there without the notes, then say how it went.",
  nothingToTest: "As soon as some bars stand, Fidus chooses one to begin from.",
  notDue: (days: number) => `Nothing is due; the next test would be in ${count(days, "day")}.`,
  begin: "Cover the notes and begin",
  from: (from: number, to: number) =>
    from === to ? `Bar ${from}, from memory` : `From bar ${from} to bar ${to}, from memory`,
  stood: "It stood",
  fellOut: "It fell out",
  look: "Show the notes",
  looked: "The notes were seen: this says nothing about memory.",
  done: "Done",
  leave: "Not now",
  keys: "→ or PageDown: it stood. ← or PageUp: it fell out. V: the notes.",
  tests: "Latest tests",
  outcome: { stood: "stood", fell: "fell out", looked: "with the notes" },
  dueToday: (title: string, bars: string) => `By heart: ${title}, ${bars} to be tested`,
  open: "By heart, bar by bar",
} as const;
