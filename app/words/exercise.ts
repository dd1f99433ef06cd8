import type { Pattern, Recipe, Rhythm } from "~/core/exercise";
import { count } from "./counts";

const scales: Readonly<Record<Extract<Pattern, { kind: "scale" }>["scale"], string>> = {
  major: "major",
  "natural-minor": "natural minor",
  "harmonic-minor": "harmonic minor",
  "melodic-minor": "melodic minor",
  dorian: "Dorian",
  phrygian: "Phrygian",
  lydian: "Lydian",
  mixolydian: "Mixolydian",
  "major-pentatonic": "major pentatonic",
  "minor-pentatonic": "minor pentatonic",
  blues: "blues",
  "whole-tone": "whole tone",
  chromatic: "chromatic",
  typed: "typed in degrees",
};
const chords: Readonly<Record<Extract<Pattern, { kind: "arpeggio" }>["chord"], string>> = {
  major: "major",
  minor: "minor",
  diminished: "diminished",
  augmented: "augmented",
  "dominant-7": "dominant seventh",
  "major-7": "major seventh",
  "minor-7": "minor seventh",
  "half-diminished-7": "half-diminished seventh",
  "diminished-7": "diminished seventh",
};
const INTERVALS = [
  "",
  "",
  "seconds",
  "thirds",
  "fourths",
  "fifths",
  "sixths",
  "sevenths",
  "octaves",
];

/** What exercises are for, by how they were made or what kind of piece they are. */
const TECHNIQUES: Readonly<Record<string, string>> = {
  scale: "scales",
  arpeggio: "chords",
  "five-note": "five notes",
  intervals: "intervals",
  degrees: "figures",
  repeated: "repeated notes",
  shifts: "shifts",
  sticking: "sticking",
  piece: "pieces",
  etude: "études",
  drill: "drills",
};

/** What is said where an exercise is made. */
export const exerciseWords = {
  title: "Make an exercise",
  for: (name: string) =>
    `For ${name}. It is written out in any key; a week may take its keys round.`,
  open: "Make a scale or an exercise",
  kinds: {
    scale: "a scale",
    arpeggio: "a chord",
    "five-note": "five notes",
    intervals: "intervals",
    degrees: "a figure of degrees",
    repeated: "repeated notes",
    shifts: "shifts up one string",
    sticking: "strokes of the sticks",
  } satisfies Record<Pattern["kind"], string>,
  what: "What it is",
  scale: "Scale",
  scales,
  chord: "Chord",
  chords,
  forms: { straight: "note by note", broken: "broken", blocked: "as chords" },
  form: "Played",
  inversion: "Begins on chord tone",
  interval: "Interval",
  intervals: (degrees: number) => INTERVALS[degrees] ?? "",
  together: "both notes at once",
  figure: "Figure",
  figureHow: "Degrees, moved up one by one: 1 2 3 1",
  octaves: "Octaves",
  arpeggioAfter: "its chord after it",
  row: "Degrees of the scale",
  rowHow: "Of the major scale: 1 ♭2 3 4 5 ♭6 ♭7",
  hands: "Sticking",
  handsHow: "R L R R L R L L, over and over",
  times: "Times",
  reach: "Up to degree",
  tonic: "On",
  tonicHow: "C, E♭, F♯",
  direction: "Direction",
  directions: { up: "up", down: "down", "up-down": "up and down" },
  rhythm: "Rhythm",
  rhythms: {
    whole: "whole notes",
    half: "half notes",
    quarter: "quarter notes",
    eighth: "eighth notes",
    triplet: "triplets",
    sixteenth: "sixteenth notes",
    dotted: "dotted",
    "three-three-two": "eighths, 3 + 3 + 2",
    ladder: "from whole notes to sixteenths",
  } satisfies Record<Rhythm, string>,
  words: "Articulation, in words",
  compass: "Compass, as written",
  lowest: "Lowest note",
  highest: "Highest note",
  clef: "Clef",
  reads: "Instrument reads",
  clefs: { treble: "treble", bass: "bass", alto: "alto", tenor: "tenor" },
  bothHands: "both hands, an octave apart",
  tempo: "Tempo, quarter notes",
  name: "Name",
  noTonic: "A key begins with a letter: C, E♭, F♯.",
  fromLibrary: "From the library, not done lately",
  libraryEmpty:
    "The library has no exercises yet. Keep a piece with its passages there, and three that were not done lately are drawn from it here.",
  technique: "Technique",
  anyTechnique: "any",
  techniqueOf: (name: string): string => TECHNIQUES[name] ?? name,
  find: "In the name",
  drawThree: "Draw three",
  noneFound: "There is no such exercise in the library.",
  never: "never done",
  lastDone: (day: string) => `last done on ${day}`,
  hear: "Hear it",
  stop: "Stop",
  submit: "Lay it on the stand",
  notes: "Its notes",
  named: (recipe: Pick<Recipe, "pattern">, tonic: string): string => {
    const { pattern } = recipe;
    const over = "octaves" in pattern ? `, ${count(pattern.octaves, "octave")}` : "";
    switch (pattern.kind) {
      case "scale":
        return `${tonic} ${scales[pattern.scale]} scale${over}`;
      case "arpeggio":
        return `${tonic} ${chords[pattern.chord]} chord${over}`;
      case "five-note":
        return `Five notes on ${tonic} ${scales[pattern.scale]}`;
      case "intervals":
        return `${tonic} ${scales[pattern.scale]} in ${INTERVALS[pattern.interval]}${over}`;
      case "degrees":
        return `${pattern.figure.join(" ")} on ${tonic} ${scales[pattern.scale]}${over}`;
      case "repeated":
        return `${tonic} ${scales[pattern.scale]}, each note ${pattern.times} times${over}`;
      case "shifts":
        return `Shifts on ${tonic} ${scales[pattern.scale]}`;
      case "sticking":
        return `Sticking ${pattern.hands.join(" ")}`;
    }
  },
} as const;
