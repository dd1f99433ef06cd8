/** What a room's library keeps. */
export const LIBRARY_KINDS = ["ladder", "plan", "exercise"] as const;
export type LibraryKind = (typeof LIBRARY_KINDS)[number];
