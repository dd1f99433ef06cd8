import type { Given, Wish } from "./allot";
import type { FittedBlock } from "./fitted";
import { isPlayed } from "./shape";
import { breakMinutes } from "./stretch";

/** The order of the shape; in the same place the heavier first. */
const inOrder = (a: Given, b: Given): number =>
  a.wish.order - b.wish.order || b.wish.weight - a.wish.weight;

const blockOf = (
  { id, kind, passageId, itemId, text, span, reason }: Wish,
  minutes: number,
): FittedBlock => ({ id, kind, passageId, itemId, text, span, reason, minutes });

interface Part {
  readonly of: Given;
  readonly minutes: number;
}

/** A block that nobody should play in one go, in parts that one can. */
function inParts(of: Given, most: number): Part[] {
  const parts = Math.max(1, Math.ceil(of.minutes / most));
  return Array.from({ length: parts }, (_, n) => ({
    of,
    minutes: Math.floor(of.minutes / parts) + (n < of.minutes % parts ? 1 : 0),
  }));
}

/** Parts of one block that no break comes between are one again. */
function joined(parts: readonly Part[], stops: ReadonlySet<number>): Map<number, Part> {
  const starts = new Map<number, Part>();
  let start = 0;
  for (const [index, part] of parts.entries()) {
    const before = starts.get(start);
    if (before?.of === part.of && !stops.has(index)) {
      starts.set(start, { of: part.of, minutes: before.minutes + part.minutes });
    } else {
      starts.set((start = index), part);
    }
  }
  return starts;
}

/** The whole of a block as it was wished; its `n`th part (from 0) is as long as it is. */
function blockOfPart({ of: { wish, minutes: whole }, minutes }: Part, n: number): FittedBlock {
  if (minutes === whole) return blockOf(wish, minutes);
  const minimum = Math.min(minutes, wish.span.minimum);
  const id = n === 0 ? wish.id : `${wish.id}~${n + 1}`;
  return { ...blockOf(wish, minutes), id, span: { minimum, ideal: minutes, maximum: minutes } };
}

const breakAfter = (played: number, index: number, minutes: number): FittedBlock => ({
  id: `break-${index}`,
  kind: "break",
  passageId: undefined,
  text: "",
  minutes,
  span: { minimum: 2, ideal: minutes, maximum: Math.max(15, minutes) },
  reason: { why: "break", after: played },
});

/** Minutes of a part with the instrument. */
const playing = ({ of, minutes }: Part): number => (isPlayed(of.wish.kind) ? minutes : 0);

/**
 * Where to stop `breaks` times so that the longest stretch is as short as it can be: after at least
 * `least` minutes of playing, and never between two parts without the instrument.
 */
function stops(parts: readonly Part[], breaks: number, least: number) {
  const upTo = [0];
  for (const part of parts) upTo.push(upTo.at(-1)! + playing(part));
  const rests = (at: number) => playing(parts[at - 1]!) === 0 && playing(parts[at]!) === 0;
  let best = upTo.map((sum) => ({ at: [] as number[], longest: sum }));
  for (let n = 1; n <= breaks; n++) {
    best = upTo.map((sum, end) => {
      let shortest = { at: [] as number[], longest: Number.POSITIVE_INFINITY };
      for (let from = n; from < end; from++) {
        const { at, longest: before } = best[from]!;
        if (rests(from) || upTo[from]! - upTo[at.at(-1) ?? 0]! < least) continue;
        const longest = Math.max(before, sum - upTo[from]!);
        if (longest < shortest.longest) shortest = { at: [...at, from], longest };
      }
      return shortest;
    });
  }
  return best.at(-1)!;
}

export interface Breaks {
  readonly count: number;
  /** Minutes of playing without a break, at most. */
  readonly most: number;
  /** Minutes of playing before a break, at least. */
  readonly least: number;
  /** A longer block comes in parts. */
  readonly longestBlock?: number;
}

/**
 * Blocks in their order with so many breaks between them, none at the end; undefined when that
 * can't be.
 */
export function arranged(
  given: readonly Given[],
  { count, most, least, longestBlock = most }: Breaks,
): FittedBlock[] | undefined {
  const parts = given.toSorted(inOrder).flatMap((each) => inParts(each, longestBlock));
  const { at, longest } = stops(parts, Math.min(count, Math.max(0, parts.length - 1)), least);
  if (longest > most) return undefined;
  const lengths = breakMinutes(at.length);
  let since = 0;
  let before: Part | undefined;
  let n = 0;
  return [...joined(parts, new Set(at))].flatMap(([index, part]) => {
    const stop = at.indexOf(index);
    const played = since;
    since = (stop < 0 ? since : 0) + playing(part);
    n = before?.of === part.of ? n + 1 : 0;
    before = part;
    const block = blockOfPart(part, n);
    return stop < 0 ? [block] : [breakAfter(played, stop + 1, lengths[stop]!), block];
  });
}
