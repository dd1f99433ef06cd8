import { barPulses, type BeatMap, type MapBar } from "~/core/click";
import { TOLERANCE, type Metre } from "~/core/units";

/** A note as it sounds: where in which bar, and for how long, in whole notes. */
export interface TrackNote {
  readonly bar: number;
  readonly at: number;
  readonly lasts: number;
  /** 60 for the middle C. */
  readonly midi: number;
}

/** A tone in seconds from the beginning of its loop. */
export interface Tone {
  readonly at: number;
  readonly seconds: number;
  readonly midi: number;
}

/** Points of a bar: whole notes from its line, and the second. */
type Point = readonly [wholes: number, at: number];

/** The beats of a bar as points; of a bar that begins within, the last ones. */
function pointsOf({ part, beats, start, duration, unit }: MapBar, metre: Metre): Point[] {
  const all = barPulses(metre, unit).filter(({ voice }) => voice !== "subdivision");
  const skipped = part === "lead" ? all.length - beats.length : 0;
  const points = beats.map((at, index): Point => [all[index + skipped]?.at ?? 0, at]);
  if (points.length > 1) return points;
  return [...points, [metre.beats / metre.unit, start + duration]];
}

/** The second at a point of a bar; between beats, and behind the last, as evenly as they go. */
function secondAt(points: readonly Point[], wholes: number): { at: number; perWhole: number } {
  const next = points.findIndex(([from], index) => index > 0 && from > wholes + TOLERANCE);
  const index = next < 0 ? points.length - 1 : next;
  const [from, begins] = points[index - 1]!;
  const [to, ends] = points[index]!;
  const perWhole = (ends - begins) / (to - from);
  return { at: begins + (wholes - from) * perWhole, perWhole };
}

/**
 * The notes of a loop as tones, in the order in which they sound; what lies before the playing
 * begins or behind its end is left out. Short links that are played in turns have none.
 */
export function tonesOf(
  map: BeatMap,
  notes: readonly TrackNote[],
  metres: ReadonlyMap<number, Metre>,
): Tone[] {
  const moment = (name: string) => map.markers.find((marker) => marker.name === name)?.at;
  const began = moment("play-began") ?? 0;
  const ended = moment("play-ended") ?? map.duration;
  const tones: Tone[] = [];
  for (const bar of map.bars) {
    const metre = metres.get(bar.number);
    if ((bar.part !== "play" && bar.part !== "lead") || bar.turn || !metre) continue;
    const points = pointsOf(bar, metre);
    for (const { at: wholes, lasts, midi } of notes.filter((note) => note.bar === bar.number)) {
      const { at, perWhole } = secondAt(points, wholes);
      if (at < began - TOLERANCE || at > ended - TOLERANCE) continue;
      tones.push({ at, seconds: Math.min(lasts * perWhole, ended - at), midi });
    }
  }
  return tones.sort((one, other) => one.at - other.at);
}
