import type { Frame, StaircaseShape, Step } from "./staircase-shape";

/** Where the goal's words stand, as SVG has it; x is their beginning or their end, y their base line. */
interface LabelPlace {
  readonly x: number;
  readonly y: number;
  readonly textAnchor: "start" | "end";
}

/** A letter of the face is about so much of its height wide. */
const LETTER_WIDTH = 0.5;
const INDENT = 8;
const CLEAR = 5;

/**
 * Over or under the line of the goal, at its left or its right end: the first place where no tread
 * runs through the words, else the first of all. `size` is the height of a letter.
 */
export function goalLabel(
  words: string,
  size: number,
  goal: number,
  steps: readonly Step[],
  { spans, y }: Pick<StaircaseShape, "spans" | "y">,
  { left, right }: Pick<Frame, "left" | "right">,
): LabelPlace {
  const width = words.length * size * LETTER_WIDTH;
  const over = y(goal) - INDENT;
  const under = y(goal) + size + 3;
  const places: readonly LabelPlace[] = [
    { x: left + INDENT, y: over, textAnchor: "start" },
    { x: right, y: under, textAnchor: "end" },
    { x: right, y: over, textAnchor: "end" },
    { x: left + INDENT, y: under, textAnchor: "start" },
  ];
  const isFree = ({ x, y: base, textAnchor }: LabelPlace) => {
    const from = textAnchor === "start" ? x : x - width;
    return steps.every(({ tempo, top = tempo }, i) => {
      const span = spans[i]!;
      const beside = span.x > from + width || span.x + span.length < from;
      const crossed = [tempo, top].some(
        (each) => y(each) > base - size - CLEAR && y(each) < base + CLEAR,
      );
      return beside || !crossed;
    });
  };
  return places.find(isFree) ?? places[0]!;
}
