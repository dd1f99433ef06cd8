import { compare, fraction, type Fraction } from "~/core/units";

/** Note values by name, longest first. */
const VALUES = [
  ["breve", 2, 1],
  ["whole", 1, 1],
  ["half", 1, 2],
  ["quarter", 1, 4],
  ["eighth", 1, 8],
  ["16th", 1, 16],
  ["32nd", 1, 32],
  ["64th", 1, 64],
  ["128th", 1, 128],
] as const;

export interface Value {
  readonly type: (typeof VALUES)[number][0];
  readonly dots: number;
  /** How many beams or flags. */
  readonly beams: number;
}

/** The value that lasts so long, with up to two dots; undefined where none does. */
export function valueLasting(length: Fraction): Value | undefined {
  for (const [i, [type, top, bottom]] of VALUES.entries()) {
    for (const dots of [0, 1, 2]) {
      const dotted = fraction(top * (2 ** (dots + 1) - 1), bottom * 2 ** dots);
      if (compare(dotted, length) === 0) return { type, dots, beams: Math.max(0, i - 3) };
    }
  }
  return undefined;
}

/** A length as values one after the other, longest first, to be tied; the rest that fits none is left. */
export function valuesFor(length: Fraction): Fraction[] {
  const whole = valueLasting(length);
  if (whole) return [length];
  const parts: Fraction[] = [];
  let [top, bottom] = length;
  for (const [, n, d] of VALUES) {
    while (top * d >= n * bottom) {
      parts.push(fraction(n, d));
      [top, bottom] = fraction(top * d - n * bottom, bottom * d);
    }
  }
  return parts;
}
