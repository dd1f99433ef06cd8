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

/** A table as the text of a CSV file; its first row are the names of its columns. */
export function csvText({ columns, rows }: Table): string {
  const text = Papa.unparse({ fields: [...columns], data: rows.map((row) => row.map(safe)) });
  // The mark in front tells table programs that it is UTF-8.
  return `\ufeff${text}\r\n`;
}

/** A table as a CSV file. */
export function csvOf(fileName: string, table: Table): Response {
  return new Response(csvText(table), {
    headers: {
      "Content-Type": "text/csv; charset=utf-8",
      "Content-Disposition": `attachment; filename="${fileName}"`,
      "Cache-Control": "private, no-store",
    },
  });
}
