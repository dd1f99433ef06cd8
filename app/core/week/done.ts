/** What was practised of an item on a day. */
export interface Practised {
  readonly minutes: number;
  /** The tempo that the week is for was passed. */
  readonly goalPassed: boolean;
  /** The player said that it was enough, or stopped because something hurt. */
  readonly enough: boolean;
}

/** So much of its minutes makes an item done. */
const DONE_SHARE = 0.8;

/**
 * Whether an item is done for a day that asked so many minutes of it: by its minutes, by its goal,
 * or because the player has said so.
 */
export const isDone = ({ minutes, goalPassed, enough }: Practised, asked: number): boolean =>
  goalPassed || enough || minutes >= asked * DONE_SHARE;
