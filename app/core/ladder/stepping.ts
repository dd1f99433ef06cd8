import { nearestPlayable, type Bpm } from "~/core/units";
import type { Rung } from "./rung";

/** Whether two rungs play the same thing, so that only the tempo tells them apart. */
const alike = (a: Rung, b: Rung): boolean =>
  a.phase === b.phase &&
  a.stage === b.stage &&
  a.task?.name === b.task?.name &&
  a.links?.from === b.links?.from &&
  a.links?.to === b.links?.to;

/** The stretch around a rung in which the tempo only rises and the same thing is played. */
function stretchAround(rungs: readonly Rung[], index: number): { first: number; last: number } {
  const goesOn = (at: number) => {
    const [a, b] = [rungs[at], rungs[at + 1]];
    return a !== undefined && b !== undefined && alike(a, b) && b.tempo > a.tempo;
  };
  let first = index;
  let last = index;
  while (goesOn(first - 1)) first--;
  while (goesOn(last)) last++;
  return { first, last };
}

/**
 * Live stepping up from a rung on which `played` was played. A tempo nudged by hand finds its way
 * back: the next rung of the stretch that is faster, else the one after the stretch. Of a list those
 * that have `passed` before are left out. Undefined at the top.
 */
export function rungAfter(
  rungs: readonly Rung[],
  index: number,
  played: Bpm,
  passed: ReadonlySet<number> = new Set(),
): Rung | undefined {
  const { first, last } = stretchAround(rungs, index);
  for (let at = first; at <= last; at++) {
    if (rungs[at]!.tempo > played) return rungs[at];
  }
  const next = rungs[last + 1];
  // Lowered in the middle of a list, it goes on where the list was left.
  if (!next?.task?.listed || !rungs[index]!.task?.listed) return next;
  return rungs.slice(last + 1).find((rung) => !rung.task?.listed || !passed.has(rung.index));
}

/** Of the ladder's own start: nothing slower is offered. */
const LEAST_OF_START = 0.5;

/**
 * Slower than today's first rung, in bpm: its tempo less the step that follows it, then half of the
 * `start` that is set with the ladder; undefined where that is what is played already. (Half of
 * today's first tempo would halve again from day to day where today starts where it ended.)
 */
export function belowFirst(rungs: readonly Rung[], played: Bpm, start: Bpm): Bpm | undefined {
  const first = rungs[0]!.tempo;
  const half = nearestPlayable(start * LEAST_OF_START);
  const step = (rungs.find(({ tempo }) => tempo > first)?.tempo ?? first) - first;
  const less = step > 0 ? nearestPlayable(Math.max(half, first - step)) : half;
  return [less, half].find((tempo) => tempo < played);
}

/** In a list that is gone through at each rung: the same task at the slower tempo. */
function sameTask(rungs: readonly Rung[], { task, phase }: Rung, slower: Rung): Rung | undefined {
  if (!task?.listed) return undefined;
  const isSame = (rung: Rung) =>
    rung.phase === phase && rung.tempo === slower.tempo && rung.task?.name === task.name;
  return rungs.slice(0, slower.index + 1).findLast(isSame);
}

/**
 * Live stepping down: back past `steps` rungs that are slower than what was played, each slower
 * than the one before; where none is slower (the tempo stays), simply `steps` rungs back. The
 * first rung holds.
 */
export function rungBefore(
  rungs: readonly Rung[],
  index: number,
  played: Bpm,
  steps: number,
): Rung | undefined {
  const { last } = stretchAround(rungs, index);
  let found: Rung | undefined;
  let slower: number = played;
  let left = steps;
  for (let at = last; at >= 0 && left > 0; at--) {
    const rung = rungs[at]!;
    if (rung.tempo >= slower) continue;
    found = rung;
    slower = rung.tempo;
    left--;
  }
  if (!found) return rungs[Math.max(0, index - steps)];
  return sameTask(rungs, rungs[index]!, found) ?? found;
}
