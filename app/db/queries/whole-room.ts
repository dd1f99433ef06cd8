import * as v from "valibot";
import type { Queries } from "~/db/client";
import { roomTable, type RoomTableName } from "./room-tables";
import { idRow } from "./rows";

/** Names of columns come from the database itself, never from a file; quoted all the same. */
const quoted = (name: string): string => `"${name.replaceAll('"', '""')}"`;

const roomColumn = (table: string): string => (table === "studio" ? "id" : "studio_id");

/**
 * The rows of a table that belong to a room as lines of JSON, numbers and times as the database
 * writes them; in parts, so that no more than a few are in memory.
 */
export async function* roomLines(
  db: Queries,
  studioId: string,
  name: RoomTableName,
): AsyncGenerator<readonly string[]> {
  const { of, bytes, leaves = [] } = roomTable(name);
  const left = bytes === undefined ? leaves : [...leaves, bytes];
  const line = left.length === 0 ? "row_to_json(t)::text" : "(to_jsonb(t) - $2::text[])::text";
  for (let after: string | null = null; ;) {
    const ids: { id: string }[] = await db.many(
      v.object({ id: idRow }),
      `select id from ${of.table} where ${roomColumn(of.table)} = $1 and ($2::uuid is null or id > $2)
       order by id limit ${of.many}`,
      [studioId, after],
    );
    const last = ids.at(-1);
    if (!last) return;
    after = last.id;
    const these = ids.map(({ id }) => id);
    // One text for all of them, and as little work for each as may be: a room of a year has a
    // million rows.
    const { lines } = await db.one(
      v.object({ lines: v.nullable(v.string()) }),
      `select string_agg(${line}, chr(10)) as lines from ${name} t where t.${of.by} = any($1::uuid[])`,
      left.length === 0 ? [these] : [these, left],
    );
    if (lines !== null) yield lines.split("\n");
  }
}

const bytesRow = v.object({ bytes: v.instance(Uint8Array) });

/** The bytes beside a row: of a score by its id, of a page or file of paper by its number. */
export const roomBytes = async (
  db: Queries,
  studioId: string,
  name: RoomTableName,
  row: {
    readonly id?: string | undefined;
    readonly paper_id?: string | undefined;
    readonly number?: number | undefined;
  },
): Promise<Uint8Array> => {
  const { bytes: column, of } = roomTable(name);
  const numbered = of.by !== "id";
  const sql = `select t.${column} as bytes from ${name} t
    join ${of.table} owner on owner.id = t.${of.by}
    where owner.studio_id = $1 and owner.id = $2 ${numbered ? "and t.number = $3" : ""}`;
  const params = numbered ? [studioId, row.paper_id, row.number] : [studioId, row.id];
  return (await db.one(bytesRow, sql, params)).bytes;
};

/** How far the tables of this database have come: a room from further on can't be read. */
export const tablesVersion = async (db: Queries): Promise<number> =>
  (await db.one(v.object({ version: v.number() }), "select count(*) as version from migration"))
    .version;

/** The columns of a table. */
export const columnsOf = async (db: Queries, name: string): Promise<string[]> => {
  const found = await db.many(
    v.object({ column: v.string() }),
    `select column_name as column from information_schema.columns
     where table_schema = 'public' and table_name = $1 order by ordinal_position`,
    [name],
  );
  return found.map(({ column }) => column);
};

/** All tables of the database. */
export const tableNames = async (db: Queries): Promise<string[]> =>
  (
    await db.many(
      v.object({ name: v.string() }),
      "select tablename as name from pg_tables where schemaname = 'public' order by tablename",
    )
  ).map(({ name }) => name);

/** Writes lines of JSON, alike in their columns, as rows of a table. */
export const putRoomLines = (
  db: Queries,
  name: RoomTableName,
  columns: readonly string[],
  lines: readonly string[],
) => {
  const list = columns.map(quoted).join(", ");
  return db.execute(
    `insert into ${name} (${list})
     select ${list} from json_populate_recordset(null::${name}, $1::json)`,
    [`[${lines.join(",")}]`],
  );
};

/** Writes a line of JSON over a row that is there; only these columns, whose names are the caller's. */
export const overwriteRoomLine = (
  db: Queries,
  name: "studio" | "person",
  columns: readonly string[],
  line: string,
) =>
  db.execute(
    `update ${name} set ${columns.map((each) => `${each} = line.${each}`).join(", ")}
     from json_populate_record(null::${name}, $1::json) line where ${name}.id = line.id`,
    [line],
  );

/** Whether nobody but one teacher, and nothing, is in a room yet. */
export const roomIsEmpty = async (db: Queries, studioId: string): Promise<boolean> => {
  const holds = (table: string) => `exists (select from ${table} where studio_id = $1)`;
  const things = ["piece", "session", "assignment", "kept_ladder", "session_shape", "question"];
  const { empty } = await db.one(
    v.object({ empty: v.boolean() }),
    `select not (${[...things, "practice_by_hand", "worded_goal"].map(holds).join(" or ")})
       and (select count(*) from person where studio_id = $1) = 1 as empty`,
    [studioId],
  );
  return empty;
};
