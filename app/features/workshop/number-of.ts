/** What was typed as a number, for fields that are drawn from a school's own list. */
export const numberOf = (value: unknown): number => (typeof value === "number" ? value : NaN);
