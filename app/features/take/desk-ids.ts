/** Where the keys of the listening desk lead. Of what was handed in with a take the first has them. */
export const COMMENT_BAR = "comment-bar";
export const COMMENT_TEXT = "comment-text";
export const ANSWER = { heard: "answer-heard", again: "answer-again" } as const;
