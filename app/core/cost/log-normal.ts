const TEN_TO_NINETY_SD = 1.2816;

/** Standard normal distribution function, Abramowitz & Stegun 26.2.17 (error below 7.5e-8). */
function normalBelow(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const poly =
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const tail = (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * poly;
  return z >= 0 ? 1 - tail : tail;
}

/**
 * Minutes as a log-normal with the given mean and s.d.: gates that go wrong go very wrong, so the
 * sum is skewed to the right and never below nothing, which a normal would not be.
 */
export function logNormal(mean: number, sd: number) {
  const sigma = Math.sqrt(Math.log(1 + (sd / mean) ** 2));
  const mu = Math.log(mean) - sigma ** 2 / 2;
  return {
    low: Math.exp(mu - TEN_TO_NINETY_SD * sigma),
    high: Math.exp(mu + TEN_TO_NINETY_SD * sigma),
    within: (minutes: number) =>
      sigma === 0 ? Number(mean <= minutes) : normalBelow((Math.log(minutes) - mu) / sigma),
  };
}
