import { TOLERANCE } from "~/core/units";
import type { LeftFor } from "./candidate";
import type { BlockReason } from "./fitted";
import type { BlockKind, MinutesSpan } from "./shape";

/** A block as it is wished for, before minutes are given. */
export interface Wish {
  readonly id: string;
  readonly kind: BlockKind;
  readonly passageId: string | undefined;
  readonly itemId?: string;
  readonly text: string;
  readonly span: MinutesSpan;
  readonly priority: number;
  readonly always: boolean;
  /** Among the same priority the heavier stays. */
  readonly weight: number;
  /** Its place in the shape. */
  readonly order: number;
  readonly reason: BlockReason;
}

export interface Given {
  readonly wish: Wish;
  readonly minutes: number;
}

const byRank = (a: Wish, b: Wish): number =>
  Number(b.always) - Number(a.always) || a.priority - b.priority || b.weight - a.weight;

/** Raises everything one minute at a time, whoever is furthest from its aim first. */
export function raise<T>(minutes: Map<T, number>, left: number, aim: (of: T) => number): number {
  let rest = left;
  while (rest > 0) {
    let next: T | undefined;
    let least = 1;
    for (const [each, has] of minutes) {
      const filled = has / aim(each);
      if (filled < least - TOLERANCE) [next, least] = [each, filled];
    }
    if (!next) return rest;
    minutes.set(next, minutes.get(next)! + 1);
    rest--;
  }
  return 0;
}

/** From this priority on a block comes only when all before it can be as long as they should be. */
const NICE_TO_HAVE = 6;

export interface Dropped {
  readonly wish: Wish;
  readonly reason: Extract<LeftFor, { why: "no-room" | "rest-first" }>;
}

/**
 * Whole minutes for the wishes: nothing below its minimum (it is dropped instead, lowest rank
 * first), nothing that is merely nice to have while the rest falls short; all towards their ideal
 * in proportion, then towards their maximum.
 */
export function allotted(
  wishes: readonly Wish[],
  available: number,
): { given: Given[]; dropped: Dropped[] } {
  let left = available;
  let ideal = 0;
  const kept = new Map<Wish, number>();
  const dropped: Dropped[] = [];
  for (const wish of wishes.toSorted(byRank)) {
    const { minimum } = wish.span;
    const crowds = !wish.always && wish.priority >= NICE_TO_HAVE && ideal + minimum > available;
    if (minimum > left) dropped.push({ wish, reason: { why: "no-room", minimum, left } });
    else if (crowds) dropped.push({ wish, reason: { why: "rest-first" } });
    else {
      kept.set(wish, minimum);
      left -= minimum;
      ideal += wish.span.ideal;
    }
  }
  left = raise(kept, left, ({ span }) => span.ideal);
  raise(kept, left, ({ span }) => span.maximum);
  const given = [...kept].map(([wish, minutes]) => ({ wish, minutes }));
  return { given, dropped };
}
