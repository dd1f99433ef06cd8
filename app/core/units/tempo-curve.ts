import { TOLERANCE } from "./brand";

/**
 * A stretch of a bar, in whole notes from its bar line, at a speed that stands or moves evenly to
 * the ear. Speeds are shares of a base tempo; the same at both ends where it stands.
 */
export interface TempoPiece {
  readonly from: number;
  readonly to: number;
  readonly atFrom: number;
  readonly atTo: number;
}

/** A beat that is held, or a breath after it: so much longer, in whole notes at the speed there. */
export interface Hold {
  /** Where the music goes on, in whole notes from the bar line. */
  readonly at: number;
  readonly longer: number;
}

/**
 * The speed at a point of a stretch: v₀ (v₁/v₀)^(p/n). Equal steps of the music change it by equal
 * shares, which is how an even ritardando is heard.
 */
export function speedAt({ from, to, atFrom, atTo }: TempoPiece, at: number): number {
  if (atFrom === atTo) return atFrom;
  return atFrom * (atTo / atFrom) ** ((at - from) / (to - from));
}

/**
 * How long the music takes from the beginning of a stretch to a point of it, in whole notes at the
 * base tempo: the integral of 1 / speed, n / (v₀ ln r) · (1 − r^(−p/n)) with r = v₁/v₀.
 */
export function timeInto(piece: TempoPiece, at: number): number {
  const { from, to, atFrom, atTo } = piece;
  const [p, n] = [at - from, to - from];
  const log = Math.log(atTo / atFrom);
  // So small a change is none: the quotient would be 0 / 0.
  if (Math.abs(log) < TOLERANCE) return p / atFrom;
  return (-n / (atFrom * log)) * Math.expm1((-log * p) / n);
}

/**
 * The time from a bar line to a point of its bar, in whole notes at the base tempo. Pieces cover
 * the bar, one after the other; beyond the last its speed goes on.
 */
export function timeInBar(
  { pieces, holds }: { readonly pieces: readonly TempoPiece[]; readonly holds: readonly Hold[] },
  at: number,
): number {
  let time = 0;
  let last: TempoPiece | undefined;
  for (const piece of pieces) {
    if (piece.from >= at) break;
    time += timeInto(piece, Math.min(at, piece.to));
    last = piece;
  }
  if (last && at > last.to) time += (at - last.to) / last.atTo;
  for (const hold of holds) {
    if (hold.at > at + TOLERANCE) continue;
    const piece = pieces.find(({ to }) => hold.at <= to + TOLERANCE) ?? pieces.at(-1)!;
    time += hold.longer / speedAt(piece, Math.min(hold.at, piece.to));
  }
  return time;
}
