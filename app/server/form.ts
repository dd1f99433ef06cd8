import * as v from "valibot";
import { err, ok, sentences, type Result } from "~/core/result";

/** What a refused form gives back: a sentence per field, and everything that was typed. */
export interface FormRefused {
  readonly errors: Readonly<Record<string, string>>;
  readonly values: Readonly<Record<string, string>>;
}

/** What goes back to a page that was refused: everything typed, the password not. */
export const withoutPassword = (
  values: Readonly<Record<string, string>>,
): Readonly<Record<string, string>> =>
  Object.fromEntries(Object.entries(values).filter(([name]) => name !== "password"));

/** Text as a database can hold it: without NUL and broken characters. */
const text = (value: FormDataEntryValue): string =>
  typeof value === "string" ? value.toWellFormed().replaceAll("\0", "") : "";

/** An empty number field is not zero. */
const asNumber = (value: string): number => (value.trim() === "" ? NaN : Number(value));

/** Reads a form by a schema; `numbers` names the fields that hold one. */
export function readForm<S extends v.GenericSchema>(
  form: FormData,
  schema: S,
  numbers: readonly string[] = [],
): Result<v.InferOutput<S>, FormRefused> {
  const values = Object.fromEntries([...form].map(([key, value]) => [key, text(value)]));
  const typed = Object.fromEntries(
    Object.entries(values).map(([key, value]) => [
      key,
      numbers.includes(key) ? asNumber(value) : value,
    ]),
  );
  const read = v.safeParse(schema, typed);
  return read.success ? ok(read.output) : err({ errors: sentences(read.issues), values });
}
