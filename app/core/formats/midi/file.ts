import midiFile from "midi-file";
import * as v from "valibot";
import { err, ok, type Result } from "~/core/result";

const eventSchema = v.looseObject({ deltaTime: v.number(), type: v.string() });
const number = v.number();

const partsOf = {
  noteOn: v.object({ noteNumber: number, velocity: number, channel: number }),
  noteOff: v.object({ noteNumber: number, channel: number }),
  timeSignature: v.object({ numerator: number, denominator: number }),
  keySignature: v.object({ key: number, scale: number }),
  setTempo: v.object({ microsecondsPerBeat: number }),
  trackName: v.object({ text: v.string() }),
};

const fileSchema = v.object({
  header: v.object({ ticksPerBeat: v.optional(number), framesPerSecond: v.optional(number) }),
  tracks: v.array(v.array(eventSchema)),
});

export interface MidiNote {
  readonly from: number;
  readonly to: number;
  readonly pitch: number;
  readonly channel: number;
}

export interface MidiTrack {
  readonly name: string;
  readonly notes: MidiNote[];
}

interface At {
  readonly tick: number;
}

/** A MIDI file on its own clock: `perQuarter` ticks last a quarter note. */
export interface MidiMusic {
  readonly perQuarter: number;
  readonly tracks: readonly MidiTrack[];
  readonly metres: readonly (At & { readonly beats: number; readonly unit: number })[];
  readonly keys: readonly (At & { readonly fifths: number; readonly minor: boolean })[];
  /** Quarter notes a minute at the beginning; undefined where the file tells none. */
  readonly tempo: number | undefined;
}

const MOST_NOTES = 200_000;
const MICROSECONDS = 60_000_000;

/** Reads a standard MIDI file; a sentence where its time can't be read as notes. */
export function readMidiFile(bytes: Uint8Array): Result<MidiMusic, string> {
  let parsed: unknown;
  try {
    parsed = midiFile.parseMidi(bytes);
  } catch {
    return err("It breaks off, or it is no MIDI file.");
  }
  const file = v.safeParse(fileSchema, parsed);
  if (!file.success) return err("It is no MIDI file that Fidus knows.");
  const { header, tracks } = file.output;
  if (header.framesPerSecond !== undefined) {
    return err("It counts in frames of film and not in beats; notes can't be read from that.");
  }
  if (!header.ticksPerBeat) return err("It doesn't say how long a beat is.");
  const metres: MidiMusic["metres"][number][] = [];
  const keys: MidiMusic["keys"][number][] = [];
  let tempo: number | undefined;
  let count = 0;
  const read = tracks.map((events, index): MidiTrack => {
    const open = new Map<string, number[]>();
    const notes: MidiNote[] = [];
    let name = "";
    let tick = 0;
    const close = (channel: number, pitch: number) => {
      const from = open.get(`${channel} ${pitch}`)?.shift();
      if (from !== undefined && tick > from) notes.push({ from, to: tick, pitch, channel });
    };
    for (const event of events) {
      tick += event.deltaTime;
      const known = readEvent(event);
      if (!known) continue;
      if (known.type === "noteOn" && known.velocity > 0) {
        const key = `${known.channel} ${known.noteNumber}`;
        open.set(key, [...(open.get(key) ?? []), tick]);
        count++;
      } else if (known.type === "noteOn" || known.type === "noteOff") {
        close(known.channel, known.noteNumber);
      } else if (known.type === "timeSignature") {
        metres.push({ tick, beats: known.numerator, unit: known.denominator });
      } else if (known.type === "keySignature") {
        keys.push({ tick, fifths: known.key, minor: known.scale === 1 });
      } else if (known.type === "setTempo" && known.microsecondsPerBeat > 0) {
        tempo ??= MICROSECONDS / known.microsecondsPerBeat;
      } else if (known.type === "trackName") name ||= known.text.trim();
    }
    return { name: name.slice(0, 80) || `Track ${index + 1}`, notes };
  });
  if (count > MOST_NOTES) return err("It holds too many notes to be one piece.");
  const sounding = read.filter(({ notes }) => notes.length > 0);
  if (sounding.length === 0) return err("There is no note in it.");
  const byTick = (a: At, b: At) => a.tick - b.tick;
  return ok({
    perQuarter: header.ticksPerBeat,
    tracks: sounding,
    metres: metres.sort(byTick),
    keys: keys.sort(byTick),
    tempo,
  });
}

type Known = {
  [K in keyof typeof partsOf]: { readonly type: K } & v.InferOutput<(typeof partsOf)[K]>;
}[keyof typeof partsOf];

function readEvent(event: v.InferOutput<typeof eventSchema>): Known | undefined {
  const { type } = event;
  if (!(type in partsOf)) return undefined;
  const read = v.safeParse(partsOf[type as keyof typeof partsOf], event);
  return read.success ? ({ type, ...read.output } as Known) : undefined;
}
