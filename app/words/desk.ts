import { days as onDays, inDays, minutes as inMinutes, plural, tenth } from "./counts";
import type { BlockKind, NoVerdict } from "~/core/session";
import { session } from "./session";

interface LastDone {
  readonly titles: readonly string[];
  readonly kinds: readonly BlockKind[];
  /** Minutes. */
  readonly byHand: number;
}

const takesHere = (takes: number): string =>
  takes === 1 ? "1 take lies only on this device" : `${takes} takes lie only on this device`;
const playsHere = (plays: number) =>
  plays === 0
    ? "Something that you said at the stand lies only on this device"
    : `${plays} ${plural(plays, "play", "plays")} of yours ${plural(plays, "lies", "lie")} only on this device`;

export const desk = {
  /** What was played here and has not arrived. */
  waiting: {
    sent: (plays: number) => `${playsHere(plays)}.`,
    sending: (plays: number) => `${playsHere(plays)} and ${plays > 1 ? "are" : "is"} being sent.`,
    kept: (plays: number) => `${playsHere(plays)} until the connection is back.`,
    "signed-out": (plays: number) => `${playsHere(plays)} until you sign in again.`,
  },
  leaving: {
    title: "Not everything has arrived",
    sentence: (plays: number, takes: number) => {
      const what = [plays > 0 && playsHere(plays), takes > 0 && takesHere(takes)].filter(Boolean);
      return `${what.join(". ")}. Whoever signs out here takes it away for good.`;
    },
    stay: "Stay signed in",
    leave: "Sign out and lose it",
  },
  desk: {
    skip: "To the content",
    nav: "Desk",
    week: "Week",
    sound: "Sound",
    room: "Room",
    today: "Today",
    myWeek: "My week",
    pieces: "Pieces",
    log: "Log",
    me: "My practice",
    signOut: (name: string) => `Sign out ${name}`,
  },
  openRoom: {
    /** Why no studio can be opened. */
    closed: {
      "not-invited":
        "Studios are set up by invitation here. Ask whoever runs this server for one. If you had one, it has been used or is too old.",
      "not-first": "This server has its studio already. Ask its teacher for a link to sign in.",
      "too-many": "Many studios have been set up from here in the last hour. Try again later.",
    },
    title: "Open your music room",
    lead: "Your room, yourself and a first student. Then a piece, a passage, a ladder, and it can be played.",
    drawing:
      "A passage goes up from rung to rung when its gate passes. A rung is as long as it will take.",
    room: "Name of the room",
    teacher: "Your name",
    student: "A first student's name",
    studentHelp: "May stay empty: more come later, or a room that was taken along",
    self: "I teach myself: the student is me",
    signIn: "Name to sign in with",
    signInHelp: "A short name, or a mail address",
    password: "Password",
    passwordHelp: "At least 10 characters; a few words are good",
    instrument: "Instrument",
    optional: "May stay empty",
    submit: "Open the room",
  },
  week: {
    title: "The week",
    lead: "Each line runs from the last lesson to the next. Today's lessons come first, then whoever needs a look.",
    dayTold: (day: string, played: number, asked: number) =>
      asked > 0
        ? `${day} ${inMinutes(played)} done, ${asked} asked`
        : `${day} ${inMinutes(played)} done`,
    lessonToday: (at: string) => `Lesson today, ${at}`,
    nextLesson: (day: string) => `next lesson ${day}`,
    lessonDue: (day: string) => `lesson was due ${day}`,
    noWeek: "no week set",
    groups: "Groups",
    toGroups: "All groups",
    noGroups: "A class, an ensemble, a section: make a group, and set something for all of them.",
    inGroup: (practised: number, of: number) =>
      `${practised} of ${of} practised in the last seven days`,
    openLesson: "Lesson",
    done: (count: number) => `${inMinutes(count)} done`,
    asked: (count: number) => `${count} asked`,
    planned: "outline: asked; filled: practised",
    find: "Find a student",
    group: "Group",
    allGroups: "all students",
    show: "Show",
    everyone: (count: number) => `everyone (${count})`,
    only: (count: number) => `who needs a look (${count})`,
    lookKind: (kind: string, count: number) => `${kind} (${count})`,
    order: "Order",
    orders: { look: "who needs a look first", lesson: "by the next lesson" },
    setConcert: "The concert",
    concertName: "What it is",
    concertOn: "On",
    concertSave: "Keep the date",
    none: "Nobody like that.",
    password: "Your sign-in and password",
    concert: (name: string, days: number, day: string) =>
      days < 0
        ? `${name} was on ${day}.`
        : `${name}${days < 2 ? " is" : ""} ${inDays(days)}, on ${day}.`,
    add: "Add a student",
    empty: "Nobody here yet. Add a student, then a piece for them to play.",
    total: "In all",
    lastPlayed: "Practised last",
    never: "Nothing practised yet",
    lastDone: ({ titles, kinds, byHand }: LastDone) => {
      const done = titles.length > 0 ? titles : kinds.map((kind) => session.block[kind].name);
      return [...done, ...(byHand > 0 ? [`${inMinutes(byHand)} without Fidus`] : [])].join(", ");
    },
  },
  look: {
    kinds: {
      pain: "stopped for pain",
      silent: "silent",
      stuck: "no higher for days",
      question: "asks",
      felt: "ended tight or tired",
      behind: "behind by heart",
      concert: "behind the date",
      "nothing-yet": "nothing practised yet",
    },
    pain: (when: string) => `Stopped for pain ${when}. Ask before more is set.`,
    silent: (days: number) => `Silent for ${days} days.`,
    stuck: (title: string, bars: string, tempo: number, days: number) =>
      `${title}, ${bars}: no higher than ${tempo} bpm on the last ${days} days of practice.`,
    question: (count: number, first: string) =>
      count === 1 ? `Asks: ${first}` : `${count} questions, the first: ${first}`,
    felt: (feeling: "tight" | "tired", when: string) => `Ended ${feeling} ${when}.`,
    behind: (title: string, days: number) =>
      `${title} by heart: ${days} ${plural(days, "day", "days")} behind.`,
    concert: (chance: string) => `That all of it stands at the concert: ${chance}.`,
    nothingYet: "New here: nothing practised yet.",
  },
  many: {
    title: "Add many students",
    lead: "Paste a list, one student per line.",
    list: "Students",
    example: "Nora Quayle, flute, Thu 15:30, Mon Wed Fri 25, child",
    columns:
      "Name, instrument, lesson, practice times and “child” for a child's limits. Only the name is needed.",
    addAgain: "Add students with the same name",
    codes: "Codes work for",
    codesFor: { day: "one day", week: "one week" },
    submit: "Add students",
    once: (count: number, codeDays: number) =>
      `${count} ${plural(count, "student", "students")} added. Print this page now: links and codes are shown only once. Codes work for ${codeDays === 1 ? "one day" : "one week"}.`,
    print: "Print",
    code: (code: string) => `Code ${code}`,
  },
  studentForm: { title: "Add a student", name: "Student's name", submit: "Add" },
  student: {
    today: "Today's practice",
    lesson: "Lesson",
    week: "The week",
    access: "Links and codes",
    records: "Take along or delete",
    recordsOwn: "Take everything along",
    addPiece: "Add a piece",
    pieces: "Pieces",
    openPiece: "Open the bars",
    editPiece: "Edit the piece",
    cut: "Cut a passage",
    noPieces: "No piece on the stand yet. Add one: a title and how many bars are enough to begin.",
    demoPiece: "Try with a demo piece",
    noPassages: "No passage cut yet. Open the bars and drag over the ones to work on.",
    noLadder: "No ladder yet",
    practiseNow: "Practise now",
    practiseOne: (title: string) => `Practise ${title} now`,
    setLadder: "Set a ladder",
    ladder: "Ladder",
    unplayed: "not played yet",
    comfortable: (bpm: number, key: string | null) =>
      key === null ? `comfortable ${bpm}` : `comfortable ${bpm} in ${key}`,
    latest: "Latest sessions",
    wholeLog: "The whole log",
  },
  pieceForm: {
    title: "Add a piece",
    lead: (name: string) => `For ${name}. The metre may have groups, such as 2+2+3/8.`,
    name: "Title",
    origin: "By, or from",
    kind: "What it is",
    kinds: { piece: "Piece", etude: "Étude", scale: "Scale", drill: "Drill" },
    bars: "Number of bars",
    metre: "Metre",
    metreHelp: "3/4, 6/8, 2+2+3/8",
    pickup: "Pickup beats",
    changes: "Metre changes",
    changesHelp: "Bar and metre: 9 2/4, 17 3/4",
    unit: "Beat unit of the tempo",
    mark: "Tempo at performance",
    markHelp: "Beats per minute",
    submit: "Add and open its bars",
    editTitle: "Change the piece",
    save: "Save",
  },
  piece: {
    bars: "Bars",
    how: "Drag over bars to cut a passage; with the keyboard, arrows and Shift.",
    firstCut: "Choose the bars that need work: press on the first and drag to the last.",
    passages: "Passages",
    state: "State",
    byRecord: "by the record",
    give: "Give it to others",
    exercise: "As an exercise of the room",
    exerciseHow:
      "It lies in the library with its passages and ladders, to be given at a lesson or to several students. Kept again it is its next version.",
    exerciseName: "Name in the library",
    keepExercise: "Keep in the library",
    exerciseKept: (name: string) => `“${name}” lies in the library.`,
    giveWhat: "What is given",
    giveWhom: "To whom",
    giveHow:
      "They get the piece with its passages and ladders, each from where they are comfortable. What they have already stays.",
    givenFrom: (changed: boolean) => (changed ? "given, changed since" : "as it was given"),
    giveIt: "Give it",
    given: (count: number) => `Given to ${count} ${plural(count, "student", "students")}.`,
    stages: "Where it stands",
    writeStages: "Write the stages anew",
    stageLines: "A stage on each line",
    keepStages: "Keep them",
    retire: "Take off the stand",
    putAway: "Off the stand",
    since: (day: string) => `since ${day}`,
    offSince: (day: string) => `off the stand since ${day}`,
    putBack: "Put it back",
  },
  cut: {
    title: (bars: string) => `Cut ${bars}`,
    from: "From bar",
    to: "To bar",
    pickup: "Pickup beats",
    pickupHelp: "Played before the first bar",
    start: "Beats left out",
    startHelp: "Of the first bar",
    end: "Beats of the last bar",
    endHelp: "0: the whole bar",
    name: "Name",
    focus: "Listen for",
    focusHelp: "One thing",
    submit: "Cut and set a ladder",
  },
  today: {
    title: "Today",
    plan: "Plan",
    goOn: "Go on at the stand",
    stillOpen: "A session from today is still open, with its count as you left it.",
    toPassages: "To the passages",
    noLadders: "The passages have no ladder yet. Set one, and it can be played today.",
    nothing: "Nothing set yet. Cut a passage of a piece and set a ladder for it.",
    start: (minutes: number) => `Start, ${minutes} minutes`,
    from: "from",
    noVerdict: "When no verdict is given",
    noVerdicts: {
      wait: "wait for it",
      again: "play again, uncounted",
      uncounted: "in time: go on uncounted",
    } satisfies Record<NoVerdict, string>,
  },
  log: {
    title: "Log",
    empty: "Nothing played yet. The log writes itself at the stand.",
    find: "Find in the log",
    kind: "Kind of line",
    allKinds: "all of them",
    kinds: {
      played: "played",
      task: "done without a ladder",
      "by-hand": "practised without Fidus",
      said: "noted",
      asked: "asked",
      pain: "stopped for pain",
    },
    from: "From",
    to: "To",
    day: "Day",
    what: "What",
    minutes: "Minutes",
    tempo: "Tempo",
    clean: "Clean",
    csv: "As a table (CSV)",
    columns: [
      "day",
      "kind",
      "what",
      "from bar",
      "to bar",
      "minutes",
      "beat unit",
      "start, bpm",
      "reached, bpm",
      "plays",
      "clean",
      "note",
    ],
    pain: "stopped for pain",
    open: "not ended",
    inAll: (sessions: number, minutes: number, days: number) =>
      `${sessions} ${plural(sessions, "session", "sessions")} on ${onDays(days)}, ${inMinutes(minutes)}`,
  },
  progress: {
    title: "Progress",
    chart: "Tempo over days",
    empty:
      "Nothing played yet. After the first session the tempo reached and the comfortable tempo are drawn here, day by day.",
    reached: "reached",
    comfortable: "comfortable",
    span: "comfortable, 80 % sure",
    ceiling: "ceiling",
    target: "Target",
    days: "Day by day",
    day: "Day",
    plays: "Plays",
    clean: "Clean",
    minutes: "Minutes",
    even: "Even within",
    ladder: "Change the ladder",
    where: "Where flaws fell",
    byKey: "Key by key",
    key: "Key",
    fastest: "Fastest clean",
    last: "Last",
    showPlays: "Show the plays behind it",
    hidePlays: "Without the plays",
    playsTold:
      "Each dot is a tempo on a day: the larger, the more plays; the fuller, the more of them clean.",
    explain:
      "Comfortable: a clean play is nearly certain, nine in ten. Ceiling: it breaks every other time. Both come from a level that moves with every day of practice, and a little with every day off.",
  },
  afterwards: {
    moved: "What moved",
    /** From where, up to which tempo it was passed, and where it would have gone on. */
    reached: (from: number, passed: number, next: number) => {
      if (passed > from) return `${tenth(from)} → ${tenth(passed)} bpm`;
      return next > passed ? `${tenth(passed)} bpm passed` : `${tenth(passed)} bpm held`;
    },
    /** No gate passed; `clock`: the fastest tempo by the clock, where it went by it. */
    noGate: (at: number, clock: number | null) =>
      clock === null ? `worked at ${tenth(at)} bpm` : `by the clock to ${tenth(clock)} bpm`,
    note: "One line for the log",
    noteSubmit: "Write it down",
    notes: "Notes",
    fromMemory: (told: string) => `From memory: ${told}`,
    flaws: "What went wrong, when it was said",
    next: "Next time",
    nextFrom: "starts at",
    nothing: "Nothing was played in this session.",
    again: "Back to today",
    student: "To the pieces",
    open: "This session is not ended.",
    total: (minutes: string, plays: string, clean: string) => `${minutes}, ${plays}, ${clean}.`,
  },
} as const;
