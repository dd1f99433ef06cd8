import type { Queries } from "~/db/client";
import {
  allStudios,
  clearSessions,
  passageIds,
  sessionIds,
  sessionsWhole,
  setCountedBy,
  setUncounted,
  studioById,
  studiosCountedBefore,
} from "~/db/queries";
import type { Services } from "../../services";
import { COUNTING } from "./counting";
import { countMore, estimateDays, uncounted } from "./project-session";

const EARLIEST = "0001-01-01";
/** So many are written in one transaction: each alone costs more than what is in it, and whoever
 *  plays meanwhile waits for its end. */
const AT_ONCE = 8;

/** How far counting again has come. */
export type OnProgress = (done: number, of: number) => void;

/** Work through a list in transactions of some of them each. */
async function inParts(
  db: Services["db"],
  all: readonly { readonly id: string }[],
  work: (tx: Queries, ids: readonly string[]) => Promise<unknown>,
  onDone: (count: number) => void,
) {
  for (let from = 0; from < all.length; from += AT_ONCE) {
    const some = all.slice(from, from + AT_ONCE).map(({ id }) => id);
    await db.transaction((tx) => work(tx, some));
    onDone(some.length);
  }
}

/** So many sessions are read in one statement: counting them takes about as long as reading more. */
const READ_AT_ONCE = 8;
/** So many are being written while the next is counted: neither waits for the other. */
const WRITTEN_BEHIND = 3;

/** One after the other, each begun while a few before it are still being written. */
async function fewBehind<T>(all: AsyncIterable<T>, work: (one: T) => Promise<unknown>) {
  const begun: Promise<unknown>[] = [];
  for await (const one of all) {
    const next = work(one);
    // Whether it failed is asked some turns later.
    next.catch(() => undefined);
    begun.push(next);
    if (begun.length > WRITTEN_BEHIND) await begun.shift();
  }
  await Promise.all(begun);
}

/** Some sessions after the other; the next are asked for while those before are counted. */
async function* readAhead(tx: Queries, studioId: string, ids: readonly string[]) {
  const read = (from: number) => {
    const some = ids.slice(from, from + READ_AT_ONCE);
    const asked = sessionsWhole(tx, studioId, some);
    asked.catch(() => undefined);
    return asked;
  };
  let next = read(0);
  for (let from = 0; from < ids.length; from += READ_AT_ONCE) {
    const now = await next;
    if (from + READ_AT_ONCE < ids.length) next = read(from + READ_AT_ONCE);
    yield* now;
  }
}

/** Counts every session of a studio again, from its events alone, each once. */
export async function rebuildProjections(
  { db }: Pick<Services, "db">,
  studioId: string,
  {
    onProgress = () => undefined,
    timeZone,
  }: { readonly onProgress?: OnProgress | undefined; readonly timeZone?: string | undefined } = {},
) {
  const zone = timeZone ?? (await studioById(db, studioId)).time_zone;
  const sessions = await sessionIds(db, studioId);
  const passages = await passageIds(db, studioId);
  let done = 0;
  const told = (count: number) => onProgress((done += count), sessions.length + passages.length);
  const countAgain = async (tx: Queries, ids: readonly string[]) => {
    await clearSessions(tx, ids);
    await fewBehind(readAhead(tx, studioId, ids), async ({ events, began, ...session }) => {
      const before = uncounted(session, began ?? undefined);
      await (
        await countMore(tx, studioId, zone, before, events)
      ).writing;
    });
  };
  const estimateAgain = async (tx: Queries, ids: readonly string[]) => {
    for (const id of ids) await estimateDays(tx, studioId, id, EARLIEST);
  };
  await inParts(db, sessions, countAgain, told);
  await inParts(db, passages, estimateAgain, told);
  await setCountedBy(db, studioId, COUNTING);
}

/** A room that could not be counted, and why. */
export interface Uncounted {
  readonly studioId: string;
  readonly name: string;
  readonly error: unknown;
}

/**
 * Brings what an older version has counted up to date; `all`: also what is. A room that can't be
 * counted is shut, and all others open; it is tried again at the next start.
 */
export async function recount(
  services: Pick<Services, "db">,
  onProgress?: OnProgress,
  all = false,
): Promise<Uncounted[]> {
  const studios = all
    ? await allStudios(services.db)
    : await studiosCountedBefore(services.db, COUNTING);
  const shut: Uncounted[] = [];
  for (const { id, name } of studios) {
    try {
      await rebuildProjections(services, id, { onProgress });
      await setUncounted(services.db, id, false);
    } catch (error) {
      await setUncounted(services.db, id, true);
      shut.push({ studioId: id, name, error });
    }
  }
  return shut;
}
