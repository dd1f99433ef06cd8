/** An exact share of a whole note: numerator and denominator in lowest terms, the latter above 0. */
export type Fraction = readonly [numerator: number, denominator: number];

const greatestCommon = (a: number, b: number): number => (b === 0 ? a : greatestCommon(b, a % b));

/** Lowest terms; a denominator of 0 is wrong use. */
export function fraction(numerator: number, denominator = 1): Fraction {
  if (denominator === 0) throw new Error("A fraction has a denominator other than 0.");
  const sign = denominator < 0 ? -1 : 1;
  const common = greatestCommon(Math.abs(numerator), Math.abs(denominator)) || 1;
  // Adding 0 makes -0 plain.
  return [(sign * numerator) / common + 0, (sign * denominator) / common];
}

export const NOTHING: Fraction = [0, 1];

export const sum = ([a, b]: Fraction, [c, d]: Fraction): Fraction => fraction(a * d + c * b, b * d);
export const difference = (a: Fraction, [c, d]: Fraction): Fraction => sum(a, [-c, d]);

/** Below 0 when the first is smaller, 0 when they are the same. */
export const compare = ([a, b]: Fraction, [c, d]: Fraction): number => a * d - c * b;
export const larger = (a: Fraction, b: Fraction): Fraction => (compare(a, b) >= 0 ? a : b);
export const valueOf = ([a, b]: Fraction): number => a / b;
