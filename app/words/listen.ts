const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0)} MB`;

/** Listening back to takes; only the pages that list or play them say it. */
export const listenWords = {
  title: "Listen back",
  of: (bars: string) => `Take: ${bars}`,
  placed: {
    heard: "Bars placed by the count-in as the microphone heard it.",
    clapped: "Bars placed about: by clapping along.",
    reported: "Bars placed about: by what the device reports.",
  },
  gaps: "The microphone gave nothing for a while: what lies behind may be shifted.",
  opening: "Opening the take …",
  broken: "This recording can't be played here. Try again in a moment.",
  missing:
    "The sound of this recording is missing. It was deleted, or left out when the studio was imported.",
  cutOff: "The microphone was disconnected, so the recording ends there.",
  play: "Play",
  pause: "Pause",
  wave: "The take from beginning to end. Space plays and pauses, the arrows go a bar back or on.",
  waves:
    "The takes from beginning to end, one above the other. Space plays and pauses, the arrows go a bar back or on, Enter goes over to the other take.",
  deskKeys:
    "Keys: Space plays, the arrows go from bar to bar, C comments on the bar that is heard, H says “heard” and goes on, A asks for it again.",
  which: "You hear",
  beside: "Put another take beside it:",
  besideLine: (tempo: string, day: string) => `${tempo} bpm, ${day}`,
  alone: "Hear this take alone",
  barsLabel: "Bars: play from one",
  fromBar: (bar: number) => `Play from bar ${bar}`,
  loop: "Loop",
  loopFrom: "from bar",
  loopTo: "to bar",
  speed: "Speed",
  percent: (value: number) => `${value} %`,
  click: "Click under it",
  keptUntil: (day: string) => `Kept until ${day}.`,
  goesTomorrow: "It is deleted tomorrow.",
  used: (name: string, used: number, most: number) =>
    `The takes of ${name} take up ${megabytes(used)} of ${megabytes(most)}.`,
  privacy: "Only the student and the teacher can hear it.",
  privacyWithParents: "The student, the teacher and the parents can hear it.",
  parentsMay: "Let parents listen too",
  parentsMayNot: "Don't let parents listen any more",
  leaving: (count: number) =>
    count === 1
      ? "One of your takes is deleted tomorrow night at the latest. What is handed in stays longer."
      : `${count} of your takes are deleted tomorrow night at the latest. What is handed in stays longer.`,
  hearTitle: "What did you hear?",
  hearLead:
    "Touch each bar in which you heard a flaw; none, if it was clean. Then you see what was said at the stand.",
  flawIn: (bar: number) => `A flaw in bar ${bar}`,
  heardIt: "That is what I heard",
  youHeard: (bars: readonly number[]) => {
    if (bars.length === 0) return "You heard no flaw.";
    return bars.length === 1
      ? `You heard a flaw in bar ${bars[0]}.`
      : `You heard flaws in bars ${bars.slice(0, -1).join(", ")} and ${bars.at(-1)}.`;
  },
  atTheStand: (verdict: "clean" | "flawed" | null, bar: number | null) => {
    if (verdict === null) return "At the stand there was no verdict.";
    const where = bar === null ? "" : `, in bar ${bar}`;
    return `At the stand it was ${verdict}${where}.`;
  },
  ear: (agreed: number, listened: number) =>
    `Your ear and the stand agree on ${agreed} of ${listened} ${listened === 1 ? "take" : "takes"}.`,
  earKind: (times: number) =>
    times === 1
      ? "Once it was clean at the stand, with a flaw in it afterwards."
      : `${times} times it was clean at the stand, with a flaw in it afterwards.`,
  earHard: (times: number) =>
    times === 1
      ? "Once it was flawed at the stand, and none was heard afterwards."
      : `${times} times it was flawed at the stand, and none was heard afterwards.`,
  removing: "Delete …",
  remove: "Delete this take",
  removeAll: (name: string) => `Delete all takes of ${name}`,
  removed: "What is deleted is gone at once, the sound as well.",
  others: "Other takes of this passage",
  takes: "Takes",
  takesEmpty: "No take yet. At the stand, the microphone at the top records the next play.",
  line: (tempo: string, seconds: number) => `${tempo} bpm, ${seconds} s`,
  handIn: {
    title: "Handing in",
    nothing: "This week asks for no take of this passage.",
    notYet: "It was not handed in.",
    due: (day: string) => `Due on ${day}. Until then you can replace it with another recording.`,
    wasDue: (day: string) => `It was due on ${day}, so it counts as late.`,
    dueSoon: (title: string, today: boolean) =>
      `${title}: hand in a recording ${today ? "today" : "by tomorrow"}.`,
    missed: (title: string, day: string) =>
      `${title}: the recording was due on ${day}. You can still hand it in.`,
    replaces: (moment: string) => `This replaces the recording handed in on ${moment}.`,
    line: "A line with it (may stay empty)",
    doIt: "Hand it in",
    handedIn: (title: string, day: string) => `Handed in for “${title}”, ${day}.`,
    late: "Late.",
    answer: {
      waiting: "It waits to be heard.",
      heard: "Heard.",
      again: "Again, please: record another and hand that in.",
    },
    whole: "All of it",
    bar: "Bar",
    comment: "Comment",
    pin: "Pin it",
    speak: "Say it instead",
    spoken: "Stop, and pin it",
    speaking: (seconds: number, most: number) => `${seconds} s of ${most}`,
    refused: "The microphone was refused. It can be written all the same.",
    hearSpoken: "Hear it said",
    hush: "Stop it",
    hearComment: (bar: number | null) =>
      bar === null ? "What the teacher says of all of it" : `What the teacher says of bar ${bar}`,
    rating: "Rating",
    unrated: "none",
    heard: "Heard; on to the next",
    again: "Again, please",
    desk: "Takes to hear",
    deskLead: (count: number, order: "oldest" | "newest") =>
      count === 1 ? "One take waits." : `${count} takes wait, the ${order} first.`,
    otherOrder: { oldest: "Newest first", newest: "Oldest first" },
    begin: "Hear the first",
    missing: "Not handed in",
    missingSince: (day: string) => `It was due on ${day}.`,
    none: "Nothing waits. A week asks for a take where an item says “Bring: a recording”.",
    week: "Week",
    toHear: (count: number) => (count === 1 ? "1 take to hear" : `${count} takes to hear`),
    told: {
      heard: (title: string) => `Your take of “${title}” was heard.`,
      again: (title: string) => `Your take of “${title}”: again, please.`,
    },
  },
} as const;
