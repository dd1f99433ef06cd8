export const MINUTE_MS = 60_000;
/** So long without a play is a break. */
const BREAK_MINUTES = 4;
/** Longer than this is not played in one go (craft, 8). */
export const LONGEST_UNBROKEN_MINUTES = 30;

/** Stretches without a break, of plays at these moments in their order, in milliseconds. */
export function stretchesOf(
  moments: readonly number[],
): { readonly from: number; readonly to: number }[] {
  const found: { from: number; to: number }[] = [];
  for (const at of moments) {
    const last = found.at(-1);
    if (last && at - last.to < BREAK_MINUTES * MINUTE_MS) last.to = at;
    else found.push({ from: at, to: at });
  }
  return found;
}
