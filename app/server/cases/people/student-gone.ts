import { err, ok, type Result } from "~/core/result";
import {
  belongingsOf,
  deleteTakesOf,
  leaving,
  letGo,
  piecesOfPerson,
  spokenOf,
  studentById,
  takeAway,
} from "~/db/queries";
import type { FormRefused } from "~/forms/typed";
import type { Services } from "../../services";
import { forgetSounds, soundBytes } from "../take/takes";

/** What a student has here, to be taken along or deleted. */
export async function recordsPage({ db }: Services, studioId: string, personId: string) {
  const { id, name, role } = await studentById(db, studioId, personId);
  const pieces = await piecesOfPerson(db, studioId, personId);
  return {
    person: { id, name },
    pieces: pieces.map((piece) => ({ id: piece.id, title: piece.title })),
    belongings: await belongingsOf(db, studioId, personId),
    /** What their recordings take up. */
    soundBytes: await soundBytes({ db }, studioId, personId),
    /** Whoever teaches themself is not deleted: there would be no teacher. */
    deletable: role === "student",
  };
}

/**
 * Deletes a student for good, once their name was typed. Nobody finds them from the first short
 * transaction on; the rest goes in parts, and at the next start where that is cut off.
 */
export async function deleteForGood(
  services: Services,
  studioId: string,
  personId: string,
  typed: string,
): Promise<Result<undefined, FormRefused>> {
  const { db } = services;
  const { name, role } = await studentById(db, studioId, personId);
  if (typed.trim() !== name || role !== "student") {
    return err({ errors: { name: "This is not the name." }, values: { name: typed } });
  }
  const sounds = await db.transaction(async (tx) => {
    const spoken = await spokenOf(tx, studioId, { personId });
    const takes = await deleteTakesOf(tx, studioId, personId);
    await letGo(tx, studioId, personId);
    return [...takes.map(({ hash }) => hash), ...spoken];
  });
  await forgetSounds(services, sounds);
  await takeAway(db, studioId, personId);
  return ok(undefined);
}

/** Takes away what is left of students whose deletion was cut off. */
export async function finishDeletions({ db }: Pick<Services, "db">): Promise<void> {
  for (const { studio_id, id } of await leaving(db)) await takeAway(db, studio_id, id);
}
