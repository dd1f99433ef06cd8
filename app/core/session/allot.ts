import { TOLERANCE } from "~/core/units";
import type { LeftFor } from "./candidate";
import type { BlockReason } from "./fitted";
import { NICE_TO_HAVE } from "./room";
import { isPassageKind, type BlockKind, type MinutesSpan } from "./shape";

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

/** Free minutes first make passages so long, then tasks as long as they may be, then passages again. */
const LONG_MINUTES = 35;
/** However much time there is, nothing is played longer than this in one session. */
const LONGEST_MINUTES = 70;

const ASSIGNED = new Set<BlockReason["why"]>(["asked", "wanted", "own", "must-do"]);

/** A passage that nobody has assigned, beside others that are. */
const isBeside = ({ passageId, reason }: Wish): boolean =>
  passageId !== undefined && !ASSIGNED.has(reason.why);

/** What fills free time: repertoire and études, without an end of its own. */
const fillsTime = ({ kind }: Wish): boolean => isPassageKind(kind) && kind !== "technique";

export interface Dropped {
  readonly wish: Wish;
  readonly reason: LeftFor;
}

/**
 * Whole minutes for the wishes: nothing below its minimum (it is dropped instead, lowest rank
 * first), nothing that is merely nice to have, and no passage beside those that are assigned, while
 * the rest falls short; all towards their ideal in proportion, what is nice to have after the rest. Free minutes go to what is played before they
 * make tasks longer.
 */
export function allotted(
  wishes: readonly Wish[],
  available: number,
): { given: Given[]; dropped: Dropped[] } {
  let left = available;
  let ideal = 0;
  const needed = new Map<Wish, number>();
  const nice = new Map<Wish, number>();
  const dropped: Dropped[] = [];
  const someAssigned = wishes.some(({ reason }) => ASSIGNED.has(reason.why));
  for (const wish of wishes.toSorted(byRank)) {
    const { minimum } = wish.span;
    const isNice =
      !wish.always && (wish.priority >= NICE_TO_HAVE || (someAssigned && isBeside(wish)));
    if (minimum > left) dropped.push({ wish, reason: { why: "no-room", minimum, left } });
    else if (isNice && ideal + minimum > available) {
      dropped.push({ wish, reason: { why: "rest-first" } });
    } else {
      (isNice ? nice : needed).set(wish, minimum);
      left -= minimum;
      ideal += wish.span.ideal;
    }
  }
  left = raise(needed, left, ({ span }) => span.ideal);
  left = raise(nice, left, ({ span }) => span.ideal);
  const kept = [...needed, ...nice];
  const played = new Map(kept.filter(([wish]) => fillsTime(wish)));
  const others = new Map(kept.filter(([wish]) => !fillsTime(wish)));
  left = raise(played, left, ({ span }) => span.maximum);
  left = raise(played, left, ({ span }) => Math.max(span.maximum, LONG_MINUTES));
  left = raise(others, left, ({ span }) => span.maximum);
  raise(played, left, ({ span }) => Math.max(span.maximum, LONGEST_MINUTES));
  const given = kept.map(([wish]) => {
    const minutes = played.get(wish) ?? others.get(wish)!;
    const maximum = Math.max(wish.span.maximum, minutes);
    return { wish: { ...wish, span: { ...wish.span, maximum } }, minutes };
  });
  return { given, dropped };
}
