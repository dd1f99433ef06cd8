/** A rest that is taken by hand. */
export const REST_SECONDS = 60;
