// Records the demo's ten weeks anew, as they are played and counted today: `npm run record`.
// What counting does later is held against it, so this is done only where it is to count otherwise.
import { writeFile } from "node:fs/promises";
import { gzipSync } from "node:zlib";
import * as v from "valibot";
import { memoryDatabase } from "~/db/test/memory";
import { servicesOver } from "~/server/test/services-over";
import { COUNTED, LEFT_OUT, PLAYED, RECORDED, type Recorded } from "./recorded";
import { seedDemo } from "./seed";

/** The evening on which they end. */
const ENDS = Date.UTC(2026, 10, 29, 20);

/** Ids in the order in which they are met: a third of the file's size. */
function numbered(text: string): string {
  const met = new Map<string, string>();
  return text.replaceAll(/[0-9a-f]{8}-(?:[0-9a-f]{4}-){3}[0-9a-f]{12}/g, (id) => {
    const known = met.get(id);
    if (known) return known;
    const number = `00000000-0000-4000-8000-${met.size.toString(16).padStart(12, "0")}`;
    met.set(id, number);
    return number;
  });
}

const db = await memoryDatabase();
await seedDemo(
  servicesOver(db, () => ENDS),
  process.cwd(),
);
const recorded: Recorded = {};
for (const table of [...PLAYED, ...COUNTED]) {
  const rows = await db.many(
    v.object({ row: v.record(v.string(), v.unknown()) }),
    `select to_jsonb(kept) as row from ${table} kept`,
  );
  const all = Object.keys(rows[0]!.row).sort();
  const columns = all.filter((name) => !LEFT_OUT.includes(name));
  recorded[table] = { columns, rows: rows.map(({ row }) => columns.map((name) => row[name])) };
}
await db.close();
await writeFile(RECORDED, gzipSync(numbered(JSON.stringify(recorded)), { level: 9 }));
