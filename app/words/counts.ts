/** One or many of something, without its number. */
export const plural = (count: number, one: string, many: string) => (count === 1 ? one : many);

export const days = (count: number) => `${count} ${plural(count, "day", "days")}`;

/** A day that is ahead. */
export const inDays = (count: number): string =>
  count <= 0 ? "today" : count === 1 ? "tomorrow" : `in ${days(count)}`;

/** Whole minutes of what is asked or was done: what was begun is never told as none. */
export const whole = (count: number): string =>
  count > 0 && Math.round(count) === 0 ? "under 1" : String(Math.round(count));

export const minutes = (count: number) => `${whole(count)} min`;

export const count = (number: number, one: string, many = `${one}s`) =>
  `${number} ${plural(number, one, many)}`;

/** A number that need not be whole, to a tenth: 43.2, 60. */
export const tenth = (value: number): string => String(Number(value.toFixed(1)));
