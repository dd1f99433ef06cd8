import * as v from "valibot";
import { err, ok, type Result } from "~/core/result";
import type { WeekTimes } from "~/core/week";
import { isTimeZone } from "~/core/units";
import type { Queries } from "~/db/client";
import { bySignInName, insertPerson, insertStudio, setPassword } from "~/db/queries";
import { hashPassword } from "../access/passwords";
import type { Services } from "../services";
import { COUNTING } from "./counting";
import { newPasswordSchema, signInNameSchema } from "./sign-in";

const LONGEST_NAME = 120;
const tooLong = `Keep it under ${LONGEST_NAME} characters.`;

/** Nothing said yet of when there is time. */
export const NO_TIMES: WeekTimes = { windows: [], lesson: null, dates: [], limits: null };

export const nameSchema = (what: string) =>
  v.pipe(v.string(), v.trim(), v.minLength(1, `Give ${what}.`), v.maxLength(LONGEST_NAME, tooLong));

export const studentSchema = v.object({
  name: nameSchema("the student's name"),
  instrument: v.pipe(v.optional(v.string(), ""), v.trim(), v.maxLength(LONGEST_NAME, tooLong)),
});

export const newRoomSchema = v.pipe(
  v.object({
    room: v.pipe(v.optional(v.string(), ""), v.trim(), v.maxLength(LONGEST_NAME, tooLong)),
    teacher: nameSchema("your name"),
    /** Someone teaching themself: no student but the teacher. */
    self: v.pipe(
      v.optional(v.string(), ""),
      v.transform((value) => value === "on"),
    ),
    name: v.pipe(v.optional(v.string(), ""), v.trim(), v.maxLength(LONGEST_NAME, tooLong)),
    instrument: studentSchema.entries.instrument,
    signIn: signInNameSchema,
    password: newPasswordSchema,
    timeZone: v.fallback(v.pipe(v.string(), v.check(isTimeZone)), "UTC"),
  }),
  v.forward(
    v.partialCheck(
      [["self"], ["name"]],
      ({ self, name }) => self || name.length > 0,
      "Give the student's name.",
    ),
    ["name"],
  ),
  v.forward(
    v.partialCheck(
      [["self"], ["room"]],
      ({ self, room }) => self || room.length > 0,
      "Give the room a name.",
    ),
    ["room"],
  ),
  // Whoever teaches themself has a room all the same, by their own name.
  v.transform((read) => ({ ...read, room: read.room || read.teacher })),
);

/** What a room begins with; a demo room has no password. */
export interface NewRoom {
  readonly room: string;
  readonly teacher: string;
  readonly self: boolean;
  readonly name: string;
  readonly instrument: string;
  readonly timeZone: string;
  readonly demo?: boolean;
  readonly signIn?: string;
  readonly password?: string;
}

export interface OpenedRoom {
  readonly studioId: string;
  readonly teacherId: string;
  readonly studentId: string;
}

/** A music room with its teacher and first student, who may be the same person. */
export async function openRoom(
  { db, newId }: Services,
  room: NewRoom,
): Promise<Result<OpenedRoom, { signIn: string }>> {
  const studioId = newId();
  const teacherId = newId();
  const { self, instrument, signIn, password } = room;
  // Hashing takes a while: before the transaction, not in it.
  const hash = password === undefined ? undefined : await hashPassword(password);
  return db.transaction(async (tx) => {
    if (signIn && (await bySignInName(tx, signIn))) {
      return err({ signIn: "Somebody here signs in with this name already." });
    }
    await insertStudio(
      tx,
      {
        id: studioId,
        name: room.room,
        time_zone: room.timeZone,
        concert_name: "",
        concert_on: null,
        demo: room.demo ?? false,
      },
      COUNTING,
    );
    const person = { no_verdict: "wait" as const, times: NO_TIMES };
    await insertPerson(tx, studioId, {
      ...person,
      id: teacherId,
      name: room.teacher,
      role: "teacher",
      plays: self,
      instrument: self ? instrument : "",
    });
    if (signIn && hash) await setPassword(tx, studioId, teacherId, signIn, hash);
    if (self) return ok({ studioId, teacherId, studentId: teacherId });
    const studentId = newId();
    const { name } = room;
    await insertPerson(tx, studioId, {
      ...person,
      id: studentId,
      name,
      role: "student",
      plays: true,
      instrument,
    });
    return ok({ studioId, teacherId, studentId });
  });
}

export async function addStudent(
  { db, newId }: { readonly db: Queries; readonly newId: Services["newId"] },
  studioId: string,
  student: v.InferOutput<typeof studentSchema>,
): Promise<string> {
  const id = newId();
  await insertPerson(db, studioId, {
    ...student,
    id,
    role: "student",
    plays: true,
    no_verdict: "wait",
    times: NO_TIMES,
  });
  return id;
}
