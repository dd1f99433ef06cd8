import type { BeatUnit } from "~/core/units";
import { metronome } from "../metronome";
import { escapeXml } from "../xml";

/** What is written over a bar besides its notes. */
export interface SaidOverBar {
  /** Names of passages that begin here. */
  readonly rehearsal: readonly string[];
  readonly words: readonly string[];
  /** A tempo that begins here; left out where the notes have one of their own. */
  readonly tempo?: { readonly unit: BeatUnit; readonly bpm: number } | undefined;
}

const element = (name: string, inside: string | number): string => `<${name}>${inside}</${name}>`;
const direction = (types: string): string =>
  types && `<direction placement="above">${types}</direction>`;
const type = (inside: string): string => element("direction-type", inside);

function directionsOf({ rehearsal, words, tempo }: SaidOverBar, hasTempo: boolean): string {
  return [
    ...rehearsal.map((name) => direction(type(element("rehearsal", escapeXml(name))))),
    ...words.map((each) => direction(type(element("words", escapeXml(each))))),
    tempo && !hasTempo ? direction(type(metronome(tempo))) : "",
  ].join("");
}

const PART_END = "</part>";

/** Writes over the bars of the first part; bars carry the ids that `forEngraving` gives them. */
export function withSaid(
  musicXml: string,
  said: ReadonlyMap<number, SaidOverBar>,
  barId: (position: number) => string,
): string {
  const end = musicXml.indexOf(PART_END);
  let first = end < 0 ? musicXml : musicXml.slice(0, end);
  const others = musicXml.slice(first.length);
  for (const [bar, over] of said) {
    const opening = new RegExp(`<measure\\b[^>]*\\bid="${barId(bar)}"[^>]*>`).exec(first);
    if (!opening) continue;
    const at = opening.index + opening[0].length;
    const bars = first.slice(at);
    const inside = bars.slice(0, bars.indexOf("</measure>"));
    first = first.slice(0, at) + directionsOf(over, inside.includes("<metronome")) + bars;
  }
  return first + others;
}
