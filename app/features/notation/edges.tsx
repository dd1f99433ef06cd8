import type { KeyboardEvent, PointerEvent } from "react";
import {
  endMoved,
  metreAt,
  startMoved,
  type BarBox,
  type PassageRange,
  type Within,
} from "~/core/score";
import { notationWords } from "~/words/notation";
import { momentIn, percent } from "./places";
import styles from "./notation.module.css";

/** The first beat of a passage, and the beat at which it ends, by bar; beats from 0. */
export function edgesOf(piece: Within, range: PassageRange) {
  const { fromBar, toBar, pickupBeats, startBeats, endBeats } = range;
  const beatsOf = (bar: number) => metreAt(piece.metres, Math.max(1, bar)).beats;
  return {
    start:
      pickupBeats === 0
        ? { bar: fromBar, beat: startBeats }
        : fromBar > 1
          ? { bar: fromBar - 1, beat: beatsOf(fromBar - 1) - pickupBeats }
          : // The piece's own pickup holds no more than itself.
            { bar: 0, beat: piece.pickupBeats - pickupBeats },
    end: { bar: toBar, beat: endBeats === 0 ? beatsOf(toBar) : endBeats },
  };
}

interface EdgesProps {
  readonly piece: Within;
  readonly range: PassageRange;
  /** The bars of one system. */
  readonly boxes: readonly BarBox[];
  readonly onMove: (range: PassageRange) => void;
}

/** Where a passage begins and ends, to be moved from beat to beat with a pointer or the arrows. */
export function Edges({ piece, range, boxes, onMove }: EdgesProps) {
  return (["start", "end"] as const).map((which) => {
    const place = placeOf(piece, range, boxes, which);
    return place && <Edge key={which} {...{ piece, range, boxes, onMove, which, place }} />;
  });
}

/** Where an edge stands in a system; undefined where it stands in another one. */
function placeOf(
  piece: Within,
  range: PassageRange,
  boxes: readonly BarBox[],
  which: "start" | "end",
) {
  const { bar, beat } = edgesOf(piece, range)[which];
  const box = boxes.find((each) => each.bar === bar);
  if (!box) return undefined;
  const { unit, beats } = metreAt(piece.metres, Math.max(1, bar));
  const length = (bar === 0 ? piece.pickupBeats : beats) / unit;
  return { box, beat, at: momentIn(box, beat / unit, length) };
}

interface EdgeProps extends EdgesProps {
  readonly which: "start" | "end";
  readonly place: NonNullable<ReturnType<typeof placeOf>>;
}

function Edge({ piece, range, boxes, onMove, which, place }: EdgeProps) {
  const move = which === "start" ? startMoved : endMoved;
  const { box, beat, at } = place;
  const onKeyDown = (event: KeyboardEvent) => {
    const by = ({ ArrowLeft: -1, ArrowRight: 1 } as const)[event.key as "ArrowLeft"];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    onMove(move(piece, range, by));
  };
  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    event.preventDefault();
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    event.currentTarget.focus();
  };
  const onPointerMove = (event: PointerEvent<HTMLElement>) => {
    if (event.buttons !== 1) return;
    event.stopPropagation();
    const { left, width } = event.currentTarget.parentElement!.getBoundingClientRect();
    const to = (event.clientX - left) / width;
    onMove(nearest({ piece, boxes, which }, range, to));
  };
  return (
    <span
      role="slider"
      tabIndex={0}
      aria-label={notationWords.edge[which]}
      aria-valuenow={box.bar + beat / 100}
      aria-valuetext={notationWords.edgeAt[which](box.bar, beat)}
      className={`${styles.edge} ${styles[which]}`}
      style={{
        left: percent(at),
        top: percent(Math.max(0, box.top - box.height * 0.1)),
        height: percent(box.height * 1.2),
      }}
      {...{ onKeyDown, onPointerDown, onPointerMove }}
    />
  );
}

/** The passage whose edge is nearest to a share of the system's width. */
function nearest(
  { piece, boxes, which }: Pick<EdgeProps, "piece" | "boxes" | "which">,
  range: PassageRange,
  to: number,
): PassageRange {
  const move = which === "start" ? startMoved : endMoved;
  const far = (of: PassageRange) => {
    const place = placeOf(piece, of, boxes, which);
    return place ? Math.abs(place.at - to) : Infinity;
  };
  let best = range;
  for (const by of [1, -1] as const) {
    for (let next = move(piece, best, by); far(next) < far(best); next = move(piece, best, by)) {
      best = next;
    }
  }
  return best;
}
