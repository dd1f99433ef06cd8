import type { BarDifficulty, PassageState } from "~/core/score";
import { count } from "./counts";
import { music } from "./music";

interface BarTold {
  readonly label: string;
  readonly metre: string;
  readonly fifths: number;
  readonly notes: number;
  readonly flawed: number;
  readonly mark: PassageState | undefined;
}

const KEYS = ["none", "one", "two", "three", "four", "five", "six", "seven"];

/** What is said of notes on a page. */
export const notationWords = {
  choose: "Bars of the score: drag over them, or arrows and Shift",
  signs: (fifths: number) =>
    fifths === 0
      ? "no sharps or flats"
      : `${KEYS[Math.abs(fifths)]} ${fifths > 0 ? "sharp" : "flat"}${Math.abs(fifths) > 1 ? "s" : ""}`,
  bar: (told: BarTold) =>
    [
      told.label ? `bar ${told.label}` : "a bar without a number",
      told.metre,
      notationWords.signs(told.fifths),
      count(told.notes, "note"),
      ...(told.mark ? [music.barMark[told.mark]] : []),
      ...(told.flawed > 0 ? [`flawed ${count(told.flawed, "time")}`] : []),
    ].join(", "),
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
  noneFailed: "No flaw was told with its bar in these days.",
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
  fileHelp: "MusicXML (.musicxml, .xml, .mxl), ABC or MIDI, up to 20 MB.",
  fromFile: "From a file",
  open: "Read it and open its bars",
  layOut: "Lay the notes under these bars",
  newEdition: "Another edition",
  replace: "Put this edition in its place",
  takeOver: "Take over bars, metre and tempo from the file",
  renumbered: "Numbered otherwise than before; passages stay where they were:",
  renumberedBar: (bar: number, was: string, is: string) =>
    `bar ${bar} was printed as ${was || "no number"}, now as ${is || "no number"}`,
  chooseParts: "Part that is played",
  byHand: "Or by its bars alone",
} as const;
