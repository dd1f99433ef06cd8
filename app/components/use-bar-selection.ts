import { useRef, useState, type KeyboardEvent, type PointerEvent } from "react";

export interface BarRange {
  readonly fromBar: number;
  readonly toBar: number;
}

/** Bars with the beats that are played before them, left out of the first, or left of the last. */
export interface BeatRange extends BarRange {
  readonly pickupBeats: number;
  readonly startBeats: number;
  readonly endBeats: number;
}

export const wholeBars = ({ fromBar, toBar }: BarRange): BeatRange => ({
  fromBar,
  toBar,
  pickupBeats: 0,
  startBeats: 0,
  endBeats: 0,
});

const barUnder = (event: PointerEvent): number | undefined => {
  const under = document.elementFromPoint(event.clientX, event.clientY);
  const bar = under?.closest<HTMLElement>("[data-bar]")?.dataset.bar;
  return bar === undefined ? undefined : Number(bar);
};

/**
 * Bars chosen by dragging over them, or with the arrow keys (Shift extends); each is marked with
 * `data-bar` and gets the handlers of `bar`.
 */
export function useBarSelection(
  first: number,
  last: number,
  selection: BarRange | undefined,
  onSelect: ((range: BarRange) => void) | undefined,
) {
  const anchor = useRef<number | undefined>(undefined);
  const [focused, setFocused] = useState(first);

  const extend = (to: number) => {
    const from = anchor.current ?? to;
    onSelect?.({ fromBar: Math.min(from, to), toBar: Math.max(from, to) });
  };
  const begin = (at: number) => {
    anchor.current = at;
    extend(at);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const by = { ArrowRight: 1, ArrowLeft: -1, Home: first - focused, End: last - focused }[
      event.key
    ];
    if (by === undefined) return;
    event.preventDefault();
    const to = Math.min(last, Math.max(first, focused + by));
    setFocused(to);
    if (event.shiftKey) extend(to);
    else begin(to);
    event.currentTarget.querySelector<HTMLElement>(`[data-bar="${to}"]`)?.focus();
  };

  return {
    container: onSelect ? { onKeyDown } : {},
    bar: (number: number) => ({
      tabIndex: number === focused ? 0 : -1,
      onFocus: () => setFocused(number),
      onPointerDown: (event: PointerEvent<HTMLElement>) => {
        if (event.button !== 0) return;
        setFocused(number);
        if (event.shiftKey && selection) extend(number);
        else begin(number);
      },
      onPointerMove: (event: PointerEvent<HTMLElement>) => {
        if (event.buttons !== 1) return;
        const under = barUnder(event);
        if (under !== undefined) extend(under);
      },
    }),
  };
}
