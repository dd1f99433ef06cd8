import { MOST_BARS, type Score, type ScoreBar, type ScoreNote, type ScorePart } from "~/core/score";
import { err, ok, type Result } from "~/core/result";
import {
  compare,
  fraction,
  larger,
  NOTHING,
  parseMetre,
  type Fraction,
  type Metre,
} from "~/core/units";
import { child, childrenNamed, textOf, type XmlElement } from "../xml";
import { atFirst, type Standing } from "./attributes";
import { notesOfBar, type PartBar } from "./notes";
import { partwise } from "./partwise";
import { printedAt, takeSigns, tempiOf, type Signs } from "./signs";

export interface ReadScore {
  readonly score: Score;
  /** The notes of each bar, of all parts. */
  readonly notes: ScoreNote[][];
  /** The document, bar by bar in each part. */
  readonly document: XmlElement;
  /** The elements of the notes that are told, of each bar and part. */
  readonly elements: XmlElement[][][];
  /** When in its bar the note of each of these elements begins. */
  readonly onsets: ReadonlyMap<XmlElement, Fraction>;
}

const MOST_TEXT = 200;
const MOST_PARTS = 64;
const MOST_UNREAD = 200;

const clean = (text: string): string => text.replace(/\s+/g, " ").trim().slice(0, MOST_TEXT);

function titleOf(document: XmlElement): string {
  const credit = childrenNamed(document, "credit").find(
    (each) => textOf(each, "credit-type") === "title",
  );
  const texts = [
    textOf(document, "movement-title"),
    textOf(child(document, "work"), "work-title"),
    textOf(credit, "credit-words"),
  ];
  return clean(texts.find(Boolean) ?? "");
}

const composerOf = (document: XmlElement): string => {
  const creators = childrenNamed(child(document, "identification") ?? document, "creator");
  const composer = creators.find(({ attributes }) => attributes.type === "composer");
  return clean((composer ?? creators[0])?.text ?? "");
};

const lengthOfMetre = ({ beats, unit }: Metre): Fraction => fraction(beats, unit);

/** Where none is written, a bar is as long as it is: in quarters, or in what it ends on. */
const metreOfLength = ([beats, unit]: Fraction): Metre | undefined =>
  parseMetre(4 % unit === 0 ? `${(beats * 4) / unit}/4` : `${beats}/${unit}`);

/** Reads a MusicXML document; a sentence where it holds no music. */
export function readMusicXml(source: XmlElement): Result<ReadScore, string> {
  const turned = partwise(source);
  if (!turned.ok) return turned;
  const document = turned.value;
  const listed = childrenNamed(child(document, "part-list") ?? document, "score-part");
  const parts = childrenNamed(document, "part");
  const count = Math.max(0, ...parts.map((part) => childrenNamed(part, "measure").length));
  if (parts.length === 0 || count === 0) return err("There is no bar in it.");
  if (parts.length > MOST_PARTS) return err(`Fidus reads up to ${MOST_PARTS} parts.`);
  if (count > MOST_BARS) return err(`Fidus reads up to ${MOST_BARS} bars; there are ${count}.`);

  const unread = new Map<string, { bar: number; what: string }>();
  const standings = parts.map(atFirst);
  const measures = parts.map((part) => childrenNamed(part, "measure"));
  const bars: ScoreBar[] = [];
  const notes: ScoreNote[][] = [];
  const elements: XmlElement[][][] = [];
  const onsets = new Map<XmlElement, Fraction>();
  const tempi: Score["tempi"] = [];
  const endings = { open: [] as number[] };
  let pickup = false;
  for (let index = 0; index < count; index++) {
    const tell = (what: string) => {
      const bar = index + (pickup ? 0 : 1);
      if (unread.size < MOST_UNREAD) unread.set(`${bar} ${what}`, { bar, what });
    };
    const read = readColumn(measures, index, standings, tell);
    const first = measures[0]?.[index];
    const { fifths, minor, metreWritten } = standings[0]!;
    const free = metreWritten ? undefined : metreOfLength(read.length);
    const metre = free ?? standings[0]!.metre;
    const asked = lengthOfMetre(metre);
    const length = read.length[0] === 0 ? asked : read.length;
    if (index === 0) pickup = compare(length, asked) < 0 && count > 1;
    else if (compare(length, asked) > 0) tell("more than its metre holds");
    bars.push({
      label: clean(first?.attributes.number ?? ""),
      length,
      metre,
      fifths,
      minor,
      ...signsOf(measures, index, endings),
      ...(first && printedAt(first)),
      notes: read.elements.map((ofPart) => ofPart.length),
    });
    notes.push(read.notes);
    elements.push(read.elements);
    for (const [element, onset] of read.onsets) onsets.set(element, onset);
    if (first) tempi.push(...tempiOf(first, index + (pickup ? 0 : 1), standings[0]!));
  }
  tieUp(notes, (index, what) => {
    const bar = index + (pickup ? 0 : 1);
    if (unread.size < MOST_UNREAD) unread.set(`${bar} ${what}`, { bar, what });
  });
  const score: Score = {
    title: titleOf(document),
    composer: composerOf(document),
    pickup,
    bars,
    parts: parts.map((part, i) => partOf(part, listed, standings[i]!, { index: i, notes })),
    tempi,
    unread: [...unread.values()],
  };
  return ok({ score, notes, document, elements, onsets });
}

