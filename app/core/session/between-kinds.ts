/** What may be advised between plays, besides what follows so many flawed ones. */
export const BETWEEN_KINDS = ["break", "near-limit", "one-clean"] as const;
export type BetweenKind = (typeof BETWEEN_KINDS)[number];
