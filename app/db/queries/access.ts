import * as v from "valibot";
import type { Queries } from "~/db/client";
import { idRow, momentRow } from "./rows";
import { SHUT_REASONS } from "./shut-rooms";

const whoRow = v.pipe(
  v.object({
    sign_in_id: idRow,
    person_id: idRow,
    studio_id: idRow,
    name: v.string(),
    role: v.picklist(["teacher", "student", "parent"]),
    plays: v.boolean(),
    looks_on: v.array(idRow),
    shut: v.nullable(v.picklist(SHUT_REASONS)),
  }),
  v.transform((row) => ({
    signInId: row.sign_in_id,
    personId: row.person_id,
    studioId: row.studio_id,
    name: row.name,
    role: row.role,
    plays: row.plays,
    looksOn: row.looks_on,
    /** Why nobody may enter their room just now. */
    shut: row.shut,
  })),
);
/** Somebody who has signed in. */
export type Who = v.InferOutput<typeof whoRow>;

/** Who a sign-in belongs to, unless it has ended. */
export const whoIs = (db: Queries, signInId: string) =>
  db.maybeOne(
    whoRow,
    `select sign_in.id as sign_in_id, person.id as person_id, person.studio_id, person.name, role, plays, studio.shut,
       coalesce((select jsonb_agg(student_id order by student_id) from looks_on
         where parent_id = person.id), '[]'::jsonb) as looks_on
     from sign_in join person on person.id = sign_in.person_id
       join studio on studio.id = person.studio_id
     where sign_in.id = $1 and ended_at is null`,
    [signInId],
  );

export const insertSignIn = (
  db: Queries,
  signIn: {
    id: string;
    studioId: string;
    personId: string;
    accessId: string | undefined;
    at: Date;
  },
) =>
  db.execute(
    `insert into sign_in (id, studio_id, person_id, access_id, began_at) values ($1, $2, $3, $4, $5)`,
    [signIn.id, signIn.studioId, signIn.personId, signIn.accessId ?? null, signIn.at],
  );

export const endSignIn = (db: Queries, id: string, at: Date) =>
  db.execute("update sign_in set ended_at = $2 where id = $1 and ended_at is null", [id, at]);

export const endSignInsOf = (db: Queries, studioId: string, personId: string, at: Date) =>
  db.execute(
    `update sign_in set ended_at = $3
     where studio_id = $1 and person_id = $2 and ended_at is null`,
    [studioId, personId, at],
  );

const ACCESS_KINDS = ["link", "code", "calendar"] as const;
export type AccessKind = (typeof ACCESS_KINDS)[number];

const accessRow = v.object({
  id: idRow,
  studio_id: idRow,
  person_id: idRow,
  kind: v.picklist(ACCESS_KINDS),
  made_at: momentRow,
  expires_at: v.nullable(momentRow),
  used_at: v.nullable(momentRow),
});

const ACCESS = "id, studio_id, person_id, kind, made_at, expires_at, used_at";

/** The access that a secret opens, unless it was revoked or is over. */
export const openAccess = (db: Queries, kind: AccessKind, secretHash: string, now: Date) =>
  db.maybeOne(
    accessRow,
    `select ${ACCESS} from access where secret_hash = $1 and kind = $2 and revoked_at is null
       and (expires_at is null or expires_at > $3)`,
    [secretHash, kind, now],
  );

/** What a person can come in with now. */
export const accessesOf = (db: Queries, studioId: string, personId: string, now: Date) =>
  db.many(
    accessRow,
    `select ${ACCESS} from access where studio_id = $1 and person_id = $2 and revoked_at is null
       and (expires_at is null or expires_at > $3) order by made_at`,
    [studioId, personId, now],
  );

export const insertAccess = (
  db: Queries,
  studioId: string,
  access: {
    id: string;
    personId: string;
    kind: AccessKind;
    secretHash: string;
    at: Date;
    expiresAt: Date | undefined;
  },
) =>
  db.execute(
    `insert into access (id, studio_id, person_id, kind, secret_hash, made_at, expires_at)
     values ($1, $2, $3, $4, $5, $6, $7)`,
    [
      access.id,
      studioId,
      access.personId,
      access.kind,
      access.secretHash,
      access.at,
      access.expiresAt ?? null,
    ],
  );

