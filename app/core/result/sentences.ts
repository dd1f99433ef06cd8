import * as v from "valibot";

/** The first sentence per dotted field path; what belongs to no field is under "form". */
export function sentences(issues: readonly v.BaseIssue<unknown>[]): Record<string, string> {
  const found: Record<string, string> = {};
  for (const issue of issues) found[v.getDotPath(issue) ?? "form"] ??= issue.message;
  return found;
}
