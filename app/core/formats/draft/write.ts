import { type Fraction, type Metre } from "~/core/units";
import { metronome } from "../metronome";
import { escapeXml } from "../xml";
import { accidentalsOfBar } from "./accidentals";
import { beamsOf, writtenLength } from "./beams";
import { CLEFS, type Draft, type DraftBar, type DraftEvent, type DraftPart } from "./draft";
import { valueLasting } from "./values";

/** Divides by everything up to tuplets of seven and 128ths. */
const DIVISIONS = 10_080;

const inDivisions = ([top, bottom]: Fraction): number => Math.round((4 * DIVISIONS * top) / bottom);

const element = (name: string, inside: string | number, marks = ""): string =>
  `<${name}${marks}>${inside}</${name}>`;

/** The draft as MusicXML, with beams and accidentals written out. */
export function writeMusicXml(draft: Draft): string {
  const list = draft.parts.map(({ name }, i) =>
    element("score-part", element("part-name", escapeXml(name)), ` id="P${i + 1}"`),
  );
  const parts = draft.parts.map((part, i) =>
    element("part", barsOf(part, draft.pickup), ` id="P${i + 1}"`),
  );
  return [
    '<?xml version="1.0" encoding="UTF-8"?><score-partwise version="4.0">',
    element("movement-title", escapeXml(draft.title)),
    element("identification", element("creator", escapeXml(draft.composer), ' type="composer"')),
    element("part-list", list.join("")),
    ...parts,
    "</score-partwise>",
  ].join("");
}

function barsOf(part: DraftPart, pickup: boolean): string {
  let metre: Metre = { beats: 4, unit: 4 };
  let fifths = 0;
  const ties = new Set<string>();
  return part.bars
    .map((bar, index) => {
      metre = bar.metre ?? metre;
      fifths = bar.key?.fifths ?? fifths;
      const number = index + (pickup ? 0 : 1);
      const marks = ` number="${number}"${number === 0 ? ' implicit="yes"' : ""}`;
      const inside = [
        leftLine(bar),
        attributesOf(part, bar, index === 0),
        tempoOf(bar),
        voicesOf(bar, { metre, fifths, staves: part.staves, ties }),
        rightLine(bar, index === part.bars.length - 1),
      ];
      return element("measure", inside.join(""), marks);
    })
    .join("");
}

function leftLine({ repeatFrom, ending }: DraftBar): string {
  const opens = ending?.opens ? `<ending number="${ending.numbers}" type="start"/>` : "";
  const repeat = repeatFrom ? '<repeat direction="forward"/>' : "";
  return opens || repeat
    ? element(
        "barline",
        `${repeat ? element("bar-style", "heavy-light") : ""}${opens}${repeat}`,
        ' location="left"',
      )
    : "";
}

function rightLine({ repeatTimes, ending, doubleLine }: DraftBar, last: boolean): string {
  const closes = ending?.closes ? `<ending number="${ending.numbers}" type="stop"/>` : "";
  const repeat = repeatTimes
    ? `<repeat direction="backward"${repeatTimes > 2 ? ` times="${repeatTimes}"` : ""}/>`
    : "";
  const style = repeat || last ? "light-heavy" : doubleLine ? "light-light" : "";
  if (!style && !closes) return "";
  const drawn = style ? element("bar-style", style) : "";
  return element("barline", `${drawn}${closes}${repeat}`, ' location="right"');
}

function attributesOf(part: DraftPart, { key, metre, clefs }: DraftBar, first: boolean): string {
  const inside = [
    first ? element("divisions", DIVISIONS) : "",
    key
      ? element(
          "key",
          element("fifths", key.fifths) + element("mode", key.minor ? "minor" : "major"),
        )
      : "",
    metre
      ? element(
          "time",
          element("beats", metre.groups?.join("+") ?? metre.beats) +
            element("beat-type", metre.unit),
        )
      : "",
    first && part.staves > 1 ? element("staves", part.staves) : "",
    ...(clefs ?? []).map((name, staff) => {
      const [sign, line, octave] = CLEFS[name];
      const moved = octave ? element("clef-octave-change", octave) : "";
      return element(
        "clef",
        element("sign", sign) + element("line", line) + moved,
        part.staves > 1 ? ` number="${staff + 1}"` : "",
      );
    }),
    first && part.transposition !== 0
      ? element("transpose", element("chromatic", part.transposition))
      : "",
  ].join("");
  return inside && element("attributes", inside);
}

