import { count } from "./counts";

/** What is changed for many students at once. */
export const severalWords = {
  title: "Several students",
  lead: "Change practice times, lessons or limits for many students, or assign their prepared weeks.",
  whom: "Students",
  practice: "Practice times",
  weekdays: "Weekdays",
  minutes: "Minutes a day",
  lesson: "Lesson",
  lessonDay: "Weekday",
  lessonFrom: "Time",
  limits: "Limits",
  unchanged: "No change",
  child: "A child's limits",
  noLimits: "No limits",
  help: "Whatever you leave empty stays as it is.",
  save: "Save",
  saved: (number: number) => `Saved for ${count(number, "student")}.`,
  prepared: "Prepared weeks",
  none: "No prepared weeks.",
  line: (items: number, from: string) => `${count(items, "item")}, from ${from}`,
  weekOf: (name: string) => `Prepared week for ${name}`,
  assign: "Assign weeks",
  assigned: (number: number) => `${count(number, "week")} assigned.`,
  not: (name: string, sentence: string) => `${name}: ${sentence}`,
};
