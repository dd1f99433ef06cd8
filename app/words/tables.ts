import { music } from "./music";
import { words } from ".";

/** A column: its name in the file, and what stands in it. */
type Columns<K extends string> = Readonly<Record<K, readonly [name: string, says: string]>>;
const columns = <K extends string>(all: Columns<K>): Columns<K> => all;

const where = {
  day: ["day", "day of the session in the room's time zone"],
  piece: ["piece", "title"],
  passage: ["passage", "its name; empty where it has none"],
  from_bar: ["from bar", "first bar, counted from 1"],
  to_bar: ["to bar", "last bar"],
} as const;
const beatUnit = ["beat unit", "the note value that the tempi count"] as const;

/** The tables that are taken along, and what their columns hold. */
export const tables = {
  plays: columns({
    ...where,
    at: ["at", "moment of the play, UTC"],
    tempo: ["tempo", "beats a minute, in the beat unit"],
    beat_unit: beatUnit,
    verdict: ["verdict", "clean or flawed"],
    flaw_bar: ["flawed in bar", "empty where nobody said"],
    flaw_beat: ["on beat", "counted from 1"],
    flaw_what: ["what", "what was flawed, where somebody said"],
    from_memory: ["from memory", "yes: played with its notes hidden"],
    key: ["key", "of an item whose keys go round"],
    layer: ["layer", "of a ladder in layers, or what was left of a click that is withdrawn"],
    share: ["share", "how much of the passage was played, 1 for the whole"],
    factor: ["part of full tempo", "of passages over several tempi, 1 for the full one"],
  }),
  sessions: columns({
    day: where.day,
    started_at: ["began", "UTC"],
    last_at: ["last thing at", "UTC"],
    minutes: ["minutes", "practised, rests left out"],
    plays: ["plays", "with a verdict"],
    clean: ["clean", "of these"],
    ended: ["ended", "how; pain: stopped because it hurt"],
    feeling: ["felt", "what the player said of body and mood"],
    notes: ["notes", "one after another"],
    questions: ["questions", "for the lesson"],
  }),
  "handed-in": columns({
    at: ["handed in", "UTC"],
    due: ["due", "day"],
    title: ["what", "the item of the week"],
    line: ["message", "from the student"],
    answer: ["answer", "heard or again; empty while it waits"],
    rating: ["rating", "on the studio's own scale"],
    answered_at: ["answered", "UTC"],
    comments: ["comments", "with their bar; a spoken one lies in recordings/"],
  }),
  progress: columns({
    ...where,
    beat_unit: beatUnit,
    reached_tempo: ["reached", "highest tempo passed that day"],
    comfortable: ["comfortable", "tempo at which a clean play is nearly certain, estimated"],
    comfortable_low: ["comfortable from", "lower end of its uncertainty"],
    comfortable_high: ["comfortable to", "upper end"],
    ceiling: ["ceiling", "tempo at which it breaks half of the time, estimated"],
    ceiling_low: ["ceiling from", "lower end of its uncertainty"],
    ceiling_high: ["ceiling to", "upper end"],
  }),
};

/** What the columns of the log's table hold, in their order. */
const logSays = [
  "day in the room's time zone",
  "played, a task, written by hand, said, asked, or a stop for pain",
  "the piece and its passage, or the task",
  "first bar",
  "last bar",
  "minutes practised",
  "the note value that the tempi count",
  "first tempo, beats a minute",
  "highest tempo passed",
  "plays with a verdict",
  "of these",
  "what was said or asked",
];

/** The dictionary of all tables: file, column, what it holds. */
export const dictionary = {
  columns: ["file", "column", "what it holds"],
  rows: [
    ...words.log.columns.map((name, index) => ["log.csv", name, logSays[index] ?? ""]),
    ...Object.entries(tables).flatMap(([file, all]) =>
      Object.values(all).map(([name, says]) => [`${file}.csv`, name, says]),
    ),
  ],
};

export const beatUnitName = (unit: string): string =>
  music.beatUnit[unit as keyof typeof music.beatUnit] ?? unit;

/** Written over a bar of a piece that is taken along. */
export const flawedTimes = (count: number): string =>
  `flawed ${count} ${count === 1 ? "time" : "times"}`;

/** What lies in a room's file, told to whoever opens it. */
export const readme = (room: string, day: string): string =>
  `${room}, taken out on ${day}

students/    for each student the log, sessions, plays and progress as tables (CSV, UTF-8), and
             each piece as MusicXML and as one JSON document with its passages, tempi and flaws;
             dictionary.csv says what the columns of the tables hold
originals/   the files of music, pages and pictures as they came
sounds/      recordings, if they were asked for; data/ names each by the hash of its content
data/        everything once more, table by table, a row of JSON on each line: from these and
             room.json an empty room of Fidus is filled again

Passwords, links, codes and calendar addresses are not in here: they are made anew.
`;
