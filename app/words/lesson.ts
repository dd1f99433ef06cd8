import type { Feeling } from "~/core/session";
import type { ReviewedItem, Rotation, StandsAt, TempoTold } from "~/core/week";
import { common } from "./common";
import { days, minutes, tenth } from "./counts";

const { capital } = common;

/** The lesson: last week, and the next one as it is put together. */
export const lessonWords = {
  typedHere: "Your unsaved changes from before are back.",
  typedElsewhere:
    "You have unsaved changes to this lesson, typed in another window or on another device.",
  goOnTyped: "Continue with them",
  discardTyped: "Discard changes",
  title: "Lesson",
  lead: (name: string) => `${name}: what was asked, what happened, what comes next.`,
  ownTitle: "Plan my week",
  ownLead: "What you planned, what happened and what comes next.",
  ownWord: "Note to yourself",
  ownKept: "Saved as a draft.",
  last: "Since the last lesson",
  before: "Before today's lesson",
  lastSpan: (from: string, until: string) => `${from} to ${until}`,
  first: "The first lesson: nothing was set before. Choose what to begin with.",
  total: (done: number, asked: number, daysDone: number, daysAsked: number, goesOn: boolean) => {
    const told = done > 0 ? `${capital(minutes(done))} done on ${days(daysDone)}` : "Nothing done";
    return `${told}${goesOn ? " so far" : ""}; ${asked} ${goesOn ? "are" : "were"} asked on ${days(daysAsked)}`;
  },
  asked: (often: string, count: number, tempo: number | null) =>
    `asked: ${often}, ${minutes(count)}${tempo ? `, to ${tempo} bpm` : ""}`,
  happened: ({ asked, doneOn, done }: Pick<ReviewedItem, "asked" | "doneOn" | "done">) => {
    if (done === 0 && doneOn === 0) return "not practised";
    const of = asked >= doneOn && asked > 0 ? `${doneOn} of ${days(asked)}` : days(doneOn);
    return `${minutes(done)}, done on ${of}`;
  },
  tempo: ({ from, to, passed }: TempoTold) => {
    if (!passed) return `worked at ${tenth(to)} bpm`;
    return to > from ? `${tenth(from)} → ${tenth(to)} bpm` : `${tenth(to)} bpm passed`;
  },
  clean: (clean: number, plays: number) => `${clean} of ${plays} clean`,
  flaws: (bars: readonly { bar: number; flawed: number }[]) =>
    `flaws in ${bars.map(({ bar, flawed }) => `bar ${bar} (${flawed})`).join(", ")}`,
  questions: "Questions",
  notes: "Notes",
  felt: (feeling: Feeling, when: string) =>
    feeling === "painful" ? `Something hurt ${when}.` : `It ended ${feeling} ${when}.`,
  decide: (title: string) => `What becomes of ${title}`,
  next: "Next week",
  none: "Nothing for next week yet. Add a passage, or anything else.",
  addPassage: "Add a passage",
  addOther: "Add something else",
  addExercise: "Give an exercise",
  remove: (title: string) => `Take ${title} out`,
  what: "What",
  focus: "Listen for",
  minutes: "Minutes",
  goalTempo: "To",
  focuses: "What to work on",
  lowered: (was: number, { how, tempo }: StandsAt) => {
    if (how === "starts") return `was ${was}; the ladder starts at ${tempo}`;
    return `was ${was}; ${how === "passed" ? `${tempo} was passed` : `worked at ${tempo}`}`;
  },
  raise: (bpm: number) => `Raise to ${bpm}`,
  reachedOn: (day: string) => `reached on ${day}`,
  more: "More",
  note: "A note",
  bring: "Bring to the lesson",
  due: "Hand in until",
  recordRun: "Record run no.",
  recordRunHelp: "at the stand; empty: none",
  keys: "Keys, one a week",
  keysHelp: "B minor, E♭, F♯m; or nothing",
  noKey: (what: string) => `No key: ${what}`,
  round: "A row of keys",
  rotations: {
    "fifths-up": (from: string) => `from ${from} up by fifths`,
    "fifths-down": (from: string) => `from ${from} down by fifths`,
    chromatic: (from: string) => `from ${from} by semitones`,
    "relative-pairs": (from: string) => `${from} and its relative, then by fifths`,
  } satisfies Record<Rotation, (from: string) => string>,
  ladder: "Ladder",
  ladderAsIs: "as it is",
  noLadder: "This passage has no ladder yet: choose one here, or set one in the workshop.",
  kind: "Kind",
  goalIs: (count: number, d: number) => `The week asks ${minutes(count)} on ${days(d)}.`,
  smaller: {
    weak: "Lighter week: less than half was practised last week.",
    hurt: "Half the minutes and no higher tempo, because something hurt.",
  },
  shape: "Plan of the sessions",
  usualShape: "the usual one",
  word: "Message to the student",
  from: "From",
  until: "Next lesson",
  noTimes: "Nobody has said when there is time; 30 minutes a day are assumed.",
  sayTimes: "Say when there is time",
  preview: "How the week will look",
  previewEmpty: "Nothing is asked yet. Add a passage, and its days appear here.",
  keep: "Keep as a draft",
  kept: "Saved. The student can't see it yet.",
  set: "Set the week",
  setAgain: "Set it again",
  asSet: "Set. Change it here and set it again.",
  unsaved: "Not kept yet",
  conflict: "Somebody else was here",
  mine: "Keep mine",
  theirs: "Look at theirs",
  tooMany: (most: number) => `At most ${most} items.`,
};
