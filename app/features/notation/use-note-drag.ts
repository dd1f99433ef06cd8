import { useRef, type PointerEvent } from "react";
import {
  aroundNotes,
  type BarBox,
  type Moment,
  type PassageRange,
  type Within,
} from "~/core/score";

interface NoteUnder extends Moment {
  /** Where the next note begins, in whole notes from the bar's start. */
  readonly until: number | undefined;
}

/** The note nearest to a pointer, in the bar that lies under it. */
function noteUnder(event: PointerEvent, boxes: readonly BarBox[]): NoteUnder | undefined {
  const under = document.elementFromPoint(event.clientX, event.clientY);
  const element = under?.closest<HTMLElement>("[data-bar]");
  const box = boxes.find(({ bar }) => String(bar) === element?.dataset.bar);
  if (!element || !box || box.onsets.length === 0) return undefined;
  const { left, width } = element.getBoundingClientRect();
  const at = box.left + ((event.clientX - left) / width) * box.width;
  const far = (index: number) => Math.abs(box.onsets[index]![1] - at);
  const index = box.onsets.reduce((best, _, each) => (far(each) < far(best) ? each : best), 0);
  return { bar: box.bar, onset: box.onsets[index]![0], until: box.onsets[index + 1]?.[0] };
}

/** A passage chosen by dragging from one note to another; handlers for each bar. */
export function useNoteDrag(
  boxes: readonly BarBox[],
  piece: Within,
  onSelect: (range: PassageRange) => void,
) {
  const begun = useRef<NoteUnder | undefined>(undefined);
  const choose = (one: NoteUnder, other: NoteUnder) => {
    const inOrder = one.bar < other.bar || (one.bar === other.bar && one.onset <= other.onset);
    const [first, last] = inOrder ? [one, other] : [other, one];
    onSelect(aroundNotes(piece, first, last, last.until));
  };
  return {
    onPointerDown: (event: PointerEvent) => {
      const note = event.button === 0 ? noteUnder(event, boxes) : undefined;
      begun.current = note;
      if (note) choose(note, note);
    },
    onPointerMove: (event: PointerEvent) => {
      const note = event.buttons === 1 ? noteUnder(event, boxes) : undefined;
      if (note && begun.current) choose(begun.current, note);
    },
  };
}
