import type { BlockReason, Feeling, LeftFor } from "~/core/session";
import type { Bring, Decision, GoalMove, ItemKind } from "~/core/week";

const plural = (count: number, one: string, many: string) => (count === 1 ? one : many);
const days = (count: number) => `${count} ${plural(count, "day", "days")}`;
const minutes = (count: number) => `${count} min`;

/** Planning of sessions and weeks: kept apart from the rest, so that the stand does not carry it. */
export const planWords = {
  days,
  minutes,
  today: {
    have: "Minutes I have",
    quick: (count: number) => `${count} minutes`,
    feeling: "How are hands, breath and mood?",
    feelings: {
      fine: "Fine",
      tight: "Tight",
      tired: "Tired",
      painful: "Something hurts",
    } satisfies Record<Feeling, string>,
    hurts:
      "Then not today. Put the instrument down; listen to something instead. If it stays, it belongs to your teacher, a doctor or a physiotherapist who knows musicians.",
    gentle: (feeling: Feeling) =>
      feeling === "tight"
        ? "Last time ended tight: more warm-up, less of the hardest. Say “fine” if that is over."
        : "Last time ended tired or sore: more warm-up, less of the hardest. Say “fine” if that is over.",
    shape: "Shape",
    usual: "The usual shape",
    passagesOnly: "Passages only",
    ribbon: (total: number) => `The session, ${total} minutes`,
    how: "Drag a block to another place; drag its right edge to make it longer. With the keyboard: ←\u00a0→ moves, ↑\u00a0↓ changes the minutes, Delete leaves it out.",
    blockLabel: (name: string, count: number, place: number, of: number) =>
      `${name}, ${count} minutes, ${place} of ${of}`,
    movedTo: (name: string, place: number) => `${name} is now in place ${place}.`,
    nowMinutes: (name: string, count: number) => `${name}: ${count} minutes.`,
    longer: (name: string) => `${name}: a minute more`,
    shorter: (name: string) => `${name}: a minute less`,
    leaveOut: (name: string) => `Leave out ${name}`,
    refit: "Fit again",
    spare: (count: number) =>
      `Everything is as long as it should be at most; ${minutes(count)} are yours.`,
    fastEnd: "It would end on a fast attempt.",
    slowLast: "Put a slow finish last",
    notToday: "Not in this session",
    word: "From the lesson",
    keepShape: "Keep this shape",
    shapeName: "Name of the shape",
    keep: "Keep",
    forget: (name: string) => `Forget ${name}`,
    played: (count: number) => `${minutes(count)} already played today.`,
    noTimes: "Nobody has said yet when there is time: 30 minutes are assumed.",
    dayOff: "No time is set for today. A few minutes are welcome, none are asked.",
  },
  reason: (reason: BlockReason): string => {
    switch (reason.why) {
      case "asked":
        return `the week asks ${minutes(reason.minutes)} today`;
      case "raw":
        return "can't be played yet: every day";
      case "forming":
        return "nearly: every day, with less";
      case "review":
        return reason.overdue > 0
          ? `safe: its review is ${days(reason.overdue)} late`
          : "safe: due for review today";
      case "gains-most":
        return "of everything, these few minutes move it most";
      case "always":
        return "always, even on a short day";
      case "shape":
        return "as the shape has it";
      case "ends-well":
        return "so that the last thing played is slow and right";
      case "break":
        return `after ${minutes(reason.after)} of playing`;
      case "gentler":
        return "longer today, to be gentle";
    }
  },
  left: (reason: LeftFor): string => {
    switch (reason.why) {
      case "not-today":
        return "done already, or its turn is on another day of the week";
      case "not-asked":
        return "not asked this week";
      case "review-later":
        return `safe: its review is in ${days(reason.days)}`;
      case "rest-first":
        return "first what matters more should be long enough";
      case "no-room":
        return `needs ${minutes(reason.minimum)} at least; ${reason.left > 0 ? `only ${minutes(reason.left)} were left` : "no time was left"}`;
    }
  },
  item: {
    kinds: {
      technique: "Technique",
      etude: "Étude",
      piece: "Piece",
      theory: "Theory",
      reading: "Reading",
      listening: "Listening",
      memory: "By heart",
    } satisfies Record<ItemKind, string>,
    bring: {
      nothing: "nothing",
      recording: "a recording",
      question: "a question",
      "by-heart": "it by heart",
    } satisfies Record<Bring, string>,
    decision: {
      open: "Open",
      finished: "Finished",
      carried: "Carry over",
      changed: "Change",
    } satisfies Record<Decision, string>,
  },
  goalMove: {
    raised: "reached, so a little more",
    kept: "nearly, so the same again",
    lowered: "far off, so less",
  } satisfies Record<GoalMove, string>,
} as const;
