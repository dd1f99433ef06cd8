import { Readable } from "node:stream";
import Papa from "papaparse";

/** What a table program would take for a formula; the parser's own guard misses a blank before it. */
const FORMULA = /^[\s\u00a0]*[=+\-@\t\r\uff1d\uff0b\uff0d\uff20]/;

type Cell = string | number | null;

const safe = (cell: Cell): Cell =>
  typeof cell === "string" && FORMULA.test(cell) ? `'${cell}` : cell;

/** A table of plain values, with the names of its columns. */
export interface Table {
  readonly columns: readonly string[];
  readonly rows: readonly Cell[][];
}

/** Parts of one table, each with the same columns. */
export type TableParts = Iterable<Table> | AsyncIterable<Table>;

/** A table as the text of a CSV file, part by part; its first row are the names of its columns. */
export async function* csvText(parts: TableParts): AsyncGenerator<string> {
  let headed = false;
  for await (const { columns, rows } of parts) {
    // The mark in front tells table programs that it is UTF-8.
    if (!headed) yield `\ufeff${Papa.unparse([[...columns]])}\r\n`;
    headed = true;
    if (rows.length > 0) yield `${Papa.unparse(rows.map((row) => row.map(safe)))}\r\n`;
  }
}

/** A table as a CSV file; what is not found or not allowed is so before the file begins. */
export async function csvOf(fileName: string, parts: TableParts): Promise<Response> {
  const texts = csvText(parts);
  const first = await texts.next();
  const all = async function* () {
    if (first.done) return;
    yield first.value;
    yield* texts;
  };
  const body = Readable.toWeb(Readable.from(all(), { objectMode: false }));
  return new Response(body as ReadableStream<Uint8Array>, {
    headers: {
      "Content-Type": "text/csv; charset=utf-8",
      "Content-Disposition": `attachment; filename="${fileName}"`,
      "Cache-Control": "private, no-store",
    },
  });
}
