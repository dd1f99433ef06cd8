import { alterInKey, LETTERS } from "~/core/units";
import type { DraftPitch } from "./draft";

const SIGNS: Readonly<Record<number, string>> = {
  [-2]: "flat-flat",
  [-1]: "flat",
  0: "natural",
  1: "sharp",
  2: "double-sharp",
};

/** Which accidental each pitch of a bar needs, in order; asked once for each note as it comes. */
export function accidentalsOfBar(fifths: number) {
  const standing = new Map<string, number>();
  return ({ letter, octave, alter }: DraftPitch): string | undefined => {
    const key = `${letter}${octave}`;
    const now = standing.get(key) ?? alterInKey(letter, fifths);
    standing.set(key, alter);
    return now === alter ? undefined : SIGNS[alter];
  };
}

const SEMITONES = [0, 2, 4, 5, 7, 9, 11];

/** A sounding pitch spelled in a key: by its scale, or with the sharps or flats that suit it. */
export function spelled(midi: number, fifths: number): DraftPitch {
  const inOctave = ((midi % 12) + 12) % 12;
  const candidates = LETTERS.flatMap((letter, i) =>
    [-1, 0, 1].flatMap((alter) => {
      const semitone = SEMITONES[i]! + alter;
      if ((semitone + 12) % 12 !== inOctave) return [];
      const octave = Math.floor((midi - alter) / 12) - 1;
      const inKey = alter === alterInKey(letter, fifths) ? 0 : 1;
      const against = alter !== 0 && Math.sign(alter) !== (fifths < 0 ? -1 : 1) ? 1 : 0;
      return [
        { pitch: { letter, alter, octave }, cost: 2 * inKey + against + Math.abs(alter) / 2 },
      ];
    }),
  );
  return candidates.sort((a, b) => a.cost - b.cost)[0]!.pitch;
}