function partOf(
  part: XmlElement,
  listed: readonly XmlElement[],
  { staves, transposition }: Standing,
  { index, notes }: { readonly index: number; readonly notes: readonly (readonly ScoreNote[])[] },
): ScorePart {
  const id = part.attributes.id ?? "";
  const name = clean(
    textOf(
      listed.find(({ attributes }) => attributes.id === id),
      "part-name",
    ),
  );
  return {
    id: id || `P${index + 1}`,
    name: name || `Part ${index + 1}`,
    staves,
    voices: mostVoices(notes.flat().filter(({ part: of }) => of === index)),
    transposition,
  };
}

/** How many voices the fullest staff has. */
function mostVoices(notes: readonly ScoreNote[]): number {
  const byStaff = new Map<number, Set<string>>();
  for (const { staff, voice } of notes) {
    byStaff.set(staff, (byStaff.get(staff) ?? new Set()).add(voice));
  }
  return Math.max(1, ...[...byStaff.values()].map(({ size }) => size));
}

/** One bar of all parts. */
function readColumn(
  measures: readonly XmlElement[][],
  index: number,
  standings: readonly Standing[],
  tell: (what: string) => void,
) {
  let length: Fraction = NOTHING;
  const columns: PartBar[] = measures.map((ofPart, part) => {
    const measure = ofPart[index];
    if (!measure) return { notes: [], elements: [], length: NOTHING };
    return notesOfBar(measure, part, standings[part]!, tell);
  });
  for (const column of columns) length = larger(length, column.length);
  return {
    length,
    notes: columns
      .flatMap((column) => column.notes)
      .sort((a, b) => compare(a.onset, b.onset) || a.part - b.part),
    elements: columns.map((column) => column.elements),
    onsets: columns.flatMap(({ notes, elements }) =>
      elements.map((element, n) => [element, notes[n]!.onset] as const),
    ),
  };
}

function signsOf(
  measures: readonly XmlElement[][],
  index: number,
  endings: { open: number[] },
): Pick<ScoreBar, "repeatFrom" | "repeatTimes" | "endings" | "jumps"> {
  const signs: Signs = {
    repeatFrom: false,
    repeatTimes: 1,
    ending: undefined,
    endingOver: false,
    jumps: new Set(),
  };
  for (const ofPart of measures) if (ofPart[index]) takeSigns(ofPart[index], signs);
  if (signs.ending) endings.open = signs.ending;
  const here = endings.open;
  if (signs.endingOver) endings.open = [];
  const { repeatFrom, repeatTimes, jumps } = signs;
  return { repeatFrom, repeatTimes, endings: here, jumps: [...jumps] };
}

/** A tie ends at the next note of its pitch; one that doesn't is let go, and told. */
function tieUp(notes: ScoreNote[][], tell: (index: number, what: string) => void): void {
  const open = new Map<string, { readonly index: number; readonly note: ScoreNote }>();
  notes.forEach((bar, index) =>
    bar.forEach((note) => {
      const key = `${note.part} ${note.letter}${note.alter} ${note.octave}`;
      const begun = open.get(key);
      if (note.tiedTo && !begun) note.tiedTo = false;
      if (begun && note.tiedTo) open.delete(key);
      if (note.tiedFrom && !note.grace) open.set(key, { index, note });
    }),
  );
  for (const { index, note } of open.values()) {
    note.tiedFrom = false;
    tell(index, "a tie that leads to no note");
  }
}
