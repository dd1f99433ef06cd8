import * as v from "valibot";

/** What a refused form gives back: a sentence per field, and everything that was typed. */
export interface FormRefused {
  readonly errors: Readonly<Record<string, string>>;
  readonly values: Readonly<Record<string, string>>;
}

/** An empty number field is not zero. */
const asNumber = (value: string): number => (value.trim() === "" ? NaN : Number(value));

/**
 * The schema of a form whose fields are text as typed, read as `schema` wants them; `numbers` names
 * the fields that hold one. The page and the server read a form by the same one.
 */
export const typedForm = <S extends v.GenericSchema>(schema: S, numbers: readonly string[] = []) =>
  v.pipe(
    v.record(v.string(), v.string()),
    v.transform((typed): unknown =>
      Object.fromEntries(
        Object.entries(typed).map(([name, value]) => [
          name,
          numbers.includes(name) ? asNumber(value) : value,
        ]),
      ),
    ),
    schema,
  );
