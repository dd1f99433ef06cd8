import type { Given, Wish } from "./allot";
import type { FittedBlock } from "./fitted";
import { BREAK_MINUTES } from "./stretch";

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

const breakAfter = (played: number, index: number): FittedBlock => ({
  id: `break-${index}`,
  kind: "break",
  passageId: undefined,
  text: "",
  minutes: BREAK_MINUTES,
  span: { minimum: 2, ideal: BREAK_MINUTES, maximum: 15 },
  reason: { why: "break", after: played },
});

/** Where to stop `breaks` times so that the longest stretch is as short as it can be. */
function stops(minutes: readonly number[], breaks: number): { at: number[]; longest: number } {
  const upTo = [0];
  for (const each of minutes) upTo.push(upTo.at(-1)! + each);
  let best = upTo.map((sum) => ({ at: [] as number[], longest: sum }));
  for (let n = 1; n <= breaks; n++) {
    best = upTo.map((sum, end) => {
      let shortest = { at: [] as number[], longest: Number.POSITIVE_INFINITY };
      for (let from = n; from < end; from++) {
        const longest = Math.max(best[from]!.longest, sum - upTo[from]!);
        if (longest < shortest.longest) shortest = { at: [...best[from]!.at, from], longest };
      }
      return shortest;
    });
  }
  return best.at(-1)!;
}

/**
 * Blocks in their order with so many breaks between them, none at the end; undefined when a stretch
 * would still be longer than `most` minutes. A block longer than `longestBlock` comes in parts.
 */
export function arranged(
  given: readonly Given[],
  breaks: number,
  most: number,
  longestBlock: number = most,
): FittedBlock[] | undefined {
  const parts = given.toSorted(inOrder).flatMap((each) => inParts(each, longestBlock));
  const { at, longest } = stops(
    parts.map(({ minutes }) => minutes),
    Math.min(breaks, Math.max(0, parts.length - 1)),
  );
  if (longest > most) return undefined;
  let since = 0;
  let before: Part | undefined;
  let n = 0;
  return [...joined(parts, new Set(at))].flatMap(([index, part]) => {
    const stop = at.indexOf(index);
    const played = since;
    since = stop < 0 ? since + part.minutes : part.minutes;
    n = before?.of === part.of ? n + 1 : 0;
    before = part;
    const block = blockOfPart(part, n);
    return stop < 0 ? [block] : [breakAfter(played, stop + 1), block];
  });
}
