import * as v from "valibot";

export const LETTERS = ["C", "D", "E", "F", "G", "A", "B"] as const;
export const MODES = ["major", "minor"] as const;

/** A key: its letter, the semitones by which an accidental moves it, its mode. */
export const keySchema = v.object({
  letter: v.picklist(LETTERS, "A key begins with a letter from A to G."),
  accidental: v.picklist([-1, 0, 1], "A key is sharp, flat or neither."),
  mode: v.picklist(MODES, "A key is major or minor."),
});
export type Key = v.InferOutput<typeof keySchema>;

const KEY_TEXT = /^\s*([A-Ga-g])\s*(#|♯|b|♭|-?sharp|-?flat)?\s*(major|maj|M|minor|min|m)?\.?\s*$/;
const ACCIDENTALS: Readonly<Record<string, Key["accidental"]>> = {
  "#": 1,
  "♯": 1,
  sharp: 1,
  b: -1,
  "♭": -1,
  flat: -1,
};

/**
 * Reads a key as musicians type it: "Eb", "f# minor", "B♭ major", "Am". A small letter alone is
 * minor. Undefined when it is none.
 */
export function parseKey(text: string): Key | undefined {
  const match = KEY_TEXT.exec(text);
  if (!match) return undefined;
  const [, letter, accidental = "", mode = ""] = match;
  const small = letter! !== letter!.toUpperCase();
  const isMinor = mode === "" ? small : mode === "m" || /^min/i.test(mode);
  return {
    letter: letter!.toUpperCase() as Key["letter"],
    accidental: ACCIDENTALS[accidental.replace("-", "")] ?? 0,
    mode: isMinor ? "minor" : "major",
  };
}

const SIGNS = { [-1]: "♭", 0: "", 1: "♯" } as const;

/** The note on which a key stands, as it is written: "E♭". */
export const formatTonic = ({ letter, accidental }: Pick<Key, "letter" | "accidental">): string =>
  `${letter}${SIGNS[accidental]}`;

/** The key as it is written: "E♭ major"; {@link parseKey} reads it again. */
export const formatKey = (key: Key): string => `${formatTonic(key)} ${key.mode}`;

const SEPARATORS = /[,;/\n]+/;
/** "F sharp minor": the most words of one key. */
const MOST_WORDS = 3;

/**
 * Reads a list of keys as musicians type it: "B minor, E♭, F♯m", or with spaces alone: "C G D".
 * What is no key is given back as it was typed.
 */
export function parseKeys(text: string): { readonly keys: Key[]; readonly unread: string[] } {
  const keys: Key[] = [];
  const unread: string[] = [];
  for (const part of text.split(SEPARATORS)) {
    const words = part.trim().split(/\s+/).filter(Boolean);
    while (words.length > 0) {
      const count = [MOST_WORDS, 2, 1].find((n) => parseKey(words.slice(0, n).join(" ")));
      if (count === undefined) unread.push(words.shift()!);
      else keys.push(parseKey(words.splice(0, count).join(" "))!);
    }
  }
  return { keys, unread };
}

const SHARP_ORDER = ["F", "C", "G", "D", "A", "E", "B"] as const;

/** Semitones by which a key with so many sharps (flats below 0) moves a letter. */
export function alterInKey(letter: Key["letter"], fifths: number): number {
  const place = SHARP_ORDER.indexOf(letter);
  if (fifths > 0) return place < fifths ? 1 : 0;
  return 6 - place < -fifths ? -1 : 0;
}
