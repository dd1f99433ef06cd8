/** Papers on which a sheet is printed. */
export const PAPERS = ["a4", "letter"] as const;
export type Paper = (typeof PAPERS)[number];
