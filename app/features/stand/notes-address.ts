import { systemWidth } from "~/features/notation/system-width";
import { barsWithAround, type Block } from "~/core/session";
import type { PassageMusic } from "./music";

/** How high a staff is drawn, in CSS px, from the narrowest window on. */
const STAFF_BY_WIDTH = [
  { below: 600, large: 38, larger: 34, roomy: 30, tight: 25 },
  { below: 1200, large: 58, larger: 50, roomy: 42, tight: 36 },
  { below: Infinity, large: 68, larger: 56, roomy: 48, tight: 38 },
];

/** How the notes are drawn: good to read; larger where there is room, smaller where there is none. */
export const NOTE_SIZES = ["large", "larger", "roomy", "tight"] as const;
export type NoteSize = (typeof NOTE_SIZES)[number];

/** How high a staff is drawn at a size, in so many CSS px. */
export const staffOf = (size: NoteSize, width: number): number =>
  STAFF_BY_WIDTH.find(({ below }) => width < below)![size];

/** Where the notes of a block are had for so many CSS px, alone or with the bars around it. */
export function notesAddress(
  { address }: PassageMusic,
  block: Block,
  width: number,
  inContext: boolean,
  size: NoteSize,
): string {
  const bars = inContext ? barsWithAround(block) : block.bars;
  const from = bars[0]!.number - (block.pickupBeats > 0 && !inContext ? 1 : 0);
  const asked = { width: systemWidth(width, staffOf(size, width)), from, to: bars.at(-1)!.number };
  return `${address}?${new URLSearchParams(Object.entries(asked).map(([k, n]) => [k, `${n}`]))}`;
}
