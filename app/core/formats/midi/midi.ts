import { ok, type Result } from "~/core/result";
import { fraction, parseMetre, type Fraction, type Metre } from "~/core/units";
import {
  spelled,
  valueLasting,
  valuesFor,
  type Draft,
  type DraftBar,
  type DraftClef,
  type DraftEvent,
  type DraftPart,
} from "../draft";
import { readMidiFile, type MidiMusic, type MidiTrack } from "./file";
import { STEPS, struckNotes, type Struck } from "./notes";

const DRUMS = 9;
const MOST_BARS = 2000;
const WHOLE = 4 * STEPS;

interface Bar {
  readonly from: number;
  readonly to: number;
  readonly metre: Metre;
  readonly newMetre: boolean;
}

/** The bars of a piece that lasts so many steps, by the metres of the file. */
function barsOf({ metres, perQuarter }: MidiMusic, length: number): Bar[] {
  const changes = metres.flatMap(({ tick, beats, unit }) => {
    const metre = parseMetre(`${beats}/${unit}`);
    return metre ? [{ at: (tick * STEPS) / perQuarter, metre }] : [];
  });
  const bars: Bar[] = [];
  let metre: Metre = { beats: 4, unit: 4 };
  let from = 0;
  while ((from < length || bars.length === 0) && bars.length < MOST_BARS) {
    const change = changes.findLast(({ at }) => at <= from + 0.5)?.metre;
    const newMetre = bars.length === 0 || (change !== undefined && change !== metre);
    metre = change ?? metre;
    const to = from + (WHOLE * metre.beats) / metre.unit;
    bars.push({ from, to, metre, newMetre });
    from = to;
  }
  return bars;
}

/** Reads a MIDI file as it would be written: each track a part, drawn to the nearest 32nds and triplets. */
export function readMidi(bytes: Uint8Array): Result<Draft, string> {
  const file = readMidiFile(bytes);
  if (!file.ok) return file;
  const music = file.value;
  const unread: { bar: number; what: string }[] = [];
  const pitched = music.tracks
    .map(({ name, notes }) => ({ name, notes: notes.filter(({ channel }) => channel !== DRUMS) }))
    .filter(({ notes }) => notes.length > 0);
  if (pitched.length < music.tracks.length) unread.push({ bar: 1, what: "a track of drums" });
  if (pitched.length === 0) return { ok: false, error: "There is no note with a pitch in it." };
  const read = pitched.map((track) => ({ track, ...struckNotes(track.notes, music.perQuarter) }));
  const length = Math.max(...read.map(({ struck }) => struck.at(-1)!.to));
  const bars = barsOf(music, length);
  for (const { track, shortened } of read) {
    const inBars = new Set(shortened.map((step) => bars.findIndex(({ to }) => step < to) + 1));
    for (const bar of inBars) {
      unread.push({ bar, what: `${track.name}: a note held below others, written shorter` });
    }
  }
  return ok({
    title: "",
    composer: "",
    pickup: false,
    parts: read.map(({ track, struck }, index) => partOf(music, bars, track, struck, index === 0)),
    unread,
  });
}

function partOf(
  { keys, perQuarter, tempo }: MidiMusic,
  bars: readonly Bar[],
  { name, notes }: MidiTrack,
  struck: readonly Struck[],
  first: boolean,
): DraftPart {
  const keyAt = (step: number) =>
    keys.findLast(({ tick }) => (tick * STEPS) / perQuarter <= step + 0.5) ?? keys[0];
  let before: (typeof keys)[number] | undefined;
  return {
    name,
    transposition: 0,
    staves: 1,
    bars: bars.map((bar, index): DraftBar => {
      const key = keyAt(bar.from);
      const newKey = key !== before ? key : undefined;
      before = key;
      return {
        voices: [eventsOf(bar, struck, key?.fifths ?? 0)],
        ...(bar.newMetre ? { metre: bar.metre } : {}),
        ...(newKey ? { key: { fifths: newKey.fifths, minor: newKey.minor } } : {}),
        ...(index === 0 ? { clefs: [clefFor(notes.map(({ pitch }) => pitch))] } : {}),
        ...(index === 0 && first && tempo !== undefined
          ? { tempo: { unit: "quarter" as const, bpm: Math.round(tempo), words: "" } }
          : {}),
      };
    }),
  };
}

/** Treble or bass, by where most of it lies. */
function clefFor(pitches: readonly number[]): DraftClef {
  const mean = pitches.reduce((sum, pitch) => sum + pitch, 0) / pitches.length;
  return mean < 57 ? "bass" : "treble";
}

/** What lies in a bar, rests between; what goes over its ends is tied. */
function eventsOf({ from, to }: Bar, struck: readonly Struck[], fifths: number): DraftEvent[] {
  const events: DraftEvent[] = [];
  let at = from;
  const add = (until: number, pitches: readonly number[], tiedOn: boolean) => {
    const pieces = written(at - from, until - from);
    pieces.forEach((duration, i) => {
      const tied = tiedOn || i < pieces.length - 1;
      events.push({
        pitches: pitches.map((pitch) => ({ ...spelled(pitch, fifths), tied })),
        duration,
        ...tupletFor(duration),
      });
    });
    at = until;
  };
  for (const each of struck) {
    if (each.to <= from || each.from >= to) continue;
    const begins = Math.max(from, each.from);
    if (begins > at) add(begins, [], false);
    add(Math.min(to, each.to), each.pitches, each.to > to);
  }
  if (at < to) add(to, [], false);
  return withEdges(events);
}

const asShare = (steps: number): Fraction => fraction(steps, WHOLE);

const isWritten = (length: Fraction): boolean =>
  valueLasting(length) !== undefined ||
  valueLasting(fraction(length[0] * 3, length[1] * 2)) !== undefined;

/** A length within a bar as values to be tied: whole where one lasts so long, else beat by beat. */
function written(from: number, to: number): Fraction[] {
  if (isWritten(asShare(to - from))) return [asShare(to - from)];
  const beatEnd = (Math.floor(from / STEPS) + 1) * STEPS;
  if (beatEnd < to) return [...written(from, beatEnd), ...written(beatEnd, to)];
  const steps = to - from;
  if (steps % 3 === 0) return valuesFor(asShare(steps));
  const longest = [16, 8, 4].find((part) => part < steps);
  return longest ? [asShare(longest), ...written(from + longest, to)] : [asShare(steps)];
}

/** Three in the time of two, where only that is written so. */
const tupletFor = (duration: Fraction) =>
  valueLasting(duration) ? {} : { tuplet: { actual: 3, normal: 2 } };

/** Brackets from the first of a run of triplets to where they have filled what two fill. */
function withEdges(events: readonly DraftEvent[]): DraftEvent[] {
  let filled: Fraction | undefined;
  return events.map((event): DraftEvent => {
    if (!event.tuplet) {
      filled = undefined;
      return event;
    }
    const [a, b] = filled ?? [0, 1];
    const edge = filled === undefined ? ("start" as const) : undefined;
    const sum = fraction(a * event.duration[1] + event.duration[0] * b, b * event.duration[1]);
    const whole = sum[1] % 3 !== 0;
    filled = whole ? undefined : sum;
    return { ...event, tuplet: { ...event.tuplet, edge: edge ?? (whole ? "stop" : undefined) } };
  });
}
