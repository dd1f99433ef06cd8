import type { LogQuery } from "~/forms/log";

/** The address of a query: only what differs from an untouched log. */
export function searchOf({ find, kind, from, to, sort, down, page, rows }: LogQuery): string {
  const asked = {
    find,
    kind,
    from,
    to,
    sort: sort === "day" ? "" : sort,
    down: down ? "" : "0",
    page: page === 0 ? "" : String(page),
    rows: rows === 25 ? "" : String(rows),
  };
  return new URLSearchParams(Object.entries(asked).filter(([, value]) => value !== "")).toString();
}
