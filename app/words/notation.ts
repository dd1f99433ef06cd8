import type { BarDifficulty, PassageNotes, PassageState } from "~/core/score";
import { count } from "./counts";
import { music } from "./music";

const KEYS = ["none", "one", "two", "three", "four", "five", "six", "seven"];

/** What is said of notes on a page. */
export const notationWords = {
  choose: "Bars of the score: drag over them, or arrows and Shift",
  signs: (fifths: number) =>
    fifths === 0
      ? "no sharps or flats"
      : `${KEYS[Math.abs(fifths)]} ${fifths > 0 ? "sharp" : "flat"}${Math.abs(fifths) > 1 ? "s" : ""}`,
  bar: (
    label: string,
    metre: string,
    read?: { readonly fifths: number; readonly notes: number },
  ): string =>
    [
      label ? `bar ${label}` : "a bar without a number",
      metre,
      ...(read ? [notationWords.signs(read.fifths), count(read.notes, "note")] : []),
    ].join(", "),
  /** What is put behind it: how it goes, and how often it failed. */
  barGoes: (mark: PassageState | undefined, flawed: number): string =>
    [
      ...(mark ? [music.barMark[mark]] : []),
      ...(flawed > 0 ? [`flawed ${count(flawed, "time")}`] : []),
    ]
      .map((each) => `, ${each}`)
      .join(""),
  readOnce: "Read it once, mark the trouble",
  readOnceHow:
    "Play or read the piece through once, slowly, and touch the bars as they come: a touch for one, a drag for several.",
  noMark: "no mark",
  brush: "What the next bars get",
  readDone: "Done",
  proposals: "Passages from your marks",
  proposalsHow: "Neighbouring bars that don't go yet, or nearly, at most eight together.",
  hardest: (bar: number) => `hardest: bar ${bar}`,
  take: "Take it",
  change: "Change it",
  leave: "Leave it",
  failed: (there: number, all: number, bars: string) =>
    `Tinted by flaws: ${there} of ${count(all, "flaw")} told with their bar fell in ${bars}.`,
  failedOn: (beats: readonly { bar: number; beat: number; flawed: number }[]) =>
    `Told on a beat: ${beats
      .map(({ bar, beat, flawed }) => `bar ${bar}, beat ${beat} (${count(flawed, "time")})`)
      .join("; ")}.`,
  noneFailed: "No flaw was told with its bar in these days.",
  cutHere: "Cut here, joined at the top",
  cutThere: "Choose these bars",
  flawsOf: "Flaws of",
  flawDays: { 7: "the last week", 28: "the last four weeks", 365: "the last year" } as Readonly<
    Record<number, string>
  >,
  profile: "How hard the notes of each bar are",
  profileHow: "Taller: more in it. Press a bar to see why.",
  why: (bar: string, hard: BarDifficulty) =>
    `Bar ${bar}: ${[
      `${hard.perSecond.toFixed(1)} notes a second at the tempo of performance`,
      ...(hard.widestLeap > 5 ? [`a leap of ${count(hard.widestLeap, "semitone")}`] : []),
      ...(hard.outsideKey > 0 ? [`${count(hard.outsideKey, "note")} outside the key`] : []),
      ...(hard.lengths > 2 ? [`${hard.lengths} different lengths`] : []),
      ...(hard.handsApart ? ["hands that cross or move against each other"] : []),
    ].join(", ")}.`,
  pickup: "pickup",
  edge: { start: "Where the passage begins", end: "Where the passage ends" },
  edgeAt: {
    start: (bar: number, beat: number) =>
      `${bar === 0 ? "pickup" : `bar ${bar}`}, beat ${beat + 1}`,
    end: (bar: number, beat: number) => `after beat ${beat} of bar ${bar}`,
  },
  byNotes: "From note to note",
  byBars: "By whole bars",
  withRepeats: (bars: number) => `With its repeats: ${count(bars, "bar")} as played`,
  playedWithRepeats: "with repeats",
  onlyNotes: "Which notes",
  only: {
    all: "all of them",
    upper: "upper staff (right hand)",
    lower: "lower staff (left hand)",
    "voice-1": "first voice",
    "voice-2": "second voice",
  },
  /** How a passage is called that is not all of its bars. */
  called: (bars: string, beats: string, only: PassageNotes) =>
    [
      bars,
      beats,
      {
        all: "",
        upper: "right hand",
        lower: "left hand",
        "voice-1": "first voice",
        "voice-2": "second voice",
      }[only],
    ]
      .filter(Boolean)
      .join(", "),
  beats: (from: number, to: number) => (from === to ? `beat ${from}` : `beats ${from}–${to}`),
  fromBeat: (beat: number) => `from beat ${beat}`,
  toBeat: (beat: number) => `to beat ${beat}`,
  page: (page: number, of: number) => `Page ${page} of ${of}`,
  coming: "The notes are being engraved …",
  away: "The notes can't be shown at the moment; everything else works. Reload the page to try again.",
  from: (file: string) => `From ${file}`,
  original: "the file as it came",
  allParts: "Show all parts",
  onePart: (name: string) => `Show ${name} alone`,
  unreadTitle: "What could not be read",
  unread: (bar: number, what: string) => `${bar === 0 ? "Pickup" : `Bar ${bar}`}: ${what}.`,
  unreadLead:
    "The rest is here as it was written. What is listed is left out, or taken as well as it could be.",
  file: "A file with notes",
  fileHelp:
    "Notes as MusicXML (.musicxml, .xml, .mxl), ABC or MIDI; or pages of paper as PDF, PNG or JPEG. Up to 20 MB.",
  fromFile: "From a file",
  open: "Read it and open its bars",
  layOut: "Lay the notes under these bars",
  newEdition: "Another edition",
  replace: "Put this edition in its place",
  takeOver: "Take over bars, metre and tempo from the file",
  renumbered: "Numbered otherwise than before; passages stay where they were:",
  renumberedBar: (bar: number, was: string, is: string) =>
    `bar ${bar} was printed as ${was || "no number"}, now as ${is || "no number"}`,
  pages: {
    drawing: (page: number) => `Page ${page} is being drawn …`,
    sending: "The pages are being sent …",
    noPicture: (name: string) => `${name} is neither a PNG nor a JPEG picture.`,
    tooLarge: (name: string) => `${name} has more than 60 megapixels; make it smaller first.`,
    tooMany: (pages: number) => `At most 40 pages; these are ${pages}. Take out what isn't needed.`,
    damaged: (name: string) => `${name} can't be opened: it is damaged or locked with a password.`,
    mixed: "Pages and files of notes can't be read together; choose one kind.",
    tooHeavy: "The file is larger than 20 MB.",
    drawTitle: "Where the bars are",
    drawHow:
      "Drag from the upper left to the lower right corner of a system, then say how many bars it has. Lines can be moved; numbering runs on from system to system.",
    typed: "Metre and tempo can't be read from paper: they are typed under “Edit the piece”.",
    page: (page: number) => `Page ${page}`,
    surface: (page: number) => `Page ${page}: drag to draw a system of bars`,
    system: (from: number, to: number) =>
      from === to ? `System with bar ${from}` : `System with bars ${from}–${to}`,
    bars: "Bars",
    line: (bar: number) => `Bar line before bar ${bar}`,
    lastLine: (bar: number) => `End of bar ${bar}`,
    edge: { top: "Upper edge", bottom: "Lower edge" },
    another: "One more like it",
    takeOut: "Take out",
    keep: (bars: number) => `Keep ${count(bars, "bar")}`,
    stop: "Leave it as it was",
    again: "Draw the bars again",
    notYet: "The bars of its pages are not drawn yet.",
    none: "No system is drawn on this page yet.",
    from: "Pages from ",
    files: (name: string) => `${name} as it came`,
    replace: "Other pages, or notes",
    replaceNow: "Put them in their place",
  },
  chooseParts: "Part that is played",
  byHand: "Or by its bars alone",
} as const;
