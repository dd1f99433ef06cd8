import type { Span } from "./estimate";
import type { Level } from "./level";

/** The step above what was passed that may be told, where no ladder says one. */
const USUAL_STEP = 0.05;

/**
 * The highest tempo that may be called comfortable, in bpm: the fastest one passed clean plus a step,
 * the ladder's own or 5 %; before anything was passed the fastest clean play counts, of some of its
 * bars where the whole never was. Null where there was none either.
 */
export function mostComfortable(
  passed: number | undefined,
  { fastestClean, fastestPart }: Pick<Level, "fastestClean" | "fastestPart">,
  step: number | undefined,
): number | null {
  const fastest = passed ?? fastestClean ?? fastestPart;
  if (fastest === null) return null;
  return fastest + (step ?? fastest * USUAL_STEP);
}

/** A span as it is told: nothing of it above what may be called comfortable. */
export function notAbove(span: Span, most: number | null): Span {
  if (most === null) return span;
  const under = (tempo: number) => Math.min(tempo, most);
  return { value: under(span.value), low: under(span.low), high: under(span.high) };
}

/** Whether a ceiling may be told: while all of its span lies above that, nothing near it was tried. */
export const ceilingIsMet = ({ low }: Span, most: number | null): boolean =>
  most === null || low <= most;
