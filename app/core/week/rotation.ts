import { daysBetween, type Day, type Key } from "~/core/units";

type Spelled = readonly [Key["letter"], Key["accidental"]];

/** Keys by pitch class from C, as they are usually spelled. */
const MAJOR: readonly Spelled[] = [
  ["C", 0],
  ["D", -1],
  ["D", 0],
  ["E", -1],
  ["E", 0],
  ["F", 0],
  ["F", 1],
  ["G", 0],
  ["A", -1],
  ["A", 0],
  ["B", -1],
  ["B", 0],
];
const MINOR = MAJOR.with(1, ["C", 1]).with(8, ["G", 1]);
const CLASSES = MAJOR.length;
const NATURAL = { C: 0, D: 2, E: 4, F: 5, G: 7, A: 9, B: 11 } as const;

const FIFTH = 7;
const RELATIVE = 3;

export const ROTATIONS = ["fifths-up", "fifths-down", "chromatic", "relative-pairs"] as const;
export type Rotation = (typeof ROTATIONS)[number];

const classOf = ({ letter, accidental }: Key): number =>
  (NATURAL[letter] + accidental + CLASSES) % CLASSES;

function spelled(pitchClass: number, mode: Key["mode"]): Key {
  const at = ((pitchClass % CLASSES) + CLASSES) % CLASSES;
  const [letter, accidental] = (mode === "major" ? MAJOR : MINOR)[at]!;
  return { letter, accidental, mode };
}

/** The major and the minor key with the same signs. */
const relativeOf = (key: Key): Key =>
  key.mode === "major"
    ? spelled(classOf(key) - RELATIVE, "minor")
    : spelled(classOf(key) + RELATIVE, "major");

/** All keys of a mode, or all pairs, beginning with one of them; the first as it was given. */
export function rotation(from: Key, kind: Rotation): Key[] {
  const step = { "fifths-up": FIFTH, "fifths-down": -FIFTH, chromatic: 1, "relative-pairs": FIFTH };
  const row = Array.from({ length: CLASSES }, (_, n) =>
    n === 0 ? from : spelled(classOf(from) + n * step[kind], from.mode),
  );
  return kind === "relative-pairs" ? row.flatMap((key) => [key, relativeOf(key)]) : row;
}

/**
 * The key of the week on `day`, when the first key belongs to the week that began on `since`; the
 * list goes round. Undefined for an empty list.
 */
export function keyOfWeek(keys: readonly Key[], since: Day, day: Day): Key | undefined {
  if (keys.length === 0) return undefined;
  const weeks = Math.floor(daysBetween(since, day) / 7);
  return keys[((weeks % keys.length) + keys.length) % keys.length];
}

/**
 * The list as it goes on in a week that begins on another day: by calendar weeks, whether there was
 * a lesson in each or not, and by one at least.
 */
export function turned(keys: readonly Key[], since: Day, next: Day): Key[] {
  if (keys.length === 0) return [];
  const weeks = Math.max(1, Math.round(daysBetween(since, next) / 7)) % keys.length;
  return [...keys.slice(weeks), ...keys.slice(0, weeks)];
}
