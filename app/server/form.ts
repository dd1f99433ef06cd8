import * as v from "valibot";
import { err, ok, sentences, type Result } from "~/core/result";
import type { FormRefused } from "~/forms/typed";

/** What goes back to a page that was refused: everything typed, the password not. */
export const withoutPassword = (
  values: Readonly<Record<string, string>>,
): Readonly<Record<string, string>> =>
  Object.fromEntries(Object.entries(values).filter(([name]) => name !== "password"));

/** Text as a database can hold it: without NUL and broken characters. */
const text = (value: FormDataEntryValue): string =>
  typeof value === "string" ? value.toWellFormed().replaceAll("\0", "") : "";

/** Reads a form by its schema. */
export function readForm<S extends v.GenericSchema>(
  form: FormData,
  schema: S,
): Result<v.InferOutput<S>, FormRefused> {
  const values = Object.fromEntries([...form].map(([key, value]) => [key, text(value)]));
  const read = v.safeParse(schema, values);
  return read.success ? ok(read.output) : err({ errors: sentences(read.issues), values });
}