function tempoOf({ tempo }: DraftBar): string {
  if (!tempo) return "";
  const type = (inside: string) => element("direction-type", inside);
  const words = tempo.words ? type(element("words", escapeXml(tempo.words))) : "";
  const { unit, bpm } = tempo;
  const mark = unit && bpm !== null ? type(metronome({ unit, bpm })) : "";
  return words || mark ? element("direction", words + mark, ' placement="above"') : "";
}

interface Standing {
  readonly metre: Metre;
  readonly fifths: number;
  readonly staves: number;
  /** The pitches that a tie leads to. */
  readonly ties: Set<string>;
}

function voicesOf(bar: DraftBar, { metre, fifths, staves, ties }: Standing): string {
  const accidental = accidentalsOfBar(fifths);
  return bar.voices
    .map((events, voice) => {
      const beams = beamsOf(events, metre);
      const back = inDivisions(
        bar.voices[voice - 1]?.reduce<Fraction>(
          ([a, b], { duration: [c, d] }) => [a * d + c * b, b * d],
          [0, 1],
        ) ?? [0, 1],
      );
      const before = voice > 0 && back > 0 ? element("backup", element("duration", back)) : "";
      const own = events.map((event, i) =>
        noteOf(event, { voice: voice + 1, beams: beams[i]!, accidental, staves, ties }),
      );
      return before + own.join("");
    })
    .join("");
}

interface Around {
  readonly voice: number;
  readonly beams: readonly string[];
  readonly accidental: ReturnType<typeof accidentalsOfBar>;
  readonly staves: number;
  readonly ties: Set<string>;
}

function noteOf(event: DraftEvent, around: Around): string {
  const { voice, beams, accidental, staves, ties } = around;
  const value = valueLasting(writtenLength(event));
  const { tuplet, slurs } = event;
  const staff = staves > 1 ? element("staff", event.staff ?? 1) : "";
  const shape = value ? element("type", value.type) + "<dot/>".repeat(value.dots) : "";
  const modified = tuplet
    ? element(
        "time-modification",
        element("actual-notes", tuplet.actual) + element("normal-notes", tuplet.normal),
      )
    : "";
  const length = element("duration", inDivisions(event.duration));
  const own = element("voice", voice);
  const edge = tuplet?.edge ? `<tuplet type="${tuplet.edge}" bracket="no"/>` : "";
  if (event.pitches.length === 0) {
    const notations = edge && element("notations", edge);
    return element("note", `<rest/>${length}${own}${shape}${modified}${staff}${notations}`);
  }
  const graces = (event.grace ?? []).map((pitch) =>
    element(
      "note",
      `<grace/>${pitchOf(pitch)}${own}${element("type", "eighth")}${signOf(accidental(pitch))}${staff}`,
    ),
  );
  const heads = event.pitches.map((pitch, i) => {
    const first = i === 0;
    const name = `${voice} ${pitch.letter}${pitch.alter}${pitch.octave}`;
    const stops = ties.delete(name);
    if (pitch.tied) ties.add(name);
    const tie = `${stops ? '<tie type="stop"/>' : ""}${pitch.tied ? '<tie type="start"/>' : ""}`;
    const marks = [
      stops ? '<tied type="stop"/>' : "",
      pitch.tied ? '<tied type="start"/>' : "",
      first ? edge : "",
      first ? '<slur type="stop"/>'.repeat(slurs?.stop ?? 0) : "",
      first ? '<slur type="start"/>'.repeat(slurs?.start ?? 0) : "",
    ].join("");
    return element(
      "note",
      [
        first ? "" : "<chord/>",
        pitchOf(pitch),
        length,
        tie,
        own,
        shape,
        stops ? "" : signOf(accidental(pitch)),
        modified,
        staff,
        first ? beams.map((beam, n) => element("beam", beam, ` number="${n + 1}"`)).join("") : "",
        marks && element("notations", marks),
        first && event.lyric ? element("lyric", element("text", escapeXml(event.lyric))) : "",
      ].join(""),
    );
  });
  return graces.join("") + heads.join("");
}

const signOf = (accidental: string | undefined): string =>
  accidental ? element("accidental", accidental) : "";

const pitchOf = ({ letter, alter, octave }: DraftEvent["pitches"][number]): string =>
  element(
    "pitch",
    element("step", letter) + (alter ? element("alter", alter) : "") + element("octave", octave),
  );
