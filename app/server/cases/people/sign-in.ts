import { err, ok, type Result } from "~/core/result";
import {
  bySignInName,
  demoPeople,
  endSignIn,
  endSignInsOf,
  insertSignIn,
  markUsed,
  openAccess,
  takeCode,
} from "~/db/queries";
import { passwordFits } from "../../access/passwords";
import { codeAsTyped, hashOf } from "../../access/secrets";
import { nameFrom, type Throttle } from "../../access/throttle";
import type { Services } from "../../services";

/** Why nobody was let in, as a sentence with its status. */
export interface Refusal {
  readonly sentence: string;
  readonly status: 401 | 429;
}

interface Trying {
  readonly throttle: Throttle;
  readonly address: string;
}

const tooFast = (seconds: number): Refusal => ({
  sentence:
    seconds < 90
      ? `Too many tries. Wait ${seconds} seconds, then try again.`
      : `Too many tries. Wait ${Math.ceil(seconds / 60)} minutes, then try again.`,
  status: 429,
});

/** Opens a sign-in for a person. */
export async function beginSignIn(
  { db, now, newId }: Services,
  person: { readonly id: string; readonly studio_id: string },
  accessId?: string,
): Promise<string> {
  const id = newId();
  const signIn = { id, studioId: person.studio_id, personId: person.id, accessId };
  await insertSignIn(db, { ...signIn, at: new Date(now()) });
  return id;
}

/** Tries something that may be guessed; failures are counted against all keys. */
async function trying<T>(
  throttle: Throttle,
  keys: readonly string[],
  sentence: string,
  work: () => Promise<T | undefined>,
): Promise<Result<T, Refusal>> {
  const wait = throttle.wait(keys);
  if (wait > 0) return err(tooFast(wait));
  // Counted before it is known: a thousand at once are a thousand tries, not one.
  throttle.failed(keys);
  const found = await work();
  if (found === undefined) return err({ sentence, status: 401 });
  throttle.succeeded(keys);
  return ok(found);
}

/** A teacher with name and password. */
export const signInWithPassword = (
  services: Services,
  { throttle, address }: Trying,
  name: string,
  password: string,
): Promise<Result<string, Refusal>> => {
  const keys = [nameFrom(name, address), `from ${address}`];
  return trying(throttle, keys, "Name and password don't go together.", async () => {
    const person = await bySignInName(services.db, name);
    const fits = await passwordFits(person?.password_hash, password);
    return person && fits ? beginSignIn(services, person) : undefined;
  });
};

/** A student or parent with a short code; it opens once. */
export const signInWithCode = (
  services: Services,
  { throttle, address }: Trying,
  typed: string,
): Promise<Result<string, Refusal>> =>
  trying(
    throttle,
    [`code from ${address}`],
    "This code isn't one, or it is over. Ask for a new one.",
    async () => {
      const at = new Date(services.now());
      // One statement takes it, so that of many at the same moment one comes in. The sign-in belongs
      // to the person from here on.
      const access = await takeCode(services.db, hashOf(codeAsTyped(typed)), at);
      if (!access) return undefined;
      return beginSignIn(services, { id: access.person_id, studio_id: access.studio_id });
    },
  );

/** Whether a personal link opens anything. */
export const linkOpens = async ({ db, now }: Services, secret: string): Promise<boolean> =>
  (await openAccess(db, "link", hashOf(secret), new Date(now()))) !== undefined;

/** Whoever has a personal link. */
export const signInWithLink = (
  services: Services,
  { throttle, address }: Trying,
  secret: string,
): Promise<Result<string, Refusal>> =>
  trying(
    throttle,
    [`link from ${address}`],
    "This link doesn't open anything any more.",
    async () => {
      const at = new Date(services.now());
      const access = await openAccess(services.db, "link", hashOf(secret), at);
      if (!access) return undefined;
      await markUsed(services.db, access.id, at);
      return beginSignIn(
        services,
        { id: access.person_id, studio_id: access.studio_id },
        access.id,
      );
    },
  );

/** Somebody of a demo room, on one press; nobody of any other. */
export async function signInToDemo(
  services: Services,
  personId: string,
): Promise<string | undefined> {
  const person = (await demoPeople(services.db)).find(({ id }) => id === personId);
  return person && beginSignIn(services, person);
}

export const peopleOfDemo = ({ db }: Services) => demoPeople(db);

export async function signOut(
  { db, now }: Services,
  who: { readonly signInId: string; readonly studioId: string; readonly personId: string },
  everywhere: boolean,
): Promise<void> {
  const at = new Date(now());
  if (everywhere) await endSignInsOf(db, who.studioId, who.personId, at);
  else await endSignIn(db, who.signInId, at);
}