export const markUsed = (db: Queries, id: string, at: Date) =>
  db.execute("update access set used_at = $2 where id = $1", [id, at]);

/** Uses a short code up and gives it; undefined when somebody else was quicker, or it is over. */
export const takeCode = (db: Queries, secretHash: string, at: Date) =>
  db.maybeOne(
    accessRow,
    `update access set revoked_at = $2, used_at = $2
     where secret_hash = $1 and kind = 'code' and revoked_at is null
       and (expires_at is null or expires_at > $2)
     returning ${ACCESS}`,
    [secretHash, at],
  );

/** Revokes an access and ends what was opened with it. */
export async function revokeAccess(db: Queries, studioId: string, id: string, at: Date) {
  await db.execute(
    "update access set revoked_at = $3 where studio_id = $1 and id = $2 and revoked_at is null",
    [studioId, id, at],
  );
  await db.execute(
    "update sign_in set ended_at = $3 where studio_id = $1 and access_id = $2 and ended_at is null",
    [studioId, id, at],
  );
}

export const revokeKind = (
  db: Queries,
  studioId: string,
  personId: string,
  kind: AccessKind,
  at: Date,
) =>
  db.execute(
    `update access set revoked_at = $4
     where studio_id = $1 and person_id = $2 and kind = $3 and revoked_at is null`,
    [studioId, personId, kind, at],
  );

/** The person of a sign-in name, with the hash of their password. */
export const bySignInName = (db: Queries, signIn: string) =>
  db.maybeOne(
    v.object({ id: idRow, studio_id: idRow, password_hash: v.string() }),
    "select id, studio_id, password_hash from person where sign_in = $1",
    [signIn],
  );

export const setPassword = (
  db: Queries,
  studioId: string,
  personId: string,
  signIn: string,
  passwordHash: string,
) =>
  db.execute(
    "update person set sign_in = $3, password_hash = $4 where studio_id = $1 and id = $2",
    [studioId, personId, signIn, passwordHash],
  );

const memberRow = v.object({
  id: idRow,
  studio_id: idRow,
  name: v.string(),
  role: v.picklist(["teacher", "student", "parent"]),
  instrument: v.string(),
});

/** Everybody of the demo rooms. */
export const demoPeople = (db: Queries) =>
  db.many(
    v.object({ ...memberRow.entries, plays_in: v.nullable(v.string()) }),
    `select person.id, studio_id, person.name, role, instrument, (
       select student_group.name from group_member
       join student_group on student_group.id = group_id
       where person_id = person.id and times -> 'lesson' = 'null'::jsonb
       order by student_group.name limit 1
     ) as plays_in
     from person join studio on studio.id = studio_id
     where demo and role <> 'leaving'
     order by role = 'student', role = 'parent', person.name collate "und-x-icu"`,
  );

/** Teachers who have no password yet, from before there was one. */
export const teachersWithoutPassword = (db: Queries) =>
  db.many(
    memberRow,
    `select person.id, studio_id, person.name, role, instrument
     from person join studio on studio.id = studio_id
     where role = 'teacher' and password_hash is null and not demo`,
  );

/** Parents who look on a student. */
export const parentsOf = (db: Queries, studioId: string, studentId: string) =>
  db.many(
    v.object({ id: idRow, name: v.string() }),
    `select person.id, name from looks_on join person on person.id = parent_id
     where looks_on.studio_id = $1 and student_id = $2 order by name collate "und-x-icu"`,
    [studioId, studentId],
  );

export const letLookOn = (db: Queries, studioId: string, parentId: string, studentId: string) =>
  db.execute(
    `insert into looks_on (studio_id, parent_id, student_id) values ($1, $2, $3)
     on conflict do nothing`,
    [studioId, parentId, studentId],
  );

const ownerRow = v.object({ person_id: idRow });

export const personOfPassage = (db: Queries, studioId: string, passageId: string) =>
  db.one(ownerRow, "select person_id from passage where studio_id = $1 and id = $2", [
    studioId,
    passageId,
  ]);

export const personOfSession = (db: Queries, studioId: string, sessionId: string) =>
  db.one(ownerRow, "select person_id from session where studio_id = $1 and id = $2", [
    studioId,
    sessionId,
  ]);
