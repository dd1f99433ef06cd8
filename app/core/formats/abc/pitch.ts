import { alterInKey, LETTERS } from "~/core/units";
import type { DraftKey, DraftPitch } from "../draft";
import type { AbcKey } from "./parsed";

const ALTERS: Readonly<Record<string, number>> = {
  sharp: 1,
  flat: -1,
  natural: 0,
  dblsharp: 2,
  dblflat: -2,
};

/** The key of a tune: by the signs it writes, whatever mode it is called. */
export function keyOf({ accidentals = [], mode = "" }: AbcKey): DraftKey {
  const sharps = accidentals.filter(({ acc }) => acc === "sharp").length;
  const flats = accidentals.filter(({ acc }) => acc === "flat").length;
  return { fifths: sharps - flats, minor: /^(m|min|minor|aeo)/i.test(mode) };
}

/** The pitches of a bar: an accidental holds to the bar line, as it is read in ABC. */
export function pitchesOfBar(key: DraftKey) {
  const standing = new Map<number, number>();
  return ({
    pitch,
    accidental,
  }: {
    pitch: number;
    accidental?: string | undefined;
  }): DraftPitch => {
    const letter = LETTERS[((pitch % 7) + 7) % 7]!;
    const given = accidental === undefined ? undefined : ALTERS[accidental];
    const alter = given ?? standing.get(pitch) ?? alterInKey(letter, key.fifths);
    standing.set(pitch, alter);
    return { letter, alter, octave: 4 + Math.floor(pitch / 7) };
  };
}
