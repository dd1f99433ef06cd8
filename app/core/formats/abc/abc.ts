import abcjs from "abcjs";
import * as v from "valibot";
import { err, ok, type Result } from "~/core/result";
import { barLength, valueOf } from "~/core/units";
import { CLEFS, type Draft, type DraftBar, type DraftClef, type DraftPart } from "../draft";
import { elementOf, tuneSchema, type AbcTune } from "./parsed";
import { keyOf } from "./pitch";
import { metreOf, tempoOf, Voice } from "./voice";
import { splitVoices } from "./voices";

/** Whether a text is ABC: it has the field by which every tune begins. */
export const looksLikeAbc = (text: string): boolean => /^(%abc.*|X:\s*\d+)\s*$/m.test(text);

const MOST_TEXT = 2_000_000;

/** The first tune of an ABC file; a sentence where there is none. */
export function readAbc(text: string): Result<Draft, string> {
  if (text.length > MOST_TEXT) return err("It is too long to be a tune.");
  const unread = new Map<string, { bar: number; what: string }>();
  const tell = (bar: number, what: string) => unread.set(`${bar} ${what}`, { bar, what });
  const voices = splitVoices(text).flatMap(({ name, text: alone }) => {
    const tune = parsed(alone);
    return tune ? [{ name, tune, ...voiceOf(tune, tell) }] : [];
  });
  const written = voices.filter(({ voice }) => voice.bars.length > 0);
  const [first] = written;
  if (!first) return err("There is no bar in it.");
  const { title, composer, tempo } = first.tune.metaText;
  return ok({
    title: asText(title),
    composer: asText(composer),
    pickup: isPickup(first.voice),
    parts: written.map(({ name, voice, clef }, index): DraftPart => ({
      name: name || (index === 0 ? "Melody" : `Voice ${index + 1}`),
      transposition: 0,
      staves: 1,
      bars: voice.bars.map(({ events, length: _, ...bar }, i): DraftBar => {
        const opening = i === 0 ? { clefs: [clef] } : {};
        const marked = i === 0 && index === 0 && tempo ? { tempo: tempoOf(tempo) } : {};
        return { ...marked, ...bar, voices: [events], ...opening };
      }),
    })),
    unread: [...unread.values()],
  });
}

function parsed(text: string): AbcTune | undefined {
  try {
    const read = v.safeParse(v.tuple([tuneSchema]), abcjs.parseOnly(text));
    return read.success ? read.output[0] : undefined;
  } catch {
    return undefined;
  }
}

const asText = (value: unknown): string => (typeof value === "string" ? value : "");

const CLEF_NAMES = new Set<string>(Object.keys(CLEFS));

function voiceOf({ lines }: AbcTune, tell: (bar: number, what: string) => void) {
  const voice = new Voice(tell);
  let clef: DraftClef | undefined;
  for (const { staff } of lines) {
    const [own] = staff ?? [];
    if (!own) continue;
    const { type = "" } = own.clef ?? {};
    voice.opens(clef ? undefined : own.key && keyOf(own.key), own.meter && metreOf(own.meter));
    clef ??= CLEF_NAMES.has(type) ? (type as DraftClef) : "treble";
    if (own.voices.length > 1) tell(voice.bars.length + 1, "a voice written over another");
    for (const raw of own.voices[0] ?? []) {
      const element = elementOf(raw);
      if (element) voice.take(element);
    }
  }
  voice.ends();
  return { voice, clef: clef ?? ("treble" as const) };
}

function isPickup({ bars }: Voice): boolean {
  const [first] = bars;
  if (!first?.metre || bars.length < 2) return false;
  return valueOf(first.length) < barLength(first.metre);
}
