declare const unit: unique symbol;

/** A number that carries its unit in its type. */
export type Branded<Name extends string> = number & { readonly [unit]: Name };

/** Beats per minute of some beat unit. */
export type Bpm = Branded<"Bpm">;
export type Seconds = Branded<"Seconds">;
/** A count of beats; may be fractional. */
export type Beats = Branded<"Beats">;

export const beats = (value: number): Beats => value as Beats;

/**
 * Two positions (whole notes) or times (seconds) closer than this are the same: far below a sample
 * (2e-5 s), far above what doubles lose when bar lengths are added up for hours.
 */
export const TOLERANCE = 1e-9;
