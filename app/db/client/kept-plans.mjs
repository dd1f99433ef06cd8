// Plain JavaScript, since it also runs in the database's thread, which no bundler prepares.
// @ts-check
import { parse, protocol } from "@electric-sql/pglite";

const { serialize } = protocol;

/** Texts are few and come again; beyond so many, something makes them up as it goes. */
const MOST_STATEMENTS = 500;

/**
 * A plan is made for tables as long as they are then, and nothing in here notices that they grow.
 * What makes them grow is sent as values: after so many characters all plans are made anew. The
 * more has come, the more it takes to change what a good plan is.
 */
const FIRST_NEW_PLANS_AFTER = 250_000;
const NEXT_NEW_PLANS_AFTER = 1.5;

/** @param {Uint8Array[]} parts */
const joined = (parts) => new Uint8Array(Buffer.concat(parts));

/**
 * Runs statements with parameters, each read once and then kept with its plan: most of the time of
 * a short statement is the reading and planning of it (2.7 ms anew, 0.6 ms kept, on two cores).
 * One at a time: whoever calls it waits for its end.
 * @param {import("@electric-sql/pglite").PGlite} pglite
 */
export function keptPlans(pglite) {
  /** @type {Map<string, { name: string, types: number[] }>} */
  const kept = new Map();
  let made = 0;
  let sent = 0;
  let newPlansAfter = FIRST_NEW_PLANS_AFTER;

  /** @param {Uint8Array[]} parts */
  const say = async (...parts) =>
    (await pglite.execProtocol(joined([...parts, serialize.sync()]))).messages;

  /** @param {string} sql */
  async function statement(sql) {
    const known = kept.get(sql);
    if (known) return known;
    if (kept.size >= MOST_STATEMENTS) await forget();
    const name = `kept_${++made}`;
    const messages = await say(
      serialize.parse({ name, text: sql }),
      serialize.describe({ type: "S", name }),
    );
    const fresh = { name, types: parse.parseDescribeStatementResults(messages) };
    kept.set(sql, fresh);
    return fresh;
  }

  async function forget() {
    kept.clear();
    await pglite.exec("deallocate all");
  }

  /** @param {unknown} value @param {number | undefined} type */
  function asSent(value, type = 0) {
    if (value === null || value === undefined) return null;
    const text = pglite.serializers[type]?.(value) ?? String(value);
    sent += text.length;
    return text;
  }

  return {
    /** @param {string} sql @param {unknown[]} params */
    async query(sql, params) {
      const { name, types } = await statement(sql);
      const values = params.map((value, i) => asSent(value, types[i]));
      const messages = await say(
        serialize.bind({ statement: name, values }),
        serialize.describe({ type: "P" }),
        serialize.execute({}),
      );
      if (sent > newPlansAfter) {
        newPlansAfter = sent * NEXT_NEW_PLANS_AFTER;
        await pglite.exec("discard plans");
      }
      return parse.parseResults(messages, pglite.parsers)[0];
    },
    forget,
  };
}
