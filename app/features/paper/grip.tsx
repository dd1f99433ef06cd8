import { useRef, type HTMLAttributes, type KeyboardEvent, type PointerEvent } from "react";

/** A place on a page, or a way across it, in shares of its width and height. */
export type Across = readonly [number, number];

interface GripProps extends HTMLAttributes<HTMLSpanElement> {
  /** Where on the page a pointer is. */
  readonly at: (event: PointerEvent) => Across;
  readonly onGrip: () => void;
  /** It is drawn to a place, and so far from where it was. */
  readonly onDraw: (to: Across, by: Across) => void;
  /** An arrow key moves it so far. */
  readonly onStep: (by: Across) => void;
  readonly onDelete: () => void;
}

/** So far an arrow key moves something. */
const STEP = 0.003;
const ARROWS: Readonly<Record<string, Across>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};

/** Something on a page that is moved with a pointer or the arrow keys. */
export function Grip({ at, onGrip, onDraw, onStep, onDelete, ...rest }: GripProps) {
  const held = useRef<Across | undefined>(undefined);
  const take = (event: PointerEvent<HTMLElement>) => {
    if (event.button !== 0) return;
    event.stopPropagation();
    event.preventDefault();
    event.currentTarget.setPointerCapture(event.pointerId);
    event.currentTarget.focus();
    held.current = at(event);
    onGrip();
  };
  const draw = (event: PointerEvent) => {
    const before = held.current;
    if (!before) return;
    const to = at(event);
    held.current = to;
    onDraw(to, [to[0] - before[0], to[1] - before[1]]);
  };
  const letGo = () => {
    held.current = undefined;
  };
  const step = (event: KeyboardEvent) => {
    const by = ARROWS[event.key];
    if (!by && event.key !== "Delete") return;
    event.preventDefault();
    event.stopPropagation();
    if (by) onStep(by);
    else onDelete();
  };
  return (
    <span
      {...rest}
      onPointerDown={take}
      onPointerMove={draw}
      onPointerUp={letGo}
      onPointerCancel={letGo}
      onKeyDown={step}
    />
  );
}
