import { TOLERANCE } from "~/core/units";
import type { PassageRange } from "./passage";
import { metreAt, type MetreRegion } from "./piece";

/** The bars and metres of a piece, within which a passage's edges are moved. */
export interface Within {
  readonly bars: number;
  readonly pickupBeats: number;
  readonly metres: readonly MetreRegion[];
}

const beatsOf = ({ metres }: Within, bar: number): number =>
  metreAt(metres, Math.max(1, bar)).beats;

/** Beats from the first beat of a passage's first bar (below 0: in the pickup) to its end. */
const isSomething = (piece: Within, range: PassageRange): boolean => {
  const { fromBar, toBar, startBeats, endBeats } = range;
  if (toBar < fromBar) return false;
  const end = endBeats === 0 ? beatsOf(piece, toBar) : endBeats;
  return fromBar < toBar || end > startBeats;
};

/** How many beats there are before a bar's first, to be played as its pickup. */
const roomBefore = (piece: Within, bar: number): number =>
  bar > 1 ? beatsOf(piece, bar - 1) : piece.pickupBeats;

/** A passage that begins a beat later (1) or earlier (-1); as it was where that can't be. */
export function startMoved(piece: Within, range: PassageRange, by: 1 | -1): PassageRange {
  const { fromBar, pickupBeats, startBeats } = range;
  let at = { fromBar, pickupBeats, startBeats };
  if (by > 0) {
    if (pickupBeats > 0) at = { ...at, pickupBeats: pickupBeats - 1 };
    else if (startBeats + 1 < beatsOf(piece, fromBar)) at = { ...at, startBeats: startBeats + 1 };
    else at = { fromBar: fromBar + 1, pickupBeats: 0, startBeats: 0 };
  } else if (startBeats > 0) {
    at = { ...at, startBeats: startBeats - 1 };
  } else {
    const room = roomBefore(piece, fromBar);
    if (pickupBeats + 1 < room || (fromBar === 1 && pickupBeats < room)) {
      at = { ...at, pickupBeats: pickupBeats + 1 };
    } else if (fromBar > 1) at = { fromBar: fromBar - 1, pickupBeats: 0, startBeats: 0 };
  }
  const moved = { ...range, ...at };
  return isSomething(piece, moved) ? moved : range;
}

/** A passage that ends a beat later (1) or earlier (-1); as it was where that can't be. */
export function endMoved(piece: Within, range: PassageRange, by: 1 | -1): PassageRange {
  const { toBar, endBeats } = range;
  const beats = beatsOf(piece, toBar);
  const end = (endBeats === 0 ? beats : endBeats) + by;
  let at = { toBar, endBeats: end === beats ? 0 : end };
  if (end > beats) {
    if (toBar === piece.bars) return range;
    at = { toBar: toBar + 1, endBeats: beatsOf(piece, toBar + 1) === 1 ? 0 : 1 };
  } else if (end === 0) at = { toBar: toBar - 1, endBeats: 0 };
  const moved = { ...range, ...at };
  return isSomething(piece, moved) ? moved : range;
}

/** A moment of a bar, in whole notes from its start. */
export interface Moment {
  readonly bar: number;
  readonly onset: number;
}

/**
 * The passage from one note to another: the beats in which they sound, and the beat before. `until`
 * is where the second note ends, in whole notes from its bar's start; undefined at the bar's end.
 */
export function aroundNotes(
  piece: Within,
  first: Moment,
  last: Moment,
  until: number | undefined,
): PassageRange {
  const begins = Math.floor(first.onset * metreAt(piece.metres, first.bar).unit + TOLERANCE);
  const { unit, beats } = metreAt(piece.metres, last.bar);
  const ends = until === undefined ? beats : Math.ceil(until * unit - TOLERANCE);
  return {
    fromBar: first.bar,
    toBar: last.bar,
    pickupBeats: begins === 0 && roomBefore(piece, first.bar) > 1 ? 1 : 0,
    startBeats: Math.max(0, begins - 1),
    endBeats: ends >= beats ? 0 : Math.max(1, ends),
  };
}
