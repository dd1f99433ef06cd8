import type { ScoreNote } from "~/core/score";
import { compare, difference, larger, LETTERS, NOTHING, sum, type Fraction } from "~/core/units";
import { child, childrenNamed, textOf, wholeOf, type XmlElement } from "../xml";
import { lengthOf, takeAttributes, type Standing, type Tell } from "./attributes";

/** The notes of one part's bar and how far it reaches. */
export interface PartBar {
  readonly notes: ScoreNote[];
  readonly length: Fraction;
  /** The notes' elements, in the same order. */
  readonly elements: XmlElement[];
}

const SEMITONES = { C: 0, D: 2, E: 4, F: 5, G: 7, A: 9, B: 11 } as const;
const LETTER = new Set<string>(LETTERS);

/** Letter, alteration and octave as written; undefined where the note has none of its own. */
function pitchOf(note: XmlElement) {
  const pitch = child(note, "pitch");
  if (!pitch) return undefined;
  const letter = textOf(pitch, "step");
  const octave = wholeOf(pitch, "octave");
  if (!LETTER.has(letter) || octave === undefined || octave < -1 || octave > 10) return undefined;
  const alter = Number(textOf(pitch, "alter") || 0);
  if (!Number.isFinite(alter) || Math.abs(alter) > 3) return undefined;
  return { letter: letter as ScoreNote["letter"], alter, octave };
}

function hitOf(note: XmlElement) {
  const unpitched = child(note, "unpitched");
  if (!unpitched) return undefined;
  const letter = textOf(unpitched, "display-step");
  return {
    letter: (LETTER.has(letter) ? letter : "B") as ScoreNote["letter"],
    alter: 0,
    octave: wholeOf(unpitched, "display-octave") ?? 4,
  };
}

const typesOf = (elements: readonly XmlElement[]) =>
  new Set(elements.map(({ attributes }) => attributes.type));

function slurOf(note: XmlElement): ScoreNote["slur"] {
  const slurs = childrenNamed(note, "notations").flatMap((each) => childrenNamed(each, "slur"));
  const types = typesOf(slurs);
  if (types.has("start") && types.has("stop")) return "both";
  return types.has("start") ? "start" : types.has("stop") ? "stop" : "none";
}

function tiesOf(note: XmlElement) {
  const tied = childrenNamed(note, "notations").flatMap((each) => childrenNamed(each, "tied"));
  const types = typesOf([...childrenNamed(note, "tie"), ...tied]);
  return { tiedFrom: types.has("start"), tiedTo: types.has("stop") };
}

/** The notes of a bar of one part; what is written over is told by `tell`. */
export function notesOfBar(
  measure: XmlElement,
  part: number,
  standing: Standing,
  tell: Tell,
): PartBar {
  const found: { readonly note: ScoreNote; readonly element: XmlElement }[] = [];
  let at = NOTHING;
  let length = NOTHING;
  /** Where the last note that was no part of a chord began. */
  let struck = NOTHING;
  const reach = (to: Fraction) => {
    at = to;
    if (compare(at, length) > 0) length = at;
  };
  for (const element of measure.children) {
    switch (element.name) {
      case "attributes":
        takeAttributes(element, standing, tell);
        break;
      case "backup": {
        const back = difference(at, lengthOf(element, standing));
        if (back[0] < 0) tell("a voice that begins before its bar");
        at = back[0] < 0 ? NOTHING : back;
        break;
      }
      case "forward":
        reach(sum(at, lengthOf(element, standing)));
        break;
      case "note": {
        const grace = child(element, "grace") !== undefined;
        const chord = child(element, "chord") !== undefined;
        const duration = grace ? NOTHING : lengthOf(element, standing);
        if (!grace && duration[0] === 0) tell("a note without a length");
        if (!chord) struck = at;
        const pitch = pitchOf(element) ?? hitOf(element);
        const silent = child(element, "rest") !== undefined || child(element, "cue") !== undefined;
        if (!pitch && !silent) tell("a note without a pitch");
        if (pitch && !silent) {
          const { transposition, staves } = standing;
          const octave = 12 * (pitch.octave + 1);
          const midi = octave + SEMITONES[pitch.letter] + pitch.alter + transposition;
          const note: ScoreNote = {
            part,
            staff: Math.min(staves, Math.max(1, wholeOf(element, "staff") ?? 1)),
            voice: textOf(element, "voice") || "1",
            onset: chord ? struck : at,
            duration,
            ...pitch,
            midi: child(element, "unpitched") ? null : midi,
            grace,
            ...tiesOf(element),
            slur: slurOf(element),
          };
          found.push({ note, element });
        }
        // A chord's notes begin together; one that lasts longer than the first reaches further.
        if (chord) length = larger(length, sum(struck, duration));
        else reach(sum(at, duration));
        break;
      }
      default:
    }
  }
  found.sort((a, b) => compare(a.note.onset, b.note.onset));
  return {
    notes: found.map(({ note }) => note),
    elements: found.map(({ element }) => element),
    length,
  };
}
