import { minutes } from "./counts";

/** What an item asks, as it is told beside what it asked before. */
interface Said {
  readonly often: string;
  readonly minutes: number;
  readonly tempo: number | null;
}

const tempo = (bpm: number | null) => (bpm === null ? "any tempo" : `to ${bpm} bpm`);
const instead = (is: string, was: string) => (is === was ? [] : [`${is} instead of ${was}`]);

export const changeWords = {
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
  changed: (title: string, was: Said, is: Said) => {
    const parts = [
      ...instead(minutes(is.minutes), minutes(was.minutes)),
      ...instead(is.often, was.often),
      ...instead(tempo(is.tempo), tempo(was.tempo)),
    ];
    return `Changed: ${title}, ${parts.length > 0 ? parts.join(", ") : "new notes"}`;
  },
};
