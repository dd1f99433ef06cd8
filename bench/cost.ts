import { costCases, realCost, toldCost, type CostCase } from "./cost-cases";
import type { Figure } from "./core";

const RUNS_TOLD = 20_000;
const FIRST_RUNS = 1000;
const MOST_RUNS = 64_000;
/** The reference is played until its own error is below one percent. */
const ERROR = 0.01;

function reference(one: CostCase) {
  let runs = FIRST_RUNS;
  let real = realCost(one, runs);
  while (real.error > ERROR * real.minutes && runs < MOST_RUNS) {
    runs *= Math.ceil((real.error / (ERROR * real.minutes)) ** 2) + 1;
    real = realCost(one, Math.min(MOST_RUNS, runs));
  }
  return real;
}

/** What every case costs as it is told, beside the stand's own reducer. */
export function costFigures(): Figure[] {
  let outside = 0;
  const each = costCases().map((one): Figure => {
    const [told, real] = [toldCost(one, RUNS_TOLD), reference(one)];
    const off = Math.abs(told.minutes - real.minutes);
    const far =
      off > Math.max(0.05 * real.minutes, 20 / 60) || Math.abs(told.fits - real.fits) > 0.05;
    if (far) outside++;
    const value = `${told.minutes.toFixed(2)} min, ${told.fits.toFixed(3)}; at the stand ${real.minutes.toFixed(2)} ± ${real.error.toFixed(2)}, ${real.fits.toFixed(3)}${far ? "  OUTSIDE" : ""}`;
    return { what: Object.values(one).join(", "), value };
  });
  return [
    ...each,
    { what: `of ${each.length} cases, outside 5 % or 20 s, or 0.05`, value: `${outside}` },
  ];
}
