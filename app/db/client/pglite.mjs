// Plain JavaScript, since it also runs as a thread of its own, which no bundler prepares.
// @ts-check
import { PGlite, types } from "@electric-sql/pglite";
import { keptPlans } from "./kept-plans.mjs";
import { flushAll, SyncedFiles } from "./synced-files.mjs";

const asNumber = (/** @type {string} */ text) => Number(text);
const asText = (/** @type {string} */ text) => text;

/** The same reading of values that a PostgreSQL client is given. */
const parsers = {
  [types.NUMERIC]: asNumber,
  [types.INT8]: asNumber,
  [types.DATE]: asText,
};

/** As PGlite starts, but for what is acknowledged being on the disk: it switches that off. */
const SYNCED = [
  ...PGlite.defaultStartParams.filter((each) => each !== "-F"),
  ...["-c", "fsync=on", "-c", "wal_sync_method=fsync"],
];

/** @param {{ dataDir?: string, dump?: Blob }} options */
export async function openPglite({ dataDir, dump }) {
  const pglite = await PGlite.create({
    parsers,
    ...(dataDir ? { fs: new SyncedFiles(dataDir), startParams: SYNCED } : {}),
    ...(dump ? { loadDataDir: dump } : {}),
  });
  if (dataDir && dump) flushAll(dataDir);
  const plans = keptPlans(pglite);
  /** @type {Promise<unknown>} */
  let last = Promise.resolve();
  /** A statement is several messages: the next waits until all of them are answered.
   * @template T @param {() => Promise<T>} work @returns {Promise<T>} */
  const inTurn = (work) => {
    const turn = last.then(work);
    last = turn.catch(() => undefined);
    return turn;
  };
  return {
    /** @param {string} sql @param {unknown[]} params */
    async query(sql, params) {
      const result = await inTurn(() => plans.query(sql, params));
      return { rows: result?.rows ?? [], affected: result?.affectedRows ?? 0 };
    },
    /** @param {string} sql */
    async script(sql) {
      await inTurn(async () => {
        await pglite.exec(sql);
        // What it changed may give other rows than the kept statements were told.
        await plans.forget();
      });
    },
    close: () => pglite.close(),
    dump: () => pglite.dumpDataDir("gzip"),
  };
}
