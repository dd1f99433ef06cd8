import * as v from "valibot";
import { listedStudent, withSimpleTimes, type ListColumn, type WeekTimes } from "~/core/week";
import { err, ok, type Result } from "~/core/result";
import { setTimes, studentsOf } from "~/db/queries";
import { studentSchema } from "~/forms/names";
import type { FormRefused } from "~/forms/typed";
import { readForm } from "../../form";
import type { Services } from "../../services";
import { issue } from "./access";
import { addStudent, NO_TIMES } from "./open-room";

const MOST = 120;
const MOST_NAMED = 5;

const COLUMN: Readonly<Record<ListColumn, string>> = {
  lesson: "Write the lesson as Thu 15:30.",
  practice: "Write practice times as 30, or as Mon Wed Fri 25.",
  child: "Write “child”, or leave this column empty.",
};

interface Named {
  readonly name: string;
  readonly instrument: string;
  readonly times: WeekTimes;
}

/** How long the codes of a list can be used. */
export const CODE_DAYS = { day: 1, week: 7 } as const;

const listSchema = v.object({
  list: v.string(),
  codes: v.optional(v.picklist(["day", "week"]), "day"),
  /** Names that are there already are added all the same. */
  twice: v.optional(v.string(), ""),
});

/** Lines that read well, and the one that doesn't. */
function readLines(lines: readonly string[]): Result<Named[], string> {
  const students: Named[] = [];
  for (const line of lines) {
    const refused = (sentence: string) => err(`“${line.slice(0, 60)}”: ${sentence}`);
    const columns = listedStudent(line);
    if (!columns.ok) return refused(COLUMN[columns.error]);
    const read = v.safeParse(studentSchema, columns.value);
    if (!read.success) return refused(read.issues[0].message);
    const times = withSimpleTimes(NO_TIMES, columns.value.times);
    if (!times.success) return refused(times.issues[0].message);
    students.push({ ...read.output, times: times.output });
  }
  return ok(students);
}

const sameName = (name: string) => name.trim().replace(/\s+/g, " ").toLocaleLowerCase();

/** Names that stand twice in a list, or are those of students who are here. */
function namedTwice(students: readonly Named[], here: readonly string[]): string[] {
  const seen = new Set(here.map(sameName));
  return students.flatMap(({ name }) => {
    const isThere = seen.has(sameName(name));
    seen.add(sameName(name));
    return isThere ? [name] : [];
  });
}

/** A student on each line, in columns; the same name twice is asked about. */
export async function readList(
  { db }: Services,
  studioId: string,
  form: FormData,
): Promise<Result<{ students: Named[]; codeDays: number }, FormRefused>> {
  const typed = readForm(form, listSchema);
  if (!typed.ok) return typed;
  const { list, codes, twice } = typed.value;
  const refuse = (sentence: string, errors = {}) =>
    err({ errors: { list: sentence, ...errors }, values: { list, codes } });
  const lines = list.split(/\r?\n/).filter((line) => line.trim() !== "");
  if (lines.length === 0) return refuse("Write at least one name.");
  if (lines.length > MOST) return refuse(`Add at most ${MOST} students at once.`);
  const read = readLines(lines);
  if (!read.ok) return refuse(read.error);
  const here = (await studentsOf(db, studioId)).map(({ name }) => name);
  const again = namedTwice(read.value, here);
  if (again.length > 0 && twice === "") {
    const names = [...new Set(again)].slice(0, MOST_NAMED).join(", ");
    const sentence = `There is more than one student named ${names}. Check the list, or add them anyway.`;
    return refuse(sentence, { twice: sentence });
  }
  return ok({ students: read.value, codeDays: CODE_DAYS[codes] });
}

/** What a student comes in with, shown once. */
export interface Ticket {
  readonly id: string;
  readonly name: string;
  readonly instrument: string;
  /** The path of the personal link. */
  readonly link: string;
  readonly code: string;
}

/** Adds many students at once, each with a personal link and a short code: all of them, or none. */
export const addMany = (
  services: Services,
  studioId: string,
  students: readonly (Omit<Named, "times"> & { readonly times?: WeekTimes })[],
  codeDays: number = CODE_DAYS.day,
): Promise<Ticket[]> =>
  services.db.transaction(async (tx) => {
    const tickets: Ticket[] = [];
    for (const { name, instrument, times } of students) {
      const added = { name, instrument };
      const id = await addStudent({ db: tx, newId: services.newId }, studioId, added);
      if (times) await setTimes(tx, studioId, id, times);
      const link = await issue(services, tx, studioId, { id, name }, "link");
      const code = await issue(services, tx, studioId, { id, name }, "code", codeDays);
      tickets.push({ ...added, id, link: link.secret, code: code.secret });
    }
    return tickets;
  });
