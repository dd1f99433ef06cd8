import * as v from "valibot";

/**
 * What a schema says of itself, for what nobody types: "Invalid key: Expected …" reaches no person.
 * To be called once wherever schemas are read.
 */
export const speakPlainly = (): void =>
  v.setGlobalMessage(({ received }) =>
    received === "undefined" ? "Something is missing here." : "This can't be read.",
  );

/** The first sentence per dotted field path; what belongs to no field is under "form". */
export function sentences(issues: readonly v.BaseIssue<unknown>[]): Record<string, string> {
  const found: Record<string, string> = {};
  for (const issue of issues) found[v.getDotPath(issue) ?? "form"] ??= issue.message;
  return found;
}
