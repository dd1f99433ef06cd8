import type { SqlFailure } from "./engine";

export type DatabaseErrorKind =
  "not-found" | "too-many" | "unique" | "foreign-key" | "check" | "bad-value" | "other";

/** Every failure of a query, told by kind; the SQLSTATE is mapped here and nowhere else. */
export class DatabaseError extends Error {
  override readonly name = "DatabaseError";

  constructor(
    readonly kind: DatabaseErrorKind,
    message: string,
    readonly constraint?: string,
  ) {
    super(message);
  }
}

const KIND_BY_SQLSTATE: Readonly<Record<string, DatabaseErrorKind>> = {
  "23505": "unique",
  "23503": "foreign-key",
  "23514": "check",
  "22P02": "bad-value",
  "22007": "bad-value",
  "22003": "bad-value",
  "22008": "bad-value",
  "22021": "bad-value",
  "22P05": "bad-value",
};

export function asDatabaseError(failure: SqlFailure): DatabaseError {
  const kind = KIND_BY_SQLSTATE[failure.code ?? ""] ?? "other";
  return new DatabaseError(kind, failure.message, failure.constraint);
}
