// Plain JavaScript, since it also runs as a thread of its own, which no bundler prepares.
// @ts-check
import { PGlite, types } from "@electric-sql/pglite";

const asNumber = (/** @type {string} */ text) => Number(text);
const asText = (/** @type {string} */ text) => text;

/** The same reading of values that a PostgreSQL client is given. */
const parsers = {
  [types.NUMERIC]: asNumber,
  [types.INT8]: asNumber,
  [types.DATE]: asText,
};

/** @param {{ dataDir?: string, dump?: Blob }} options */
export async function openPglite({ dataDir, dump }) {
  const pglite = await PGlite.create({
    parsers,
    ...(dataDir ? { dataDir } : {}),
    ...(dump ? { loadDataDir: dump } : {}),
  });
  return {
    /** @param {string} sql @param {unknown[]} params */
    async query(sql, params) {
      const { rows, affectedRows } = await pglite.query(sql, params);
      return { rows, affected: affectedRows ?? 0 };
    },
    /** @param {string} sql */
    async script(sql) {
      await pglite.exec(sql);
    },
    close: () => pglite.close(),
    dump: () => pglite.dumpDataDir("gzip"),
  };
}
