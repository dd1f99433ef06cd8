import type { TableShape } from "~/db/queries";
import { isId } from "./ids";

const LARGEST_INTEGER = 2 ** 31 - 1;
const DAY = /^(19|20|21)\d\d-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;
const MOMENT = /^(19|20|21)\d\d-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{1,6})?(Z|[+-]\d\d(:?\d\d)?)$/;

const isDay = (text: string): boolean =>
  DAY.test(text) && new Date(`${text}T00:00Z`).toISOString().startsWith(text);
/** With minutes in its offset, as every reader of dates knows it. */
const isMoment = (text: string): boolean =>
  MOMENT.test(text) && !Number.isNaN(Date.parse(text.replace(/([+-]\d\d)$/, "$1:00")));

const isText = (value: unknown): value is string => typeof value === "string";
const isWhole = (value: unknown): value is number => Number.isSafeInteger(value);

/** What a value must be for a column of a type; the sentence says what it is not. */
const BY_TYPE: Readonly<Record<string, readonly [(value: unknown) => boolean, string]>> = {
  uuid: [(value) => isText(value) && isId(value), "no id"],
  text: [isText, "no text"],
  boolean: [(value) => typeof value === "boolean", "neither true nor false"],
  integer: [
    (value) => isWhole(value) && Math.abs(value) <= LARGEST_INTEGER,
    "no whole number, or too large",
  ],
  bigint: [isWhole, "no whole number, or too large"],
  numeric: [Number.isFinite, "no number"],
  "double precision": [Number.isFinite, "no number"],
  date: [(value) => isText(value) && isDay(value), "no day between 1900 and 2199"],
  "timestamp with time zone": [
    (value) => isText(value) && isMoment(value),
    "no moment between 1900 and 2199",
  ],
  ARRAY: [Array.isArray, "no list"],
  jsonb: [() => true, ""],
  bytea: [isText, "no name of a file"],
};

/** Deeper than anything that Fidus writes. */
const DEEPEST = 40;

/** What can't be kept, or must not be, anywhere in a value of JSON. */
function unfit(value: unknown, depth = 0): string | undefined {
  if (depth > DEEPEST) return "nested too deep";
  if (typeof value === "string") {
    const fits = !value.includes("\0") && value.isWellFormed();
    return fits ? undefined : "a character that can't be kept";
  }
  if (typeof value !== "object" || value === null) return undefined;
  const parts = Array.isArray(value) ? value : Object.entries(value).flat();
  for (const part of parts) {
    const found = unfit(part, depth + 1);
    if (found !== undefined) return found;
  }
  return undefined;
}

/** Why the values of a row can't stand in its table, as "column: why"; undefined where they can. */
export function misfit(
  row: Readonly<Record<string, unknown>>,
  { columns }: TableShape,
): string | undefined {
  const types = new Map(columns.map((column) => [column.name, column]));
  for (const name of Object.keys(row)) {
    if (!types.has(name)) return `there is no column “${name.slice(0, 40)}” here`;
  }
  for (const { name, type, required } of columns) {
    const value = row[name];
    if (value === undefined || value === null) {
      if (required) return `${name}: missing`;
      continue;
    }
    const [fits, sentence] = BY_TYPE[type] ?? [() => false, "of no known type"];
    if (!fits(value)) return `${name}: ${sentence}`;
    const found = unfit(value);
    if (found !== undefined) return `${name}: ${found}`;
  }
  return undefined;
}
