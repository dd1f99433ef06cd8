import * as v from "valibot";
import { mustDoSchema, type MustDo, type NoVerdict } from "~/core/session";
import { shorthandSchema, USUAL_SHORTHAND, type Shorthand, type WeekTimes } from "~/core/week";
import type { Queries } from "~/db/client";
import { personRow, type Person } from "./rows";

const COLUMNS = "id, name, role, plays, instrument, no_verdict, times";

export const studentsOf = (db: Queries, studioId: string) =>
  db.many(
    personRow,
    `select ${COLUMNS} from person where studio_id = $1 and plays
     order by name collate "und-x-icu"`,
    [studioId],
  );

export const studentById = (db: Queries, studioId: string, personId: string) =>
  db.one(personRow, `select ${COLUMNS} from person where studio_id = $1 and id = $2 and plays`, [
    studioId,
    personId,
  ]);

export const insertPerson = (db: Queries, studioId: string, person: Person) =>
  db.execute(
    `insert into person (studio_id, ${COLUMNS}) values ($1, $2, $3, $4, $5, $6, $7, $8::jsonb)`,
    [
      studioId,
      person.id,
      person.name,
      person.role,
      person.plays,
      person.instrument,
      person.no_verdict,
      JSON.stringify(person.times),
    ],
  );

export const setNoVerdict = (db: Queries, studioId: string, personId: string, choice: NoVerdict) =>
  db.execute("update person set no_verdict = $3 where studio_id = $1 and id = $2", [
    studioId,
    personId,
    choice,
  ]);

export const setTimes = (db: Queries, studioId: string, personId: string, times: WeekTimes) =>
  db.execute("update person set times = $3::jsonb where studio_id = $1 and id = $2", [
    studioId,
    personId,
    JSON.stringify(times),
  ]);

const mustDoRow = v.object({ must_do: mustDoSchema });

/** What a student does even on a short day. */
export const mustDoOf = async (db: Queries, studioId: string, personId: string) =>
  (
    await db.one(mustDoRow, "select must_do from person where studio_id = $1 and id = $2", [
      studioId,
      personId,
    ])
  ).must_do;

export const setMustDo = (
  db: Queries,
  studioId: string,
  personId: string,
  all: readonly MustDo[],
) =>
  db.execute("update person set must_do = $3::jsonb where studio_id = $1 and id = $2", [
    studioId,
    personId,
    JSON.stringify(all),
  ]);

const shorthandRow = v.object({ shorthand: v.nullable(shorthandSchema) });

/** A player's own codes; the usual ones as long as they have none. */
export const shorthandOf = async (db: Queries, studioId: string, personId: string) =>
  (
    await db.one(shorthandRow, "select shorthand from person where studio_id = $1 and id = $2", [
      studioId,
      personId,
    ])
  ).shorthand ?? USUAL_SHORTHAND;

export const setShorthand = (db: Queries, studioId: string, personId: string, codes: Shorthand) =>
  db.execute("update person set shorthand = $3::jsonb where studio_id = $1 and id = $2", [
    studioId,
    personId,
    JSON.stringify(codes),
  ]);
