/** A failure that is expected is a value; wrong use throws. */
export type Result<T, E> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: E };

export const ok = <T>(value: T): Result<T, never> => ({ ok: true, value });
export const err = <E>(error: E): Result<never, E> => ({ ok: false, error });

/** Throws when a condition that the code itself guarantees does not hold. */
export function assert(condition: unknown, sentence: string): asserts condition {
  if (!condition) throw new Error(sentence);
}

/** Ends a switch over a union: a new member that was forgotten is a type error. */
export function unreachable(value: never): never {
  throw new Error(`Unexpected value: ${JSON.stringify(value)}`);
}
