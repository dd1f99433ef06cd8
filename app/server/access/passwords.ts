import { hash, verify } from "@node-rs/argon2";

export const PASSWORD_LENGTH = { shortest: 10, longest: 200 } as const;

/** Argon2id with the library's memory-hard defaults (19 MiB, two passes). */
export const hashPassword = (password: string): Promise<string> => hash(password);

/** Hash of nothing that anyone knows; unknown names take as long to refuse as wrong passwords. */
const nobody = hash(crypto.randomUUID());

/** Whether a password fits a hash; without one the answer is no, after the same time. */
export async function passwordFits(stored: string | undefined, password: string): Promise<boolean> {
  const fits = await verify(stored ?? (await nobody), password);
  return fits && stored !== undefined;
}
