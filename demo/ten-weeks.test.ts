import { readFile } from "node:fs/promises";
import { gunzipSync } from "node:zlib";
import { afterAll, beforeAll, expect, test } from "@jest/globals";
import * as v from "valibot";
import type { Database } from "~/db/client";
import { memoryDatabase } from "~/db/test/memory";
import { servicesOver } from "~/server/test/services-over";
import { outAndIn } from "~/server/test/round-trip";
import { rebuildProjections } from "~/server/cases/session/rebuild";
import { allStudios } from "~/db/queries";
import { COUNTED, PLAYED, RECORDED, recordedSchema, type Recorded } from "./recorded";

type Table = Recorded[string];

const asObjects = ({ columns, rows }: Table) =>
  rows.map((row) => Object.fromEntries(columns.map((column, i) => [column, row[i]])));

let db: Database;
let recorded: Recorded;

beforeAll(async () => {
  const text = gunzipSync(await readFile(RECORDED)).toString();
  recorded = v.parse(recordedSchema, JSON.parse(text));
  db = await memoryDatabase();
  for (const table of PLAYED) {
    const columns = recorded[table]!.columns.map((column) => `"${column}"`).join(", ");
    await db.execute(
      `insert into ${table} (${columns}) select ${columns}
       from jsonb_populate_recordset(null::${table}, $1::jsonb)`,
      [JSON.stringify(asObjects(recorded[table]!))],
    );
  }
  const [studio] = await allStudios(db);
  await rebuildProjections({ db }, studio!.id);
}, 120_000);
afterAll(() => db.close());

for (const table of COUNTED) {
  test(`ten recorded weeks are counted as they were: ${table}`, async () => {
    const { columns } = recorded[table]!;
    // A number may be reckoned in another order; nobody meets its seventh figure.
    const rounded = (value: unknown) =>
      typeof value === "number" ? Number(value.toPrecision(6)) : value;
    const pick = (row: Record<string, unknown>) => columns.map((column) => rounded(row[column]));
    const found = await db.many(
      v.object({ row: v.record(v.string(), v.unknown()) }),
      `select to_jsonb(counted) as row from ${table} counted`,
    );
    const lines = (rows: readonly Record<string, unknown>[]) =>
      rows.map((row) => JSON.stringify(pick(row))).sort();
    expect(lines(found.map(({ row }) => row))).toEqual(lines(asObjects(recorded[table]!)));
  });
}

test("ten recorded weeks go out and in as they were", async () => {
  const services = servicesOver(db, () => Date.UTC(2026, 10, 30));
  const [studio] = await allStudios(db);
  await outAndIn(services, studio!.id, "Odile Marrack");
}, 120_000);
