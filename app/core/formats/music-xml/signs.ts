import type { ScoreBar, TempoMark } from "~/core/score";
import { BEAT_UNIT_NAMES, NOTHING, sum, TEMPO_LIMITS, type BeatUnit } from "~/core/units";
import { child, childrenNamed, textOf, type XmlElement } from "../xml";
import { lengthOf, type Standing } from "./attributes";

const MOST_TIMES = 12;
const MOST_WORDS = 80;

/** "1, 2" and "1-3": the rounds of an ending. */
function roundsIn(text: string): number[] {
  return text.split(/[,\s]+/).flatMap((part) => {
    const match = /^(\d{1,2})(?:-(\d{1,2}))?\.?$/.exec(part);
    if (!match) return [];
    const [from, to] = [Number(match[1]), Number(match[2] ?? match[1])];
    return Array.from(
      { length: Math.max(0, Math.min(MOST_TIMES, to) - from + 1) },
      (_, i) => from + i,
    );
  });
}

export interface Signs {
  repeatFrom: boolean;
  repeatTimes: number;
  /** The ending that opens here. */
  ending: number[] | undefined;
  endingOver: boolean;
  readonly jumps: Set<ScoreBar["jumps"][number]>;
}

const SOUND_JUMPS = {
  segno: "segno",
  coda: "coda",
  fine: "fine",
  dacapo: "da-capo",
  dalsegno: "dal-segno",
  tocoda: "to-coda",
} as const;

function takeSound(sound: XmlElement, signs: Signs): void {
  for (const [name, jump] of Object.entries(SOUND_JUMPS)) {
    if (sound.attributes[name] && sound.attributes[name] !== "no") signs.jumps.add(jump);
  }
}

/** Whether a line or a page begins with a bar, as its maker printed it. */
export function printedAt(measure: XmlElement): Pick<ScoreBar, "begins"> {
  const asked = child(measure, "print")?.attributes;
  if (asked?.["new-page"] === "yes") return { begins: "page" };
  return asked?.["new-system"] === "yes" ? { begins: "line" } : {};
}

/** Repeats, endings and jumps that a bar of one part carries. */
export function takeSigns(measure: XmlElement, signs: Signs): void {
  for (const line of childrenNamed(measure, "barline")) {
    const repeat = child(line, "repeat")?.attributes;
    if (repeat?.direction === "forward") signs.repeatFrom = true;
    if (repeat?.direction === "backward") {
      signs.repeatTimes = Math.min(MOST_TIMES, Math.max(2, Number(repeat.times) || 2));
    }
    const ending = child(line, "ending")?.attributes;
    if (ending?.type === "start") signs.ending = roundsIn(ending.number ?? "");
    else if (ending) signs.endingOver = true;
    if (child(line, "segno")) signs.jumps.add("segno");
    if (child(line, "coda")) signs.jumps.add("coda");
  }
  for (const direction of childrenNamed(measure, "direction")) {
    const sound = child(direction, "sound");
    if (sound) takeSound(sound, signs);
    for (const type of childrenNamed(direction, "direction-type")) {
      if (child(type, "segno")) signs.jumps.add("segno");
      // A coda sign with "to coda" leads there; alone it is where that leads.
      if (child(type, "coda") && !sound?.attributes.tocoda) signs.jumps.add("coda");
    }
  }
  for (const sound of childrenNamed(measure, "sound")) takeSound(sound, signs);
}

const UNIT_NAMES = new Set<string>(BEAT_UNIT_NAMES);
const SIXTEENTH: Readonly<Record<string, string>> = { "16th": "sixteenth" };

function markIn(direction: XmlElement) {
  const types = childrenNamed(direction, "direction-type");
  const words = types.flatMap((type) =>
    childrenNamed(type, "words").map(({ text }) => text.trim()),
  );
  const metronome = types.map((type) => child(type, "metronome")).find(Boolean);
  if (!metronome) return { words, unit: null, bpm: null };
  const name = textOf(metronome, "beat-unit");
  const dotted = childrenNamed(metronome, "beat-unit-dot").length === 1 ? "dotted-" : "";
  const unit = `${dotted}${SIXTEENTH[name] ?? name}`;
  const number = /\d{1,3}(\.\d+)?/.exec(textOf(metronome, "per-minute"))?.[0];
  const bpm = Number(number);
  const { lowest, highest } = TEMPO_LIMITS;
  if (!number || !UNIT_NAMES.has(unit) || bpm < lowest || bpm > highest) {
    return { words, unit: null, bpm: null };
  }
  return { words, unit: unit as BeatUnit, bpm };
}

const TEMPO_WORDS =
  /^(a tempo|adag|alleg|all\.|andant|grave|larg|lent|mod|prest|rall|rit|riten|accel|tempo|vivac|viv|più|piu|meno|poco (rit|rall)|str|sostenuto|langsam|schnell|mäßig|massig|lebhaft|ruhig|slow|fast|steady|with)/i;

/** The tempo marks of a bar of the first part. */
export function tempiOf(measure: XmlElement, bar: number, standing: Standing): TempoMark[] {
  const marks: TempoMark[] = [];
  let at = NOTHING;
  for (const element of measure.children) {
    if (element.name === "note" && !child(element, "chord") && !child(element, "grace")) {
      at = sum(at, lengthOf(element, standing));
    }
    if (element.name === "forward") at = sum(at, lengthOf(element, standing));
    // Directions of a second voice stand where the first has been told already.
    if (element.name === "backup") break;
    if (element.name !== "direction") continue;
    const { words, unit, bpm } = markIn(element);
    const sounding = Number(child(element, "sound")?.attributes.tempo ?? NaN);
    const named = words
      .filter((text) => TEMPO_WORDS.test(text))
      .join(" ")
      .slice(0, MOST_WORDS);
    if (bpm !== null) {
      marks.push({ bar, onset: at, unit, bpm, words: words.join(" ").slice(0, MOST_WORDS) });
    } else if (sounding >= TEMPO_LIMITS.lowest && sounding <= TEMPO_LIMITS.highest) {
      marks.push({ bar, onset: at, unit: "quarter", bpm: sounding, words: named });
    } else if (named) marks.push({ bar, onset: at, unit: null, bpm: null, words: named });
  }
  return marks;
}
