import * as v from "valibot";
import { LIBRARY_KINDS } from "~/core/week";
import { pagingFields } from "./paging";

const LONGEST_NAME = 80;

export const libraryName = v.pipe(
  v.string("Give it a name."),
  v.trim(),
  v.minLength(1, "Give it a name."),
  v.maxLength(LONGEST_NAME, `Keep the name under ${LONGEST_NAME} characters.`),
);

export const LIBRARY_SORTS = ["name", "kind", "kept"] as const;

/** Which part of the library an address asks for. */
export const libraryQuerySchema = v.object({
  ...pagingFields(LIBRARY_SORTS, "name", "0"),
  kind: v.optional(v.picklist(["", ...LIBRARY_KINDS], "There is no such kind."), ""),
});
export type LibraryQuery = v.InferOutput<typeof libraryQuerySchema>;

export const WHOLE_LIBRARY = v.parse(libraryQuerySchema, {});
