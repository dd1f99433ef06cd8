import { METRONOME_MARKS, nearestPlayable, type Bpm } from "~/core/units";
import type { Path } from "./school";

/** A row of tempi that a school moves along by so many places. */
export interface Scale {
  /** So many places above a tempo of the scale; ends at 400 bpm. */
  readonly from: (at: Bpm, places: number) => Bpm;
}

/** Plain bpm, so many to a place. */
export const bpmScale = (unit: number): Scale => ({
  from: (at, places) => nearestPlayable(at + places * unit),
});

/** The metronome marks, with the start and the target among them. */
export function markScale({ start, target }: Pick<Path, "start" | "target">): Scale {
  const scale = [...new Set([...METRONOME_MARKS, start, target])].sort((a, b) => a - b);
  return {
    from: (at, places) => {
      const index = scale.indexOf(at) + places;
      return scale[Math.min(scale.length - 1, Math.max(0, index))]!;
    },
  };
}
