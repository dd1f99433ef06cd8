import * as v from "valibot";

export const PAGE_SIZES = [25, 50, 100] as const;

const LAST_PAGE = 100_000;
const LONGEST_FIND = 80;

const numeric = v.pipe(v.string(), v.toNumber());

/** Which part of a long list an address asks for: a page, in an order, of what contains a text. */
export const pagingFields = <const S extends readonly [string, ...string[]]>(
  sorts: S,
  first: NoInfer<S[number]>,
  down: "0" | "1" = "1",
) => ({
  find: v.optional(
    v.pipe(v.string(), v.trim(), v.maxLength(LONGEST_FIND, "Look for something shorter.")),
    "",
  ),
  sort: v.optional(v.picklist(sorts, "There is no such column."), () => first as never),
  down: v.optional(
    v.pipe(
      v.picklist(["0", "1"]),
      v.transform((asked) => asked === "1"),
    ),
    down,
  ),
  page: v.optional(
    v.pipe(numeric, v.integer("There is no such page."), v.minValue(0), v.maxValue(LAST_PAGE)),
    "0",
  ),
  rows: v.optional(v.pipe(numeric, v.picklist(PAGE_SIZES, "25, 50 or 100 rows.")), "25"),
});

interface Paging<S extends string> {
  readonly sort: S;
  readonly down: boolean;
  /** From 0. */
  readonly page: number;
  readonly rows: number;
}

/** The part of a list that a page shows, as a query takes it. */
export const partOf = <S extends string>({ sort, down, page, rows }: Paging<S>) => ({
  sort,
  down,
  limit: rows,
  offset: page * rows,
});

type Asked = Readonly<Record<string, string | number | boolean>>;

/** The address of what is asked for: only what differs from an untouched list. */
export function searchOf<Q extends Asked>(asked: Q, untouched: Q): string {
  const told = Object.entries(asked).filter(([name, value]) => value !== untouched[name]);
  const written = told.map(([name, value]): [string, string] => [
    name,
    typeof value === "boolean" ? String(Number(value)) : String(value),
  ]);
  return new URLSearchParams(written).toString();
}
