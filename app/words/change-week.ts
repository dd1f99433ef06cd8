import type { Fix } from "~/core/week";
import { minutes } from "./counts";

/** What an item asks, as it is told beside what it asked before. */
interface Said {
  readonly often: string;
  readonly minutes: number;
  readonly tempo: number | null;
}

const tempo = (bpm: number | null) => (bpm === null ? "any tempo" : `to ${bpm} bpm`);
const instead = (is: string, was: string) => (is === was ? [] : [`${is} instead of ${was}`]);

const differences = (was: Said, is: Said) =>
  [
    ...instead(minutes(is.minutes), minutes(was.minutes)),
    ...instead(is.often, was.often),
    ...instead(tempo(is.tempo), tempo(was.tempo)),
  ].join(", ");

export const changeWords = {
  today: "Today",
  moveLesson: "Move lesson",
  moveFrom: (when: string) => `Move lesson, ${when}`,
  away: { title: "Away or ill", from: "From", until: "Until", save: "Save" },
  title: "Change this week",
  lead: (name: string, until: string) =>
    `${name}'s week until ${until}. Changes start today. Practice so far stays as it is.`,
  items: "Items",
  preview: "Preview",
  save: "Save changes",
  saved: "No changes yet",
  unsaved: "Not saved",
  empty: "No items. Add a passage.",
  none: "No week to change today. Assign the next one at the lesson.",
  changes: "Changes in this week",
  /** To the student, once. */
  heading: "Your teacher changed this week.",
  seen: "OK",
  added: (title: string, { often, minutes: count }: Said) =>
    `Added: ${title}, ${often}, ${minutes(count)}`,
  withdrawn: (title: string) => `Withdrawn: ${title}`,
  changed: (title: string, was: Said, is: Said) =>
    `Changed: ${title}, ${differences(was, is) || "new notes"}`,
  cut: (title: string, was: Said, is: Said) => `${title}: ${differences(was, is)}`,
  /** A week that asks for more than its days have. */
  fix: {
    by: { "fewer-times": "Fewer times", "fewer-minutes": "Fewer minutes" } satisfies Record<
      Fix,
      string
    >,
    times: "Change practice times",
    would: "This would change:",
    apply: "Apply",
    done: "It fits now.",
    undo: "Undo",
    never: "Still too much. Remove an item or add practice time.",
  },
};
