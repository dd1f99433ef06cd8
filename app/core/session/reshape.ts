import { raise } from "./allot";
import type { FittedBlock } from "./fitted";

/**
 * A block made longer or shorter while the session stays as long as it is: the others give way in
 * proportion, none below its minimum. A shortened block lets the others grow, none above its most.
 */
export function stretched(
  blocks: readonly FittedBlock[],
  id: string,
  minutes: number,
): readonly FittedBlock[] {
  const block = blocks.find((each) => each.id === id);
  if (!block) return blocks;
  const others = blocks.filter((each) => each.id !== id);
  const total = blocks.reduce((sum, each) => sum + each.minutes, 0);
  const least = others.reduce((sum, each) => sum + lowest(each), 0);
  const wanted = Math.min(total - least, Math.max(1, Math.round(minutes)));
  const shares = new Map(others.map((each) => [each.id, lowest(each)]));
  const of = (id: string) => others.find((each) => each.id === id)!;
  const left = raise(shares, total - wanted - least, (each) => of(each).minutes);
  raise(shares, left, (each) => Math.max(of(each).minutes, of(each).span.maximum));
  return blocks.map((each) =>
    each.id === id ? { ...each, minutes: wanted } : { ...each, minutes: shares.get(each.id)! },
  );
}

/** A block that was shortened by hand may already lie below its minimum. */
const lowest = ({ minutes, span }: FittedBlock): number => Math.min(minutes, span.minimum);

/** A block moved to another place in the order. */
export function moved(
  blocks: readonly FittedBlock[],
  id: string,
  to: number,
): readonly FittedBlock[] {
  const from = blocks.findIndex((each) => each.id === id);
  if (from < 0) return blocks;
  const others = blocks.toSpliced(from, 1);
  return others.toSpliced(Math.max(0, Math.min(others.length, to)), 0, blocks[from]!);
}
