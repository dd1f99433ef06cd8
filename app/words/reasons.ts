import type { Mark } from "~/core/judge";
import type { BlockReason, LeftFor } from "~/core/session";
import { days, minutes } from "./counts";

/** Why something is in a session, or is not, and what deserves to be noticed after it. */
export const reasons = {
  /** Why a part is in, as a sentence. */
  reason: (reason: BlockReason): string => {
    switch (reason.why) {
      case "asked":
        return `The week asks ${minutes(reason.minutes)} of it today.`;
      case "raw":
        return "You can't play it yet, so it comes every day.";
      case "forming":
        return "You nearly have it: a little every day.";
      case "wanted":
        return "You put it in.";
      case "own":
        return "Your own.";
      case "must-do":
        return "On your list for every day.";
      case "more":
        return "Nobody asks for it today; there is time, and it would do good.";
      case "review":
        return reason.overdue > 0
          ? `Safe, and due for another look since ${days(reason.overdue)}.`
          : "Safe, and due for another look today.";
      case "gains-most":
        return "Of everything, these few minutes move it most.";
      case "easy-again":
        return "Easy and slow, because something hurt last time.";
      case "always":
        return "Even on a short day.";
      case "shape":
        return "";
      case "silent":
        return "Needs no instrument.";
      case "ends-well":
        return "So that the last thing played is slow and right.";
      case "break":
        return `After ${minutes(reason.after)} of playing.`;
      case "gentler":
        return "Longer today, to be gentle.";
    }
  },
  /** Why something is not in, after its name and a colon. */
  left: (reason: LeftFor): string => {
    switch (reason.why) {
      case "done":
        return "done for today";
      case "reached":
        return "this week's tempo is reached";
      case "not-today":
        return "its turn is on another day";
      case "not-asked":
        return "not asked this week";
      case "review-later":
        return `safe; another look in ${days(reason.days)}`;
      case "rest-first":
        return "left out so that the rest has its time";
      case "hurts":
        return "nothing is played while it hurts";
      case "easy-again":
        return "not on the first day after something hurt";
      case "no-room":
        return `needs ${minutes(reason.minimum)}; ${reason.left > 0 ? `only ${minutes(reason.left)} were left` : "no time was left"}`;
    }
  },
  /** What deserves to be noticed after a session, said once and quietly. */
  mark: (mark: Mark): string => {
    switch (mark.kind) {
      case "safe":
        return `${mark.title} is safe now.`;
      case "ceiling":
        return `${mark.title}: the ceiling moved from ${mark.from} to ${mark.to} bpm.`;
      case "week-goal":
        return `${mark.title}: this week's goal is reached, at ${mark.tempo} bpm.`;
      case "target":
        return `${mark.title}: target reached, clean at ${mark.tempo} bpm.`;
      case "three-quarters":
        return `${mark.title}: clean at ${mark.tempo} bpm. That's three quarters of the target or more.`;
      case "first-try":
        return `${mark.title}: every play was clean at the first try.`;
      case "days-in-a-row":
        return `${mark.days} days in a row.`;
    }
  },
} as const;
