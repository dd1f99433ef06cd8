import { AsyncLocalStorage } from "node:async_hooks";
import * as v from "valibot";
import type { Engine, SqlFailure } from "./engine";
import { asDatabaseError, DatabaseError } from "./errors";

type RowSchema = v.GenericSchema<unknown, unknown>;
type Params = readonly unknown[];

/** Queries named by how many rows they may give; rows are parsed, not believed. */
export interface Queries {
  /** Exactly one row; none or several is a {@link DatabaseError}. */
  one<S extends RowSchema>(row: S, sql: string, params?: Params): Promise<v.InferOutput<S>>;
  maybeOne<S extends RowSchema>(
    row: S,
    sql: string,
    params?: Params,
  ): Promise<v.InferOutput<S> | undefined>;
  many<S extends RowSchema>(row: S, sql: string, params?: Params): Promise<v.InferOutput<S>[]>;
  /** Runs a statement and gives the number of rows it touched. */
  execute(sql: string, params?: Params): Promise<number>;
}

export interface Database extends Queries {
  /**
   * All or nothing. Only the handle that is given may be used inside; reaching past it for the
   * database throws at once instead of waiting for ever. Statements are done in the order in which
   * they are asked for: who needs no answer need not wait before asking for the next. Once one has
   * failed, or all is written, the handle takes no more.
   */
  transaction<T>(work: (tx: Queries) => Promise<T>): Promise<T>;
  close(): Promise<void>;
}

/** The questions that give one row, over those that give many. */
export function overMany(many: Queries["many"]): Omit<Queries, "execute"> {
  const maybeOne: Queries["maybeOne"] = async (row, sql, params) => {
    const rows = await many(row, sql, params);
    if (rows.length > 1) throw new DatabaseError("too-many", `${rows.length} rows instead of one`);
    return rows[0];
  };
  return {
    many,
    maybeOne,
    async one(row, sql, params) {
      const found = await maybeOne(row, sql, params);
      if (found === undefined) throw new DatabaseError("not-found", "There is no such row.");
      return found;
    },
  };
}

const queriesOver = (run: Engine["query"]): Queries => ({
  ...overMany(async (row, sql, params = []) => {
    const { rows } = await run(sql, params);
    return v.parse(v.array(row), rows);
  }),
  execute: async (sql, params = []) => (await run(sql, params)).affected,
});

/** One database over one connection; whoever comes while a transaction runs waits for its end. */
export function createDatabase(engine: Engine): Database {
  let queue: Promise<unknown> = Promise.resolve();
  const inside = new AsyncLocalStorage<true>();

  const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
    if (inside.getStore()) throw new Error("Inside a transaction, use the handle it gives.");
    const turn = queue.then(work);
    queue = turn.catch(() => undefined);
    return turn;
  };
  const run: Engine["query"] = (sql, params) =>
    engine.query(sql, params).catch((failure: SqlFailure) => {
      throw asDatabaseError(failure);
    });

  return {
    ...queriesOver((sql, params) => inTurn(() => run(sql, params))),
    transaction: (work) =>
      inTurn(async () => {
        let over = false;
        let first: unknown;
        const tx = queriesOver((sql, params) =>
          over
            ? Promise.reject(new Error("The transaction is over."))
            : run(sql, params).catch((failure: unknown) => {
                // What was asked for behind it is refused for its sake: that is no reason of its own.
                throw (first ??= failure);
              }),
        );
        // What follows is done after it anyway: its answer need not be waited for.
        const begun = run("begin", []);
        try {
          const [result] = await Promise.all([inside.run(true, () => work(tx)), begun]);
          over = true;
          await run("commit", []);
          return result;
        } catch (failure) {
          over = true;
          await run("rollback", []);
          throw failure;
        }
      }),
    close: () => inTurn(() => engine.close()),
  };
}
