/** P(Z ≤ z) of a standard normal; Abramowitz and Stegun 7.1.26, within 1.5e-7. */
export function normalBelow(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const poly =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const erf = 1 - poly * Math.exp(-x * x);
  return z >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}

const MIDDLE = {
  above: [
    -39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716,
    2.506628277459239,
  ],
  below: [
    -54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972,
    -13.28068155288572, 1,
  ],
};
const TAIL = {
  above: [
    -0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734,
    4.374664141464968, 2.938163982698783,
  ],
  below: [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416, 1],
};
const TAIL_FROM = 0.02425;
const FURTHEST = 6;

const polynomial = (of: readonly number[], x: number): number =>
  of.reduce((sum, each) => sum * x + each, 0);

/** z with P(Z ≤ z) of a standard normal, within ± 6: Acklam's rational approximation, good to 1e-8. */
export function normalAt(share: number): number {
  if (share > 0.5) return -normalAt(1 - share);
  if (share <= 1e-9) return -FURTHEST;
  if (share < TAIL_FROM) {
    const q = Math.sqrt(-2 * Math.log(share));
    return polynomial(TAIL.above, q) / polynomial(TAIL.below, q);
  }
  const [q, r] = [share - 0.5, (share - 0.5) ** 2];
  return (polynomial(MIDDLE.above, r) * q) / polynomial(MIDDLE.below, r);
}
