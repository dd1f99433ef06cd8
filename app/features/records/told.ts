import { logRows } from "~/features/log/log-rows";
import { words } from "~/words";
import { beatUnitName, dictionary, flawedTimes, readme, tables } from "~/words/tables";

type Value = string | number | boolean | null | Date | readonly string[];

/** A value as a cell: decimals to a hundredth, moments in UTC, texts one after another. */
function cell(value: Value): string | number | null {
  if (value instanceof Date) return value.toISOString();
  if (typeof value === "number") return Math.round(value * 100) / 100;
  if (typeof value === "boolean") return value ? "yes" : "";
  if (typeof value === "object" && value !== null) return value.join(" | ");
  return value;
}

const table =
  <K extends string>(columns: Readonly<Record<K, readonly [name: string, says: string]>>) =>
  (rows: readonly Readonly<Record<K, Value>>[]) => ({
    columns: (Object.values(columns) as (readonly [string, string])[]).map(([name]) => name),
    rows: rows.map((row) =>
      (Object.keys(columns) as K[]).map((key) =>
        key === "beat_unit" ? beatUnitName(String(row[key])) : cell(row[key]),
      ),
    ),
  });

/** How what is taken along is told. */
export const told = {
  dictionary,
  readme,
  log: logRows,
  sessions: table(tables.sessions),
  plays: table(tables.plays),
  handedIn: table(tables["handed-in"]),
  progress: table(tables.progress),
  bars: words.bars,
  flawed: flawedTimes,
  state: (state: keyof typeof words.state) => words.state[state],
};
