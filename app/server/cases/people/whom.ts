import type { Queries } from "~/db/client";
import { groupsOf, studentsOf } from "~/db/queries";
import type { Services } from "../../services";

/** Everyone who can be chosen for something, with what they are found by. */
export async function studentsToChoose(db: Queries, studioId: string) {
  const [students, groups] = await Promise.all([studentsOf(db, studioId), groupsOf(db, studioId)]);
  const groupsWith = (id: string) =>
    groups.filter(({ members }) => members.includes(id)).map(({ name }) => name);
  return students.map(({ id, name, instrument }) => ({
    ...{ id, name, instrument, groups: groupsWith(id) },
  }));
}

/** Whom something of a student can be given to. */
export const otherStudents = async ({ db }: Services, studioId: string, personId: string) =>
  (await studentsToChoose(db, studioId)).filter(({ id }) => id !== personId);
