import { availableParallelism } from "node:os";
import { hash, verify } from "@node-rs/argon2";

/** One hash at a time fills one core: the stand's events have the other. */
const MOST_AT_ONCE = Math.max(1, availableParallelism() - 1);
let busy = 0;
const waiting: (() => void)[] = [];

/** Waits for its turn; a place that is given up goes to whoever waits longest. */
async function inTurn<T>(work: () => Promise<T>): Promise<T> {
  if (busy >= MOST_AT_ONCE) await new Promise<void>((resolve) => waiting.push(resolve));
  else busy++;
  try {
    return await work();
  } finally {
    const next = waiting.shift();
    if (next) next();
    else busy--;
  }
}

/** Argon2id with the library's memory-hard defaults (19 MiB, two passes). */
export const hashPassword = (password: string): Promise<string> => inTurn(() => hash(password));

/** Hash of nothing that anyone knows; unknown names take as long to refuse as wrong passwords. */
const nobody = hash(crypto.randomUUID());

/** Whether a password fits a hash; without one the answer is no, after the same time. */
export async function passwordFits(stored: string | undefined, password: string): Promise<boolean> {
  const known = stored ?? (await nobody);
  const fits = await inTurn(() => verify(known, password));
  return fits && stored !== undefined;
}
