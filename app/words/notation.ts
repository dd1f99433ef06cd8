import { count } from "./counts";

const KEYS = ["none", "one", "two", "three", "four", "five", "six", "seven"];

/** What is said of notes on a page. */
export const notationWords = {
  choose: "Bars of the score: drag over them, or arrows and Shift",
  label: (bars: number) => `The score, ${count(bars, "bar")}`,
  signs: (fifths: number) =>
    fifths === 0
      ? "no sharps or flats"
      : `${KEYS[Math.abs(fifths)]} ${fifths > 0 ? "sharp" : "flat"}${Math.abs(fifths) > 1 ? "s" : ""}`,
  bar: (label: string, metre: string, fifths: number, notes: number, flawed: number) =>
    [
      label ? `bar ${label}` : "a bar without a number",
      metre,
      notationWords.signs(fifths),
      count(notes, "note"),
      ...(flawed > 0 ? [`flawed ${count(flawed, "time")}`] : []),
    ].join(", "),
  pickup: "pickup",
  page: (page: number, of: number) => `Page ${page} of ${of}`,
  coming: "The notes are being engraved …",
  away: "The notes can't be shown at the moment; everything else works. Reload the page to try again.",
  from: (file: string) => `From ${file}`,
  original: "the file as it came",
  part: "Part",
  allParts: "Show all parts",
  onePart: (name: string) => `Show ${name} alone`,
  unreadTitle: "What could not be read",
  unread: (bar: number, what: string) => `${bar === 0 ? "Pickup" : `Bar ${bar}`}: ${what}.`,
  unreadLead:
    "The rest is here as it was written. What is listed is left out, or taken as well as it could be.",
  file: "A file with notes",
  fileHelp: "MusicXML (.musicxml, .xml, .mxl), ABC or MIDI, up to 20 MB.",
  fromFile: "From a file",
  fromFileLead:
    "Title, bars, metre and tempo are read from it, and passages are cut on the notes themselves.",
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
