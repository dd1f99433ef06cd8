declare const unit: unique symbol;

/** A number that carries its unit in its type. */
export type Branded<Name extends string> = number & { readonly [unit]: Name };

/** Beats per minute of some beat unit. */
export type Bpm = Branded<"Bpm">;
export type Seconds = Branded<"Seconds">;
export type Milliseconds = Branded<"Milliseconds">;
/** A count of beats; may be fractional. */
export type Beats = Branded<"Beats">;
/** A count of bars. */
export type Bars = Branded<"Bars">;

export const seconds = (value: number): Seconds => value as Seconds;
export const milliseconds = (value: number): Milliseconds => value as Milliseconds;
export const beats = (value: number): Beats => value as Beats;
export const bars = (value: number): Bars => value as Bars;

/**
 * Two times closer than this are the same time. One microsecond is a twentieth of a sample at
 * 48 kHz, and a million times coarser than the error of a double after an hour of additions.
 */
export const SAME_TIME = seconds(1e-6);
