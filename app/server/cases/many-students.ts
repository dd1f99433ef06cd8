import * as v from "valibot";
import { err, ok, type Result } from "~/core/result";
import { studentSchema } from "~/forms/names";
import type { FormRefused } from "~/forms/typed";
import type { Services } from "../services";
import { issue } from "./access";
import { addStudent } from "./open-room";

const MOST = 120;

interface Named {
  readonly name: string;
  readonly instrument: string;
}

/** A name on each line, and after a comma, a semicolon or a tab the instrument. */
export function readList(text: string): Result<Named[], FormRefused> {
  const refuse = (sentence: string) => err({ errors: { list: sentence }, values: { list: text } });
  const lines = text.split(/\r?\n/).filter((line) => line.trim() !== "");
  if (lines.length === 0) return refuse("Give a name on each line.");
  if (lines.length > MOST) return refuse(`At most ${MOST} students at once.`);
  const students: Named[] = [];
  for (const line of lines) {
    const [name = "", ...rest] = line.split(/[,;\t]/);
    const read = v.safeParse(studentSchema, { name, instrument: rest.join(" ").trim() });
    if (!read.success) return refuse(`“${line.slice(0, 60)}”: ${read.issues[0].message}`);
    students.push(read.output);
  }
  return ok(students);
}

/** What a student comes in with, shown once. */
export interface Ticket extends Named {
  readonly id: string;
  /** The path of the personal link. */
  readonly link: string;
  readonly code: string;
}

/** Adds many students at once, each with a personal link and a short code: all of them, or none. */
export const addMany = (
  services: Services,
  studioId: string,
  students: readonly Named[],
): Promise<Ticket[]> =>
  services.db.transaction(async (tx) => {
    const tickets: Ticket[] = [];
    for (const student of students) {
      const id = await addStudent({ db: tx, newId: services.newId }, studioId, student);
      const person = { id, name: student.name };
      const link = await issue(services, tx, studioId, person, "link");
      const code = await issue(services, tx, studioId, person, "code");
      tickets.push({ ...student, id, link: link.secret, code: code.secret });
    }
    return tickets;
  });
