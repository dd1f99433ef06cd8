import { createHash } from "node:crypto";
import { readdir, readFile } from "node:fs/promises";
import path from "node:path";
import type { Engine } from "./engine";

export interface Migration {
  readonly name: string;
  readonly sql: string;
  readonly checksum: string;
}

const FILE_NAME = /^\d{4}_\w+\.sql$/;

/** The numbered files of a folder, in order. */
export async function readMigrations(folder: string): Promise<Migration[]> {
  const names = (await readdir(folder)).filter((name) => FILE_NAME.test(name)).sort();
  return Promise.all(
    names.map(async (name) => {
      const sql = await readFile(path.join(folder, name), "utf8");
      return { name, sql, checksum: createHash("sha256").update(sql).digest("hex") };
    }),
  );
}

/** One fingerprint of all migrations: a prepared dump belongs to exactly one of them. */
export const fingerprint = (migrations: readonly Migration[]): string =>
  createHash("sha256")
    .update(migrations.map(({ checksum }) => checksum).join())
    .digest("hex")
    .slice(0, 16);

interface Applied {
  readonly name: string;
  readonly checksum: string;
}

/**
 * Brings a database up to date, each file in a transaction of its own. Refuses when a file that
 * was applied has changed since, or is gone: the database then belongs to another version.
 */
export async function migrate(engine: Engine, migrations: readonly Migration[]): Promise<void> {
  await engine.script(
    "create table if not exists migration (name text primary key, checksum text not null)",
  );
  const { rows } = await engine.query("select name, checksum from migration order by name", []);
  const applied = rows as Applied[];
  applied.forEach((row, index) => {
    const file = migrations[index];
    if (file?.name !== row.name || file.checksum !== row.checksum) {
      throw new Error(
        `The database was made by another version of Fidus: migration ${row.name} differs.`,
      );
    }
  });
  for (const { name, sql, checksum } of migrations.slice(applied.length)) {
    await engine.query("begin", []);
    try {
      await engine.script(sql);
      await engine.query("insert into migration (name, checksum) values ($1, $2)", [
        name,
        checksum,
      ]);
      await engine.query("commit", []);
    } catch (error) {
      await engine.query("rollback", []);
      throw error;
    }
  }
}
