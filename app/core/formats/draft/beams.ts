import { fraction, NOTHING, sum, valueOf, type Fraction, type Metre } from "~/core/units";
import type { DraftEvent } from "./draft";
import { valueLasting } from "./values";

/** Where in a bar a beam may end, in whole notes: the groups, dotted beats, or beats. */
function groupEnds({ beats, unit, groups }: Metre): number[] {
  const lengths = groups ?? (unit >= 8 && beats % 3 === 0 ? threes(beats) : ones(beats));
  let at = 0;
  return lengths.map((length) => (at += length) / unit);
}
const ones = (beats: number) => Array.from({ length: beats }, () => 1);
const threes = (beats: number) => Array.from({ length: beats / 3 }, () => 3);

export type Beam = "begin" | "continue" | "end" | "forward hook" | "backward hook";

export const writtenLength = ({ duration, tuplet }: DraftEvent): Fraction =>
  tuplet ? fraction(duration[0] * tuplet.actual, duration[1] * tuplet.normal) : duration;

/** The beams of each event of a voice, first level first; none for what stands alone. */
export function beamsOf(events: readonly DraftEvent[], metre: Metre): Beam[][] {
  const ends = groupEnds(metre);
  let at: Fraction = NOTHING;
  const flags: number[] = [];
  const group: number[] = [];
  for (const event of events) {
    const beams = valueLasting(writtenLength(event))?.beams ?? 0;
    flags.push(event.pitches.length === 0 ? 0 : beams);
    group.push(ends.findIndex((end) => valueOf(at) < end));
    at = sum(at, event.duration);
  }
  const joined = (a: number, b: number, level: number) =>
    group[a] === group[b] && (flags[a] ?? 0) >= level && (flags[b] ?? 0) >= level;
  return events.map((_, i) =>
    Array.from({ length: flags[i]! }, (_, n): Beam | undefined => {
      const level = n + 1;
      const before = i > 0 && joined(i - 1, i, level);
      const after = joined(i, i + 1, level);
      if (before && after) return "continue";
      if (after) return "begin";
      if (before) return "end";
      // A shorter note beside a longer one has a stub towards it.
      if (level === 1) return undefined;
      if (i > 0 && joined(i - 1, i, 1)) return "backward hook";
      return joined(i, i + 1, 1) ? "forward hook" : undefined;
    }).filter((beam) => beam !== undefined),
  );
}
