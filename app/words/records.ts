const plural = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;

const piecesGo = (count: number): string => {
  if (count === 0) return "Pieces that others have too, or that the library keeps, stay.";
  return count === 1
    ? "One piece goes with its notes, since nobody else has it and the library doesn't keep it."
    : `${count} pieces go with their notes, since nobody else has them and the library doesn't keep them.`;
};

/** Taking along, bringing in, deleting: kept apart, since few pages say it. */
export const recordsWords = {
  backups: {
    title: "Backups",
    none: "No backup yet.",
    newest: (hours: number) => {
      if (hours < 1) return "The last backup is less than an hour old.";
      return hours < 48
        ? `The last backup is ${plural(hours, "hour", "hours")} old.`
        : `The last backup is ${plural(Math.floor(hours / 24), "day", "days")} old.`;
    },
    scheduled: (hours: number, keep: number) =>
      hours === 24
        ? `This server makes one every day and keeps the last ${keep}.`
        : `This server makes one every ${plural(hours, "hour", "hours")} and keeps the last ${keep}.`,
    unscheduled: "This server makes none by itself.",
    take: "Back up now",
    taken: "Backup made.",
  },
  withRecordings: (megabytes: number) => `With recordings, ${megabytes} MB`,
  room: {
    title: "The room and its files",
    lead: "What is made here is yours. Take all of it along, or bring it in.",
    out: "Take everything along",
    outLead:
      "One zip with every piece as MusicXML and JSON, the files as they came, and for each student log, sessions, plays and progress as tables. From the same file an empty room of Fidus is filled again, with the same pages and numbers.",
    outNot:
      "What was handed in, answers and comments are always in it, recordings only if you choose them. Passwords, links, codes and calendar addresses are left out and made anew.",
    outDo: "Take the room along",
    takes: "Takes",
    takesDays: "Keep recordings for (days)",
    yearEnds: "School year ends after",
    takesKeep: "Save",
    takesKept: "Saved.",
    ratings: {
      title: "Ratings",
      lead: "What is handed in is rated by",
      kinds: { words: "words of your own", points: "points", none: "no rating" },
      usual: ["secure", "nearly", "not yet"],
      words: "Words, the best first",
      wordsHelp: "Between commas: secure, nearly, not yet",
      most: "Points at most",
      keep: "Rate so",
      kept: "Kept. What was rated before stays as it was said.",
    },
    takesLead:
      "Recordings that were handed in stay until the school year ends. Players are told the day before a recording is deleted.",
    in: "Bring a room in",
    inLead: "A room that was taken along is read into this one: all of it, or nothing.",
    inNot:
      "Only an empty room can be filled from a file. Open a new room, leave the student's name empty, and bring the file in there.",
    inChoose: "File of the room (.zip)",
    inDo: "Bring it in",
    inBusy: "Being read; everything played is counted again. That can take a minute.",
    inDone: (name: string) => `${name} is here. Students need new links or codes.`,
    inWeek: "To the week",
    inLost: "The connection broke off before an answer came. Look at the week before trying again.",
    noFile: "Choose a file first.",
    table: "Students and pieces from a table",
    tableLead:
      "A list from any table program, as CSV: say what its columns are, look, bring it in.",
    tableDo: "From a table",
  },
  student: {
    title: (name: string) => `Everything of ${name}`,
    lead: "In open formats, to keep or to go on with elsewhere.",
    all: "All of it",
    allLead:
      "A zip with the tables below, every piece with its passages, tempi and flaws, and the files as they came. Recordings are in it only if you choose them.",
    allDo: "Take it along",
    tables: "Tables",
    tablesLead:
      "CSV, for any table program. What the columns hold is said in dictionary.csv, in the zip.",
    table: {
      log: "Log: day by day, what was done",
      sessions: "Sessions: minutes, plays, notes",
      plays: "Plays: each with its verdict",
      "handed-in": "Handed in: answers, ratings, comments",
      progress: "Progress: comfortable tempo and ceiling by day",
    },
    pieces: "Pieces",
    piecesLead: "Notes where there are any; passages as rehearsal marks, tempi and flaws in words.",
    noPieces: "No piece on the stand yet.",
    musicXml: "MusicXML",
    json: "JSON",
    musicXmlOf: (title: string) => `${title} as MusicXML`,
    jsonOf: (title: string) => `${title} as JSON`,
    delete: "Delete for good",
    deleteWhat: (had: {
      readonly pieces: number;
      readonly passages: number;
      readonly sessions: number;
      readonly plays: number;
      readonly weeks: number;
    }) =>
      [
        `This takes away ${plural(had.passages, "passage", "passages")} with ladders and progress, ${plural(had.sessions, "session", "sessions")} with ${plural(had.plays, "play", "plays")}, ${plural(had.weeks, "week", "weeks")} as they were set, questions, goals and plans, and every link and code.`,
        piecesGo(had.pieces),
        "Nobody can bring it back: take it along first if it may be needed.",
      ].join(" "),
    deleteParents: (names: readonly string[]) =>
      `${names.join(", ")} ${names.length === 1 ? "looks" : "look"} on nobody else and ${names.length === 1 ? "goes" : "go"} too.`,
    deleteName: (name: string) => `Type “${name}” to say that you mean it`,
    deleteDo: "Delete for good",
  },
} as const;
