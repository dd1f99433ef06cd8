import type { Given, Wish } from "./allot";
import type { FittedBlock } from "./fitted";

interface Breaks {
  /** Minutes of playing after which a break is due. */
  readonly every: number;
  readonly minutes: number;
  /** At most so many: their minutes were kept back. */
  readonly breaks: number;
}

/** The order of the shape; in the same place the heavier first. */
const inOrder = (a: Given, b: Given): number =>
  a.wish.order - b.wish.order || b.wish.weight - a.wish.weight;

const blockOf = (
  { id, kind, passageId, itemId, text, span, reason }: Wish,
  minutes: number,
): FittedBlock => ({
  id,
  kind,
  passageId,
  itemId,
  text,
  span,
  reason,
  minutes,
});

const breakAfter = (played: number, minutes: number, index: number): FittedBlock => ({
  id: `break-${index}`,
  kind: "break",
  passageId: undefined,
  text: "",
  minutes,
  span: { minimum: 2, ideal: minutes, maximum: 15 },
  reason: { why: "break", after: played },
});

/** Blocks in their order with the breaks between them, never one at the end. */
export function arranged(
  given: readonly Given[],
  { every, minutes, breaks }: Breaks,
): FittedBlock[] {
  const out: FittedBlock[] = [];
  let sinceBreak = 0;
  let set = 0;
  for (const { wish, minutes: long } of given.toSorted(inOrder)) {
    // Before the block that would pass the half hour, unless next to nothing was played yet.
    const over = sinceBreak + long - every;
    if (set < breaks && sinceBreak > 0 && over > 0 && sinceBreak >= every / 2) {
      out.push(breakAfter(sinceBreak, minutes, ++set));
      sinceBreak = 0;
    }
    out.push(blockOf(wish, long));
    sinceBreak += long;
  }
  return out;
}
