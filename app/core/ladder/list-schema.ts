import * as v from "valibot";
import { FAMILIES, type Family } from "./families";
import { wholeBetween } from "./number-schema";
import type { ListItem } from "./school";

const MOST_ITEMS = 24;
const LONGEST_NAME = 60;

/** Words of the teacher's own. */
export const ownWords = v.pipe(
  v.string(),
  v.trim(),
  v.minLength(1, "Say what is to be done, or take the line out."),
  v.maxLength(LONGEST_NAME, `Keep it under ${LONGEST_NAME} characters.`),
);

/** One of a known vocabulary. */
export const oneOf = <T extends string>(names: readonly [T, ...T[]]) =>
  v.picklist(names, "Choose one of the list.");

/** A list with at least one item; `empty` is the sentence for none, `more` what else an item has. */
export const listSchema = <
  Name extends v.GenericSchema<unknown, string>,
  More extends v.ObjectEntries = Record<never, never>,
>(
  empty: string,
  name: Name,
  more: More = {} as More,
) =>
  v.pipe(
    v.array(v.object({ name, clean: wholeBetween(0, 20, "plays"), ...more })),
    v.minLength(1, empty),
    v.maxLength(MOST_ITEMS, `At most ${MOST_ITEMS} lines.`),
  );

/** Items that use the ladder's gate. */
export const items = (...names: readonly string[]): ListItem[] =>
  names.map((name) => ({ name, clean: 0 }));

/** The same preset for every family but those named. */
export const presets = (
  usual: readonly ListItem[],
  others: Partial<Record<Family, readonly ListItem[]>> = {},
): Record<Family, readonly ListItem[]> =>
  Object.fromEntries(FAMILIES.map((family) => [family, others[family] ?? usual])) as Record<
    Family,
    readonly ListItem[]
  >;
