import type { Queries } from "~/db/client";
import {
  allStudios,
  clearSessions,
  passageIds,
  sessionIds,
  sessionsWhole,
  setCountedBy,
  studioById,
  studiosCountedBefore,
} from "~/db/queries";
import type { Services } from "../services";
import { COUNTING } from "./counting";
import { countMore, estimateDays, uncounted } from "./project-session";

const EARLIEST = "0001-01-01";
/** So many are written in one transaction: each of them alone costs more than what is in it. */
const AT_ONCE = 40;

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

/** One after the other; each begins while the one before is still being written. */
async function oneBehind<T>(all: readonly T[], work: (one: T) => Promise<unknown>) {
  let before: Promise<unknown> = Promise.resolve();
  for (const one of all) {
    const begun = work(one);
    // Whether it failed is asked a turn later.
    begun.catch(() => undefined);
    await before;
    before = begun;
  }
  await before;
}

/** Counts every session of a studio again, from its events alone, each once. */
export async function rebuildProjections(
  { db }: Pick<Services, "db">,
  studioId: string,
  onProgress: OnProgress = () => undefined,
) {
  const { time_zone } = await studioById(db, studioId);
  const sessions = await sessionIds(db, studioId);
  const passages = await passageIds(db, studioId);
  let done = 0;
  const told = (count: number) => onProgress((done += count), sessions.length + passages.length);
  const countAgain = async (tx: Queries, ids: readonly string[]) => {
    await clearSessions(tx, ids);
    const whole = await sessionsWhole(tx, studioId, ids);
    await oneBehind(whole, ({ events, began, ...session }) =>
      countMore(tx, studioId, time_zone, uncounted(session, began ?? undefined), events),
    );
  };
  const estimateAgain = async (tx: Queries, ids: readonly string[]) => {
    for (const id of ids) await estimateDays(tx, studioId, id, EARLIEST);
  };
  await inParts(db, sessions, countAgain, told);
  await inParts(db, passages, estimateAgain, told);
  await setCountedBy(db, studioId, COUNTING);
}

/** Brings what an older version has counted up to date; `all`: also what is. */
export async function recount(
  services: Pick<Services, "db">,
  onProgress?: OnProgress,
  all = false,
): Promise<void> {
  const studios = all
    ? await allStudios(services.db)
    : await studiosCountedBefore(services.db, COUNTING);
  for (const { id } of studios) await rebuildProjections(services, id, onProgress);
}
