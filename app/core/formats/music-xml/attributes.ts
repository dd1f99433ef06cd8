import { barLength, fraction, NOTHING, parseMetre, type Fraction, type Metre } from "~/core/units";
import { child, childrenNamed, textOf, wholeOf, type XmlElement } from "../xml";

/** What holds from bar to bar in one part. */
export interface Standing {
  divisions: number;
  metre: Metre;
  /** Whether a metre was written at all; bars without one are taken as they are. */
  metreWritten: boolean;
  fifths: number;
  minor: boolean;
  staves: number;
  /** Semitones from written to sounding. */
  transposition: number;
}

export const atFirst = (): Standing => ({
  divisions: 1,
  metre: { beats: 4, unit: 4 },
  metreWritten: false,
  fifths: 0,
  minor: false,
  staves: 1,
  transposition: 0,
});

export type Tell = (what: string) => void;

/** A length in the part's divisions as a share of a whole note; what is no length is nothing. */
export function lengthOf(element: XmlElement, { divisions }: Standing): Fraction {
  const text = textOf(element, "duration");
  if (!/^\d{1,9}(\.\d{1,6})?$/.test(text)) return NOTHING;
  const [whole, part = ""] = text.split(".");
  const scale = 10 ** part.length;
  return fraction(Number(whole) * scale + Number(part || 0), 4 * divisions * scale);
}

/** 2/4, 2+3/8, and several of them in a row as one in their smallest unit. */
function metreOf(time: XmlElement): Metre | undefined {
  const tops = childrenNamed(time, "beats").map(({ text }) => text.replace(/\s/g, ""));
  const units = childrenNamed(time, "beat-type").map(({ text }) => Number(text.trim()));
  if (tops.length === 1) return parseMetre(`${tops[0]}/${units[0]}`);
  const unit = Math.max(...units);
  const groups = tops.flatMap((top, i) =>
    top.split("+").map((beats) => Number(beats) * (unit / (units[i] ?? unit))),
  );
  return parseMetre(`${groups.join("+")}/${unit}`);
}

/** Takes over what a bar says of divisions, key, metre, staves and transposition. */
export function takeAttributes(element: XmlElement, standing: Standing, tell: Tell): void {
  const divisions = Number(textOf(element, "divisions") || NaN);
  if (divisions > 0 && divisions <= 100_000) standing.divisions = Math.round(divisions);
  else if (child(element, "divisions")) tell("a length of the beat that can't be");
  const key = child(element, "key");
  const fifths = wholeOf(key, "fifths");
  if (fifths !== undefined && Math.abs(fifths) <= 7) {
    standing.fifths = fifths;
    standing.minor = textOf(key, "mode") === "minor";
  } else if (key) tell("a key that isn't one of the usual ones");
  const time = child(element, "time");
  if (time && child(time, "senza-misura")) standing.metreWritten = false;
  else if (time) {
    const metre = metreOf(time);
    if (metre && barLength(metre) > 0) {
      standing.metre = metre;
      standing.metreWritten = true;
    } else tell("a metre that can't be");
  }
  const staves = wholeOf(element, "staves");
  if (staves !== undefined && staves >= 1 && staves <= 8) standing.staves = staves;
  const transpose = child(element, "transpose");
  if (transpose) {
    const octaves = wholeOf(transpose, "octave-change") ?? 0;
    const doubled = child(transpose, "double") ? -12 : 0;
    standing.transposition = (wholeOf(transpose, "chromatic") ?? 0) + 12 * octaves + doubled;
  }
}
