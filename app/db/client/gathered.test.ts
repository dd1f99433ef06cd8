import { expect, test } from "@jest/globals";
import * as v from "valibot";
import { memoryDatabase } from "../test/memory";
import { gathered } from "./gathered";

const numbered = v.object({ n: v.number() });

test("what is asked at one moment is one statement, each question with its own answer", async () => {
  const db = await memoryDatabase();
  const asked: string[] = [];
  const page = gathered({
    ...db,
    one: (row, sql, params) => (asked.push(sql), db.one(row, sql, params)),
    many: (row, sql, params) => (asked.push(sql), db.many(row, sql, params)),
  });
  const numbers = (from: number, to: number) =>
    page.many(
      numbered,
      "select n from generate_series($1::integer, $2::integer) n order by n desc",
      [from, to],
    );
  const [some, none, one, same] = await Promise.all([
    numbers(1, 3),
    page.maybeOne(numbered, "select 1 as n where $1", [false]),
    page.one(v.object({ at: v.string() }), "select $1::text as at", ["a $1 of its own"]),
    numbers(1, 3),
  ]);
  expect(some.map(({ n }) => n)).toEqual([3, 2, 1]);
  expect([none, one, same]).toEqual([undefined, { at: "a $1 of its own" }, some]);
  expect(asked).toHaveLength(1);
  // What is asked later is a statement of its own.
  expect(await numbers(4, 4)).toEqual([{ n: 4 }]);
  expect(asked).toHaveLength(2);
  await db.close();
}, 60_000);

test("a row that isn't there, and one that can't be read, are refused to whoever asked for them", async () => {
  const db = await memoryDatabase();
  const page = gathered(db);
  const [missing, unreadable, fine] = await Promise.allSettled([
    page.one(numbered, "select 1 as n where false"),
    page.many(numbered, "select 'x' as n"),
    page.many(numbered, "select 2 as n"),
  ]);
  expect(missing).toMatchObject({ reason: { kind: "not-found" } });
  expect(unreadable.status).toBe("rejected");
  expect(fine).toMatchObject({ value: [{ n: 2 }] });
  // A statement that fails is told to all that are part of it.
  const failed = await Promise.allSettled([
    page.many(numbered, "select nothing"),
    page.many(numbered, "select 2 as n"),
  ]);
  expect(failed.map(({ status }) => status)).toEqual(["rejected", "rejected"]);
  await db.close();
}, 60_000);
