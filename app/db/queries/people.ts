import type { NoVerdict } from "~/core/session";
import type { Queries } from "~/db/client";
import { personRow, type Person } from "./rows";

const COLUMNS = "id, name, role, instrument, no_verdict";

export const studentsOf = (db: Queries, studioId: string) =>
  db.many(
    personRow,
    `select ${COLUMNS} from person where studio_id = $1 and role = 'student'
     order by name collate "und-x-icu"`,
    [studioId],
  );

export const studentById = (db: Queries, studioId: string, personId: string) =>
  db.one(
    personRow,
    `select ${COLUMNS} from person where studio_id = $1 and id = $2 and role = 'student'`,
    [studioId, personId],
  );

export const insertPerson = (db: Queries, studioId: string, person: Person) =>
  db.execute(`insert into person (studio_id, ${COLUMNS}) values ($1, $2, $3, $4, $5, $6)`, [
    studioId,
    person.id,
    person.name,
    person.role,
    person.instrument,
    person.no_verdict,
  ]);

export const setNoVerdict = (db: Queries, studioId: string, personId: string, choice: NoVerdict) =>
  db.execute("update person set no_verdict = $3 where studio_id = $1 and id = $2", [
    studioId,
    personId,
    choice,
  ]);
