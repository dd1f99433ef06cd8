interface Ranged {
  readonly fromBar: number;
  readonly toBar: number;
}

/** Lays ranges into as few rows as it takes so that none overlaps another, earlier bars first. */
export function lanesOf<T extends Ranged>(ranges: readonly T[]): T[][] {
  const lanes: T[][] = [];
  const inOrder = [...ranges].sort((a, b) => a.fromBar - b.fromBar || b.toBar - a.toBar);
  for (const range of inOrder) {
    const free = lanes.find((lane) => lane.at(-1)!.toBar < range.fromBar);
    if (free) free.push(range);
    else lanes.push([range]);
  }
  return lanes;
}
