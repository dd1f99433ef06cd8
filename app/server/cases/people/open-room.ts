import type * as v from "valibot";
import { err, ok, type Result } from "~/core/result";
import type { WeekTimes } from "~/core/week";
import type { Queries } from "~/db/client";
import { allStudios, bySignInName, insertPerson, insertStudio, setPassword } from "~/db/queries";
import type { studentSchema } from "~/forms/names";
import { hashPassword } from "../../access/passwords";
import type { Services } from "../../services";
import { COUNTING } from "../session/counting";

/** Nothing said yet of when there is time. */
export const NO_TIMES: WeekTimes = { windows: [], lesson: null, dates: [], limits: null };

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
  /** The first student; the teacher where nobody else is named. */
  readonly studentId: string;
}

/** A music room with its teacher and, where one is named, a first student, who may be the same person. */
export async function openRoom(
  { db, newId }: Services,
  room: NewRoom,
  { onlyFirst = false }: { readonly onlyFirst?: boolean } = {},
): Promise<Result<OpenedRoom, { signIn: string } | "not-first">> {
  const studioId = newId();
  const teacherId = newId();
  const { self, instrument, signIn, password } = room;
  // Hashing takes a while: before the transaction, not in it.
  const hash = password === undefined ? undefined : await hashPassword(password);
  return db.transaction(async (tx) => {
    if (onlyFirst && (await allStudios(tx)).length > 0) return err("not-first");
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
    const { name } = room;
    if (name === "") return ok({ studioId, teacherId, studentId: teacherId });
    const studentId = newId();
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
