import * as v from "valibot";
import type { Queries } from "~/db/client";
import { ROOM_TABLE_NAMES, roomTable, type RoomTableName } from "./room-tables";
import { idRow } from "./rows";

/** Names of columns come from the database itself, never from a file; quoted all the same. */
const quoted = (name: string): string => `"${name.replaceAll('"', '""')}"`;

/** Tables whose rows belong to a room by what they refer to. */
const NO_ROOM_OF_THEIR_OWN: ReadonlySet<RoomTableName> = new Set(["paper_file", "paper_page"]);

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

/** All tables of the database. */
export const tableNames = async (db: Queries): Promise<string[]> =>
  (
    await db.many(
      v.object({ name: v.string() }),
      "select tablename as name from pg_tables where schemaname = 'public' order by tablename",
    )
  ).map(({ name }) => name);

/** A column of a table, as the database describes it. */
export interface RoomColumn {
  readonly name: string;
  /** As in "uuid", "integer", "timestamp with time zone". */
  readonly type: string;
  readonly required: boolean;
}

/** Columns whose values stand in columns of another table, in the same order. */
export interface RoomReference {
  readonly columns: readonly string[];
  readonly table: string;
  readonly to: readonly string[];
}

/** What a table takes, and what its rows must find elsewhere. */
export interface TableShape {
  readonly columns: readonly RoomColumn[];
  readonly references: readonly RoomReference[];
}

const namesRow = v.array(v.string());

/** The shapes of all tables of a room; without the columns that stay behind. */
export async function roomShapes(db: Queries): Promise<Record<RoomTableName, TableShape>> {
  const columns = await db.many(
    v.object({ table: v.string(), name: v.string(), type: v.string(), required: v.boolean() }),
    `select table_name as table, column_name as name, data_type as type,
       is_nullable = 'NO' and column_default is null as required
     from information_schema.columns where table_schema = 'public' order by ordinal_position`,
  );
  const references = await db.many(
    v.object({ of: v.string(), columns: namesRow, table: v.string(), to: namesRow }),
    `select conrelid::regclass::text as of, confrelid::regclass::text as table,
       (select jsonb_agg(attname order by n) from unnest(conkey) with ordinality as key (id, n)
        join pg_attribute on attrelid = conrelid and attnum = key.id) as columns,
       (select jsonb_agg(attname order by n) from unnest(confkey) with ordinality as key (id, n)
        join pg_attribute on attrelid = confrelid and attnum = key.id) as to
     from pg_constraint where contype = 'f' and connamespace = 'public'::regnamespace`,
  );
  const shapeOf = (name: RoomTableName): TableShape => {
    const { leaves = [] } = roomTable(name);
    return {
      columns: columns
        .filter((each) => each.table === name && !leaves.includes(each.name))
        .map(({ name: column, type, required }) => ({ name: column, type, required })),
      references: references
        .filter(({ of }) => of === name)
        .map(({ columns: from, table, to }) => ({ columns: from, table, to })),
    };
  };
  return Object.fromEntries(ROOM_TABLE_NAMES.map((name) => [name, shapeOf(name)])) as Record<
    RoomTableName,
    TableShape
  >;
}

/**
 * Writes rows, as one JSON text with the same columns in each, into a table of a room. Which room is
 * said by the caller and never by the rows.
 */
export const putRoomRows = (
  db: Queries,
  studioId: string,
  name: RoomTableName,
  columns: readonly string[],
  rows: string,
) => {
  const list = columns.map(quoted).join(", ");
  const [into, value] = NO_ROOM_OF_THEIR_OWN.has(name) ? ["", ""] : ["studio_id, ", "$2::uuid, "];
  return db.execute(
    `insert into ${name} (${into}${list})
     select ${value}${list} from json_populate_recordset(null::${name}, $1::json)
     where $2::uuid is not null`,
    [rows, studioId],
  );
};

/** What a room's file says of the room itself and of the teacher who reads it in. */
const TAKEN_OVER = {
  studio: [
    "name",
    "time_zone",
    "concert_name",
    "concert_on",
    "created_at",
    "takes_days",
    "year_ends",
    "grading",
    "rating_scale",
  ],
  person: [
    "plays",
    "instrument",
    "no_verdict",
    "times",
    "must_do",
    "parents_hear",
    "shorthand",
    "created_at",
  ],
} as const;

/**
 * Writes a row, as JSON, over the room or over the teacher who reads it in: those two and no other.
 * Name, role and way in of the teacher stay.
 */
export const takeOver = (
  db: Queries,
  studioId: string,
  personId: string,
  name: keyof typeof TAKEN_OVER,
  row: string,
  given: readonly string[],
) => {
  const set = TAKEN_OVER[name]
    .filter((column) => given.includes(column))
    .map((column) => `${column} = line.${column}`)
    .join(", ");
  const which = name === "studio" ? "t.id = $2" : "t.studio_id = $2 and t.id = $3";
  return db.execute(
    `update ${name} t set ${set} from json_populate_record(null::${name}, $1::json) line
     where ${which} and $3::uuid is not null`,
    [row, studioId, personId],
  );
};
