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

/** A block that nobody should play in one go, in parts that one can. */
function inParts({ wish, minutes }: Given, most: number): FittedBlock[] {
  const parts = Math.ceil(minutes / most);
  if (parts <= 1) return [blockOf(wish, minutes)];
  return Array.from({ length: parts }, (_, n) => {
    const long = Math.floor(minutes / parts) + (n < minutes % parts ? 1 : 0);
    const span = { minimum: Math.min(long, wish.span.minimum), ideal: long, maximum: long };
    const id = n === 0 ? wish.id : `${wish.id}~${n + 1}`;
    return { ...blockOf(wish, long), id, span };
  });
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
 * would still be longer than `most` minutes.
 */
export function arranged(
  given: readonly Given[],
  breaks: number,
  most: number,
): FittedBlock[] | undefined {
  const blocks = given.toSorted(inOrder).flatMap((each) => inParts(each, most));
  const { at, longest } = stops(
    blocks.map(({ minutes }) => minutes),
    Math.min(breaks, Math.max(0, blocks.length - 1)),
  );
  if (longest > most) return undefined;
  let since = 0;
  return blocks.flatMap((block, index) => {
    const stop = at.indexOf(index);
    const played = since;
    since = stop < 0 ? since + block.minutes : block.minutes;
    return stop < 0 ? [block] : [breakAfter(played, stop + 1), block];
  });
}
