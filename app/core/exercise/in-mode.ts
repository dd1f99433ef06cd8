import type { Key } from "~/core/units";
import type { Pattern, Recipe } from "./exercise";
import { isMinorChord, scaleShape } from "./scales";

/** A pattern as it goes in major or minor: what is of the other mode takes the usual one of this. */
function patternIn({ pattern, row }: Recipe, mode: Key["mode"]): Pattern {
  if (pattern.kind === "sticking") return pattern;
  if (pattern.kind === "arpeggio") {
    const { chord } = pattern;
    if (isMinorChord(chord) === (mode === "minor")) return pattern;
    if (chord === "major" || chord === "minor") return { ...pattern, chord: mode };
    return pattern;
  }
  if (scaleShape(pattern.scale, row).minor === (mode === "minor")) return pattern;
  if (["chromatic", "whole-tone", "typed"].includes(pattern.scale)) return pattern;
  return { ...pattern, scale: mode === "minor" ? "harmonic-minor" : "major" };
}

/** An exercise for a key that goes round: the same thing, in its mode. */
export const inMode = (recipe: Recipe, mode: Key["mode"]): Recipe => ({
  ...recipe,
  pattern: patternIn(recipe, mode),
});
