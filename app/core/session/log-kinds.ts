/** What a line of the log can be. */
export const LOG_KINDS = ["played", "task", "by-hand", "said", "asked", "pain"] as const;
export type LogKind = (typeof LOG_KINDS)[number];
