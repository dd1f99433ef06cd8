import type { BlockKind } from "~/core/session";

/** What the parts of a session are called, at the desk and at the stand. */
export const session = {
  block: {
    settle: { name: "Settle and tune", how: "Tune. Breathe out. Nothing else yet." },
    "check-in": {
      name: "Check in",
      how: "How are hands, shoulders, breath and mood today? Tight or tired: go slower. Pain: stop.",
    },
    "warm-up": { name: "Warm-up", how: "Slow scale or long notes, easy and even." },
    technique: { name: "Technique", how: "Scale, study or drill." },
    hard: { name: "Hardest first", how: "While fresh, and slowly." },
    learning: { name: "Learning", how: "New notes." },
    practising: { name: "Practising", how: "Known notes, made sure." },
    join: { name: "Join", how: "Play what was worked on together with the bars before and after." },
    performing: { name: "Run-through", how: "Once through, without stopping, as if for someone." },
    mental: {
      name: "Without the instrument",
      how: "Hear it in your head, finger it, breathe with it.",
    },
    listening: {
      name: "Listening",
      how: "Hear a recording with the music before you, or your own.",
    },
    "slow-finish": {
      name: "Slow finish",
      how: "Once more what was worked on: slowly, correctly. That is what stays.",
    },
    enjoyed: { name: "Something you enjoy", how: "Anything that goes well already." },
    free: { name: "Free play", how: "Make something up." },
    break: { name: "Break", how: "Put it down, stand up, look far away." },
  } satisfies Record<BlockKind, { name: string; how: string }>,
  part: {
    of: (part: number, of: number) => `Part ${part} of ${of}`,
    begin: "Begin",
    done: "Done →",
    next: (name: string) => `Done. Next: ${name} →`,
    skipTo: (name: string) => `Next: ${name}`,
    finish: "Finish here",
    enough: "Enough of this for today. Your place is remembered.",
    over: (minutes: number) => `Its ${minutes} min are over`,
    last: "Done. Finish →",
    minutesLeft: (left: number, of: number) =>
      left > 0 ? `${left} of ${of} min left` : `the ${of} min are over`,
  },
} as const;
