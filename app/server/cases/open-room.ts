import * as v from "valibot";
import { isTimeZone } from "~/core/units";
import { insertPerson, insertStudio } from "~/db/queries";
import type { Services } from "../services";

const LONGEST_NAME = 120;

export const nameSchema = (what: string) =>
  v.pipe(
    v.string(),
    v.trim(),
    v.minLength(1, `Give ${what}.`),
    v.maxLength(LONGEST_NAME, `Keep it under ${LONGEST_NAME} characters.`),
  );

export const studentSchema = v.object({
  name: nameSchema("the student's name"),
  instrument: v.pipe(
    v.optional(v.string(), ""),
    v.trim(),
    v.maxLength(LONGEST_NAME, `Keep it under ${LONGEST_NAME} characters.`),
  ),
});

export const newRoomSchema = v.object({
  room: nameSchema("the room a name"),
  teacher: nameSchema("your name"),
  name: studentSchema.entries.name,
  instrument: studentSchema.entries.instrument,
  timeZone: v.fallback(v.pipe(v.string(), v.check(isTimeZone)), "UTC"),
});

/** A music room with its teacher and first student; gives the ids of the room and the student. */
export async function openRoom(
  { db, newId }: Services,
  room: v.InferOutput<typeof newRoomSchema>,
): Promise<{ studioId: string; studentId: string }> {
  const studioId = newId();
  const studentId = newId();
  await db.transaction(async (tx) => {
    await insertStudio(tx, {
      id: studioId,
      name: room.room,
      time_zone: room.timeZone,
      concert_name: "",
      concert_on: null,
    });
    const person = { instrument: "", no_verdict: "wait" } as const;
    await insertPerson(tx, studioId, {
      ...person,
      id: newId(),
      name: room.teacher,
      role: "teacher",
    });
    await insertPerson(tx, studioId, {
      ...person,
      id: studentId,
      name: room.name,
      role: "student",
      instrument: room.instrument,
    });
  });
  return { studioId, studentId };
}

export async function addStudent(
  { db, newId }: Services,
  studioId: string,
  student: v.InferOutput<typeof studentSchema>,
): Promise<string> {
  const id = newId();
  await insertPerson(db, studioId, { ...student, id, role: "student", no_verdict: "wait" });
  return id;
}
