import * as v from "valibot";
import { overMany, type Database, type Queries } from "./database";

type Row = v.GenericSchema<unknown, unknown>;

interface Question {
  readonly row: Row;
  readonly sql: string;
  readonly params: readonly unknown[];
  readonly answer: (rows: unknown[]) => void;
  readonly refuse: (error: unknown) => void;
}

/** The statement of a question among others: its parameters behind those of the questions before it. */
const shifted = (sql: string, by: number): string =>
  sql.replace(/\$(\d+)/g, (_, n: string) => `$${Number(n) + by}`);

const keyOf = (sql: string, params: readonly unknown[]): string =>
  `${sql} ${JSON.stringify(params)}`;

const oneRow = v.looseObject({});

async function ask(db: Queries, questions: readonly Question[]): Promise<void> {
  const [alone] = questions;
  try {
    if (questions.length === 1) {
      const { row, sql, params, answer } = alone!;
      return answer(await db.many(row, sql, params));
    }
    const params: unknown[] = [];
    // The same question of several is asked once.
    const known = new Map<string, string>();
    for (const { sql, params: own } of questions) {
      const key = keyOf(sql, own);
      if (known.has(key)) continue;
      known.set(
        key,
        `(select coalesce(json_agg(q), '[]') from (${shifted(sql, params.length)}) q)`,
      );
      params.push(...own);
    }
    const parts = [...known.values()].map((part, n) => `${part} as q${n}`);
    const found = await db.one(oneRow, `select ${parts.join(",\n")}`, params);
    const places = [...known.keys()];
    for (const { row, sql, params: own, answer, refuse } of questions) {
      const read = v.safeParse(v.array(row), found[`q${places.indexOf(keyOf(sql, own))}`]);
      if (read.success) answer(read.output);
      else refuse(new v.ValiError(read.issues));
    }
  } catch (error) {
    for (const { refuse } of questions) refuse(error);
  }
}

/**
 * The same questions, those that are asked at one moment as one statement, each a part of its
 * answer, in JSON. What is written goes at once, as always.
 */
export function gatheredIn(db: Queries): Queries {
  let waiting: Question[] = [];
  const many: Queries["many"] = (row, sql, params = []) =>
    new Promise((answer, refuse) => {
      if (waiting.length === 0) {
        queueMicrotask(() => {
          const now = waiting;
          waiting = [];
          void ask(db, now);
        });
      }
      waiting.push({ row, sql, params, answer: answer as Question["answer"], refuse });
    });
  return { ...overMany(many), execute: (sql, params) => db.execute(sql, params) };
}

/** The same database for one page. */
export const gathered = (db: Database): Database => ({
  ...gatheredIn(db),
  transaction: (work) => db.transaction(work),
  close: () => db.close(),
});
