import { addHours } from "date-fns";
import type * as v from "valibot";
import { err, ok, type Result } from "~/core/result";
import { bySignInName, insertAccess, setPassword, teachersWithoutPassword } from "~/db/queries";
import type { credentialsFormSchema } from "~/forms/credentials";
import { hashPassword } from "../../access/passwords";
import { hashOf, newLinkSecret } from "../../access/secrets";
import type { Services } from "../../services";

/** A teacher's own sign-in name and password, new or changed. */
export async function choosePassword(
  { db }: Services,
  who: { readonly studioId: string; readonly personId: string },
  { signIn, password }: v.InferOutput<typeof credentialsFormSchema>,
): Promise<Result<undefined, { signIn: string }>> {
  const passwordHash = await hashPassword(password);
  return db.transaction(async (tx) => {
    const known = await bySignInName(tx, signIn);
    if (known && known.id !== who.personId) {
      return err({ signIn: "Somebody here signs in with this name already." });
    }
    await setPassword(tx, who.studioId, who.personId, signIn, passwordHash);
    return ok(undefined);
  });
}

/**
 * Rooms from before there were passwords: whoever starts the server is shown an address for each
 * such teacher, good for an hour, at which a password is set.
 */
export async function linksForTeachers({ db, now, newId }: Services) {
  const teachers = await teachersWithoutPassword(db);
  return Promise.all(
    teachers.map(async ({ id, studio_id, name }) => {
      const secret = newLinkSecret();
      const at = new Date(now());
      await insertAccess(db, studio_id, {
        id: newId(),
        personId: id,
        kind: "link",
        secretHash: hashOf(secret),
        at,
        expiresAt: addHours(now(), 1),
      });
      return { name, path: `/in/${secret}?to=/password` };
    }),
  );
}
