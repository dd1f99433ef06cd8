import { unreachable } from "~/core/result";
import type { Pattern, Recipe } from "./exercise";
import { CHORDS, scaleShape, type Degree } from "./scales";

/** What sounds at once, as degrees over the tonic. */
export type Sounds = readonly Degree[];

/** The n-th degree of a row that goes on through octaves; below 0 downwards. */
export function degreeAt(row: readonly Degree[], n: number): Degree {
  const octave = Math.floor(n / row.length);
  const [letters, semitones] = row[n - octave * row.length]!;
  return [letters + 7 * octave, semitones + 12 * octave];
}

const upTo = (count: number): number[] => Array.from({ length: count }, (_, n) => n);

/** Rows of an exercise: one for the way up and one for the way down, from below upwards. */
function rowsOf({ pattern, row }: Pick<Recipe, "pattern" | "row">): {
  up: readonly Degree[];
  down: readonly Degree[];
} {
  if (pattern.kind === "arpeggio") {
    const chord = CHORDS[pattern.chord];
    return { up: chord, down: chord };
  }
  if (pattern.kind === "sticking") return { up: [], down: [] };
  const { up, down = up } = scaleShape(pattern.scale, row);
  return { up, down };
}

/** The way up as positions in a row; several at once sound together. */
function positionsUp(pattern: Pattern, row: readonly Degree[]): number[][] {
  const { length } = row;
  switch (pattern.kind) {
    case "scale":
      return upTo(length * pattern.octaves + 1).map((n) => [n]);
    case "five-note":
      return upTo(5).map((n) => [n]);
    case "arpeggio": {
      const from = Math.min(pattern.inversion, length - 1);
      const span = length * pattern.octaves;
      if (pattern.form === "straight") return upTo(span + 1).map((n) => [from + n]);
      const groups = upTo(span + 1 - (length - 1)).map((n) =>
        upTo(length).map((k) => from + n + k),
      );
      return pattern.form === "blocked" ? groups : groups.flatMap((group) => group.map((n) => [n]));
    }
    case "intervals": {
      const wide = pattern.interval - 1;
      const feet = upTo(length * pattern.octaves + 1 - wide);
      return feet.flatMap((n) => (pattern.together ? [[n, n + wide]] : [[n], [n + wide]]));
    }
    case "degrees": {
      const high = Math.max(...pattern.figure);
      const feet = upTo(Math.max(1, length * pattern.octaves + 2 - high));
      return feet.flatMap((n) => pattern.figure.map((degree) => [n + degree - 1]));
    }
    case "repeated":
      return upTo(length * pattern.octaves + 1).flatMap((n) => upTo(pattern.times).map(() => [n]));
    case "shifts":
      return upTo(pattern.reach - 1).flatMap((n) => [[0], [n + 1]]);
    case "sticking":
      return [];
    default:
      return unreachable(pattern);
  }
}

/** The chord of a scale's tonic, over its octaves. */
const chordAfter = (pattern: Extract<Pattern, { kind: "scale" }>, minor: boolean): Pattern => ({
  kind: "arpeggio",
  chord: minor ? "minor" : "major",
  octaves: pattern.octaves,
  form: "straight",
  inversion: 0,
});

/** Everything that sounds, in order, as degrees over the tonic. */
export function soundsOf(recipe: Pick<Recipe, "pattern" | "direction" | "row">): Sounds[] {
  const { pattern, row } = recipe;
  const own = oneWay(recipe);
  if (pattern.kind !== "scale" || !pattern.arpeggio) return own;
  const { minor } = scaleShape(pattern.scale, row);
  return [...own, ...oneWay({ ...recipe, pattern: chordAfter(pattern, minor) })];
}

function oneWay(recipe: Pick<Recipe, "pattern" | "direction" | "row">): Sounds[] {
  const { pattern, direction } = recipe;
  const rows = rowsOf(recipe);
  const up = positionsUp(pattern, rows.up);
  const through = (row: readonly Degree[], positions: number[][]) =>
    positions.map((each) => each.map((n) => degreeAt(row, n)));
  const rising = through(rows.up, up);
  if (direction === "up") return rising;
  const falling = through(rows.down, up.toReversed());
  if (direction === "down") return falling;
  // The top is played once.
  return [...rising, ...falling.slice(1)];
}
