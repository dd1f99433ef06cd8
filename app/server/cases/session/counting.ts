/**
 * The version of how sessions are counted. Raised when the counting changes, so that what an older
 * version made is made again at the next start.
 */
export const COUNTING = 8;
