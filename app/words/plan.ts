import type { Feeling, Rated, Rating } from "~/core/session";
import type {
  Bring,
  Decision,
  ItemKind,
  ReviewedItem,
  Rotation,
  StandsAt,
  TempoTold,
} from "~/core/week";
import { common } from "./common";
import { days, minutes, plural, tenth, whole } from "./counts";
import { reasons } from "./reasons";

const { capital } = common;

/** Planning of sessions and weeks: kept apart from the rest, so that the stand does not carry it. */
export const planWords = {
  days,
  minutes,
  ...reasons,
  today: {
    plannedInAll: (minutes: number) =>
      `${minutes} ${minutes === 1 ? "minute" : "minutes"} planned.`,
    doneAlready: (what: string) => `Done today: ${what}.`,
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
      "Then not today. Put the instrument down: what is left here needs none. If it stays, it belongs to your teacher, a doctor or a physiotherapist who knows musicians.",
    hurtQuestion: (day: string) =>
      `Something hurt on ${day}, and nothing was played since. How is it now?`,
    nothingHurts: "Nothing hurts any more",
    stillHurts: "It still hurts",
    easyAgain:
      "Short, easy and slow today, because something hurt last time. Stop at once if it comes back.",
    startSilent: (total: number) => `Start without playing, ${minutes(total)}`,
    nothingIn: "Nothing is in the session. Put something in below.",
    allDone: "All that this week asks of today is done. What follows is up to you.",
    doneToday: "Done today",
    doneOf: (done: number, asked: number) => `${whole(done)} of ${asked} min`,
    enough: "Enough for today",
    enoughOf: (title: string) => `Enough of ${title} for today`,
    saidEnough: "enough for today",
    notEnough: "Ask for it again",
    notEnoughOf: (title: string) => `Ask for ${title} again`,
    recordRun: (run: number) => `run ${run} is recorded`,
    listenFor: (what: string) => `Listen for: ${what}`,
    beforeLesson: "The lesson is today: once more would do it good.",
    moreOfDone: "Done for today; there is still time.",
    goalReached: (bpm: number) =>
      `This week's goal of ${bpm} bpm is reached. Extra, because you have time.`,
    toGo: (asked: number, done: number) =>
      `The week asks ${minutes(asked)} of it today; ${done} are done.`,
    alsoLeft: "Also left out:",
    goal: (bpm: number) => `this week to ${bpm}`,
    whatToDo: (name: string) => `${name}: what to do`,
    writeAnew: (name: string) => `${name}: write what to do`,
    pin: (name: string) => `${name}: even on a short day`,
    addOwn: "Something of your own",
    kindOfPart: "As",
    ownText: "What to do",
    putIn: "Put it in",
    everyDay: "Every day, even on a short one",
    noEveryDay: "Nothing yet. What stands here comes first, however short the day is.",
    addEveryDay: "Add it",
    takeOff: (text: string) => `Take ${text} off the list`,
    takeOffShort: "Take off",
    settings: "Order, lengths and verdicts",
    questionFold: "A question for the lesson",
    askIt: "Keep it for the lesson",
    waits: "waits for its answer",
    isAsked: "Kept. Your teacher sees it.",
    gentle: (feeling: Feeling) =>
      feeling === "tight"
        ? "Last time ended tight: more warm-up, less of the hardest. Say “fine” if that is over."
        : "Last time ended tired or sore: more warm-up, less of the hardest. Say “fine” if that is over.",
    shape: "Plan of the session",
    usual: "The usual one",
    passagesOnly: "Only passages",
    ribbon: (total: number) => `The session, ${total} minutes`,
    how: "Drag a block to another place; drag its right edge to make it longer. With the keyboard: ←\u00a0→ moves, ↑\u00a0↓ changes the minutes, Delete leaves it out.",
    blockLabel: (name: string, count: number, place: number, of: number) =>
      `${name}, ${count} ${plural(count, "minute", "minutes")}, ${place} of ${of}`,
    movedTo: (name: string, place: number) => `${name} is now in place ${place}.`,
    nowMinutes: (name: string, count: number) =>
      `${name}: ${count} ${plural(count, "minute", "minutes")}.`,
    longer: (name: string) => `${name}: a minute more`,
    shorter: (name: string) => `${name}: a minute less`,
    leaveOut: (name: string) => `Leave out ${name}`,
    refit: "Fit again",
    spare: (count: number) =>
      `All of it is as long as it should be; ${minutes(count)} are left to you.`,
    fastEnd: "It would end on a fast attempt.",
    slowLast: "Put a slow finish last",
    notToday: "Not in this session",
    takeIn: (name: string) => `Put in ${name}`,
    takeInShort: "Put it in",
    fastRuns: (tempo: number) => `fast runs from ${tempo} bpm`,
    startsAbove: (passed: number) =>
      `By the date it starts above what was passed so far, ${passed} bpm.`,
    word: "From the lesson",
    keepShape: "Keep this order and these lengths for other days",
    shapeName: "Name of this plan",
    keep: "Keep",
    forEveryone: "For everyone in the room",
    forget: (name: string) => `Forget ${name}`,
    played: (count: number, there: number) =>
      there > 0
        ? `${minutes(count)} done of the ${there} that there are today.`
        : `${minutes(count)} done today.`,
    noTimes: "Nobody has said yet when there is time: 30 minutes are assumed.",
    dayOff: "No time is set for today. A few minutes are welcome, none are asked.",
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
    /** What has become of a take that is asked for. */
    take: {
      open: (due: string) => `take: until ${due}`,
      missing: (due: string) => `take: missing, it was due ${due}`,
      waiting: () => "take: handed in, not heard yet",
      heard: () => "take: heard",
      again: () => "take: again, please",
      late: "late",
    },
    decision: {
      open: "Open",
      finished: "Finished",
      carried: "Carry over",
      changed: "Change",
    } satisfies Record<Decision, string>,
  },
  often: {
    label: "How often",
    daily: "every day",
    "every-other": "every other day",
    times: (count: number) => (count === 1 ? "once" : count === 2 ? "twice" : `${count} times`),
  },
  lesson: {
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
      const told =
        done > 0 ? `${capital(minutes(done))} done on ${days(daysDone)}` : "Nothing done";
      return `${told}${goesOn ? " so far" : ""}; ${asked} ${goesOn ? "are" : "were"} asked on ${days(daysAsked)}`;
    },
    asked: (often: string, count: number, tempo: number | null) =>
      `asked: ${often}, ${minutes(count)}${tempo ? `, to ${tempo} bpm` : ""}`,
    happened: ({ asked, doneOn, done }: Pick<ReviewedItem, "asked" | "doneOn" | "done">) => {
      if (done === 0 && doneOn === 0) return "not practised";
      const of = asked > 0 ? `${doneOn} of ${days(asked)}` : days(doneOn);
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
  },
  goals: {
    none: "No goal in words yet. One line is enough.",
    spans: { day: "Today", week: "This week", month: "This month", year: "This year" },
    doneOn: (day: string) => `reached on ${day}`,
    servedBy: "Served by",
    serving: (text: string, day: string, done: boolean) =>
      `${text} (${day}${done ? ", reached" : ""})`,
    drop: "Take away",
    dropOf: (text: string) => `Take away ${text}`,
    forHowLong: "For",
    text: "A goal in one line",
    serves: "On the way to",
    servesNothing: "nothing larger",
    add: "Set it",
  },
  questions: {
    title: "Questions",
    answer: "Your answer",
    send: "Answer",
    close: "We talked about it",
  },
  week: {
    title: "My week",
    of: (name: string) => `The week of ${name}`,
    span: (from: string, until: string) => `${from} to ${until}`,
    none: "No week is set yet. Your teacher sets it at the lesson.",
    noneTeacher: "No week is set yet.",
    openLesson: "Open the lesson",
    free: "no time set",
    doneOfAsked: (done: number, asked: number) =>
      asked > 0 ? `${minutes(done)} done, ${asked} asked` : `${minutes(done)} done`,
    askedOf: (asked: number, there: number) => `${asked} min asked, ${there} there`,
    begun: (count: number) => `begun, ${minutes(count)}`,
    stillOwed: (count: number) => `${count} min to go`,
    missed: (count: number) => `not played, ${count} min`,
    tooMuch: (asked: number, laid: number) =>
      `${asked} minutes assigned, but the days have room for only ${laid}. What doesn't fit is shortened or left out.`,
    lesson: (when: string) => `Lesson ${when}`,
    items: "What is asked",
    doneOn: (count: number, begun = 0) =>
      [
        count > 0 ? `done on ${days(count)}` : begun > 0 ? "" : "not yet",
        begun > 0 ? `begun on ${days(begun)}` : "",
      ]
        .filter(Boolean)
        .join(", "),
    key: (key: string) => `this week in ${key}`,
    reachedOn: (bpm: number, day: string) => `${bpm} bpm reached on ${day}`,
    earlier: (count: number, done: number, asked: number) =>
      `${capital(days(count))} before today: ${done} of ${minutes(asked)} practised`,
    putAway: (day: string) => `No longer asked since ${day}.`,
    toBring: (what: string) => `Bring ${what}.`,
    goals: "Goals",
    goal: {
      day: "A day of practice",
      week: "This week",
      month: "Four weeks",
      concert: "To the concert",
    },
    reached: (done: number, asked: number, d: number, of: number) =>
      `${minutes(done)} done on ${days(d)}; ${asked} asked on ${days(of)}`,
    falls: (title: string, times: number) =>
      `${title} falls out ${times === 1 ? "once" : times === 2 ? "twice" : `${times} times`}: the days that are left have no room for it.`,
    rests: (title: string, count: number, day: string) =>
      `${title} rests ${days(count)} before ${day}: no day between has time.`,
    byHandLogged: "Logged by hand",
    byHand: "Practised without Fidus",
    byHandLead: "Press what it was, then how long.",
    byHandDay: { 0: "today", 1: "yesterday", 2: "the day before" } as Record<number, string>,
    anything: "Anything",
    byHandDone: (count: number) => `${minutes(count)} written down.`,
    byHandUndo: "Undo",
    byHandNote: "A note, before you press the minutes",
    memory: "By heart",
    memoryLine: (stands: number, total: number, unit: string) =>
      `${stands} of ${total} ${unit} stand`,
    should: (count: number) => `${count} should by today`,
    ahead: (count: number) =>
      count === 0 ? "on the day" : count > 0 ? `${days(count)} ahead` : `${days(-count)} behind`,
    memoryOver: (day: string) => `the concert was on ${day}`,
    ready: (day: string) => `ready by ${day}`,
    perDay: (count: string, unit: string) => `${count} ${unit} a day from here`,
    stands: "Stand by heart",
    write: "Write it down",
    units: { bars: "bars", lines: "lines", pages: "pages" },
    older: "Weeks before",
    coming: "Next week, set already",
    sheet: "The printed sheet",
    calendar: "As a calendar file",
    times: "When there is time",
    print: "Print",
    pdf: (paper: string) => `PDF, ${paper}`,
  },
  memoryForm: {
    total: "How much",
    unit: "Counted in",
    begins: "They begin at bars",
    beginsHow: "Empty: equally long",
    concert: "Concert",
    margin: "Weeks of margin",
    plan: "Plan it",
    change: "Change the plan",
  },
  times: {
    title: (name: string) => `When ${name} has time`,
    lead: "Times for practice by weekday, and the lesson. The week is laid out over them.",
    days: "Days of the week",
    from: "From",
    minutes: "Minutes",
    lessonDay: "Weekday",
    add: (weekday: string) => `Add a time on ${weekday}`,
    remove: (weekday: string, from: string) => `Take out ${weekday} ${from}`,
    none: "no practice",
    lesson: "The lesson",
    noLesson: "no lesson day",
    dates: "Other days",
    date: "Date",
    removeDate: (day: string) => `Take out ${day}`,
    addDate: "A day with more, less or no time",
    child: "A child",
    isChild: "A child: short days, and breaks often",
    mostADay: "Minutes a day, at most",
    mostInARow: "Without a break, at most",
    save: "Keep these times",
    total: (count: number, d: number) => `${minutes(count)} on ${days(d)}`,
  },
  sheet: {
    title: "Practice sheet",
    for: (name: string, from: string, until: string) => `${name}, ${from} to ${until}`,
    gate: "up when",
    tick: "tick when done",
    giveHow:
      "They find it in the draft of their next week beside what goes on for them, with passages and ladders from where they are comfortable.",
    minutesByDay: "Minutes by day",
    bring: "Bring",
    goal: (m: number, d: number) => `Asked: ${minutes(m)} on ${days(d)}`,
    asOf: (day: string) => `As it stands on ${day}: what was missed is spread over the days left.`,
  },
  ratings: {
    title: "How was it?",
    lead: "One touch each, or none.",
    of: {
      goal: "I knew my goal",
      focus: "I stayed focused",
      "could-tell": "I could tell if it worked",
      notes: "Right notes and rhythm",
      tone: "Tone",
      expression: "Expression",
    } satisfies Record<Rating, string>,
    answers: { yes: "yes", partly: "partly", no: "no" } satisfies Record<Rated, string>,
    question: "A question for the lesson",
    questionSubmit: "Keep it for the lesson",
    feeling: "How do hands, breath and mood feel now?",
    after: {
      tight:
        "Tightness is a sign to go slower. The next session begins with more warm-up and asks less of the hardest bars.",
      tired: "Rest now. The next session is gentler: more warm-up, less of the hardest bars.",
      painful:
        "Do not play on today. The next session waits until nothing hurts. Numbness, tingling or pain that stays belongs to your teacher, a doctor or a physiotherapist who knows musicians.",
      fine: "",
    } satisfies Record<Feeling, string>,
  },
} as const;
