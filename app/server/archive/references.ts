import type { TableShape } from "~/db/queries";
import { Unreadable, type Row, type RowInFile } from "./room-file";

/** A room's own rows refer to nothing outside it, which is said by the server and not by the file. */
const SAID_BY_US = "studio_id";

interface Reference {
  readonly columns: readonly string[];
  readonly table: string;
  readonly to: readonly string[];
}

const keyOf = (row: Row, columns: readonly string[]): string | undefined =>
  columns.some((column) => row[column] === undefined || row[column] === null)
    ? undefined
    : columns.map((column) => String(row[column])).join(" ");

function withoutRoom({ columns, table, to }: Reference): Reference {
  const places = [...columns.keys()].filter((i) => columns[i] !== SAID_BY_US);
  return { columns: places.map((i) => columns[i]!), table, to: places.map((i) => to[i]!) };
}

/**
 * What the rows of a room refer to: each finds its row in the same file, before it. Tables come in
 * an order that sees to that; rows that refer to others of their own table wait for them.
 */
export class References {
  private readonly byTable = new Map<string, readonly Reference[]>();
  /** What is referred to in a table, by which columns, and the keys that were there. */
  private readonly there = new Map<string, { columns: readonly string[]; keys: Set<string> }[]>();

  constructor(shapes: Readonly<Record<string, TableShape>>) {
    for (const [name, { references }] of Object.entries(shapes)) {
      const within = references.map(withoutRoom).filter(({ columns }) => columns.length > 0);
      this.byTable.set(name, within);
      for (const { table, to } of within) this.keysOf(table, to);
    }
  }

  private keysOf(table: string, columns: readonly string[]): Set<string> {
    const all = this.there.get(table) ?? [];
    this.there.set(table, all);
    const known = all.find((each) => each.columns.join() === columns.join());
    if (known) return known.keys;
    const keys = new Set<string>();
    all.push({ columns, keys });
    return keys;
  }

  /** The column by which a row refers to something that has not come yet. */
  private missing(name: string, row: Row) {
    return (this.byTable.get(name) ?? []).find(({ columns, table, to }) => {
      const key = keyOf(row, columns);
      return key !== undefined && !this.keysOf(table, to).has(key);
    });
  }

  private note(name: string, row: Row): void {
    for (const { columns, keys } of this.there.get(name) ?? []) {
      const key = keyOf(row, columns);
      if (key !== undefined) keys.add(key);
    }
  }

  /** The rows of a table, each behind those that it refers to; refuses what refers to nothing. */
  async *inOrder(name: string, rows: AsyncIterable<RowInFile>): AsyncGenerator<RowInFile> {
    let waiting: RowInFile[] = [];
    for await (const each of rows) {
      const missing = this.missing(name, each.row);
      if (missing?.table === name) {
        waiting.push(each);
        continue;
      }
      if (missing) throw new Unreadable(refers(each, missing));
      this.note(name, each.row);
      yield each;
    }
    while (waiting.length > 0) {
      const ready = waiting.filter(({ row }) => !this.missing(name, row));
      const [first] = waiting;
      if (ready.length === 0) throw new Unreadable(refers(first!, this.missing(name, first!.row)!));
      waiting = waiting.filter((each) => !ready.includes(each));
      for (const each of ready) {
        this.note(name, each.row);
        yield each;
      }
    }
  }
}

const refers = ({ where }: RowInFile, { columns, table }: Reference): string =>
  `${where}: ${columns.join(" and ")}: this is not in the file's data/${table}.jsonl.`;
