import Papa from "papaparse";

/** What a table program would take for a formula; the parser's own guard misses a blank before it. */
const FORMULA = /^[\s\u00a0]*[=+\-@\t\r\uff1d\uff0b\uff0d\uff20]/;

type Cell = string | number | null;

const safe = (cell: Cell): Cell =>
  typeof cell === "string" && FORMULA.test(cell) ? `'${cell}` : cell;

/** A table as a CSV file; its first row are the names of its columns. */
export function csvOf(
  fileName: string,
  { columns, rows }: { readonly columns: readonly string[]; readonly rows: readonly Cell[][] },
): Response {
  const text = Papa.unparse({ fields: [...columns], data: rows.map((row) => row.map(safe)) });
  // The mark in front tells table programs that it is UTF-8.
  return new Response(`\ufeff${text}\r\n`, {
    headers: {
      "Content-Type": "text/csv; charset=utf-8",
      "Content-Disposition": `attachment; filename="${fileName}"`,
      "Cache-Control": "private, no-store",
    },
  });
}
