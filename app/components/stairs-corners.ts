export interface StairsFrame {
  readonly width: number;
  readonly height: number;
}

/** From where to where a ladder goes: "60–96", or one number where it stays. */
export const tempiTold = (tempi: readonly number[], target: number | null): string => {
  const last = target ?? tempi.at(-1);
  return tempi[0] === last ? `${last}` : `${tempi[0]}–${last}`;
};

/** The corners of a small staircase, each tempo a tread of the same length: [x, y] from the top left. */
export function stairsCorners(
  tempi: readonly number[],
  { width, height }: StairsFrame,
): (readonly [number, number])[] {
  if (tempi.length === 0) return [];
  const lowest = Math.min(...tempi);
  const span = Math.max(1, Math.max(...tempi) - lowest);
  const tread = width / tempi.length;
  return tempi.flatMap((tempo, i) => {
    const y = height - ((tempo - lowest) / span) * height;
    return [[i * tread, y] as const, [(i + 1) * tread, y] as const];
  });
}
