import midiFile from "midi-file";
import type { MapBar, MapClick } from "~/core/click";
import type { Tone } from "~/core/session";
import { beatUnitValue } from "~/core/units";

const PER_QUARTER = 480;
/** General MIDI's drums: wood blocks for the beats, claves between, a cowbell as the cue. */
const DRUMS = { accent: 76, beat: 77, subdivision: 75, count: 77, cue: 56 } as const;
const DRUM_CHANNEL = 9;
const DRUM_TICKS = 30;
const LOUD = 100;

interface MidiLoop {
  readonly start: number;
  readonly clicks: readonly MapClick[];
  readonly bars: readonly (Pick<MapBar, "start" | "duration" | "unit"> & {
    readonly tempo: number;
  })[];
}

/** From a second on so many quarter notes a minute. */
interface Pace {
  readonly at: number;
  readonly quarters: number;
  readonly tick: number;
}

/** The tempo of each bar as quarter notes a minute, each from its tick on. */
function pacesOf(loops: readonly MidiLoop[]): Pace[] {
  const paces: Pace[] = [];
  for (const { start, bars } of loops) {
    for (const bar of bars) {
      const at = start + bar.start;
      const quarters = bar.tempo * beatUnitValue(bar.unit) * 4;
      const before = paces.at(-1);
      if (before?.quarters === quarters) continue;
      paces.push({ at, quarters, tick: before ? tickAt(before, at) : 0 });
    }
  }
  return paces.length > 0 ? paces : [{ at: 0, quarters: 120, tick: 0 }];
}

const tickAt = ({ at, quarters, tick }: Pace, second: number): number =>
  tick + Math.round(((second - at) * quarters * PER_QUARTER) / 60);

interface Event {
  readonly tick: number;
  readonly told: Record<string, unknown> & { readonly type: string };
}

const inDeltas = (events: readonly Event[]) => {
  let now = 0;
  const sorted = [...events].sort((one, other) => one.tick - other.tick);
  const told = sorted.map(({ tick, told: event }) => {
    const deltaTime = tick - now;
    now = tick;
    return { deltaTime, ...event };
  });
  return [...told, { deltaTime: 0, type: "endOfTrack", meta: true }];
};

const note = (channel: number, noteNumber: number, velocity: number, from: number, to: number) => [
  { tick: from, told: { type: "noteOn", channel, noteNumber, velocity } },
  { tick: to, told: { type: "noteOff", channel, noteNumber, velocity: 0 } },
];

/** A track as a MIDI file: a map of tempi, its clicks as drums, its notes. */
export function trackMidi(
  name: string,
  loops: readonly MidiLoop[],
  tones: readonly Tone[],
): Uint8Array<ArrayBuffer> {
  const paces = pacesOf(loops);
  const tickOf = (second: number): number =>
    tickAt(paces.findLast(({ at }) => at <= second) ?? paces[0]!, second);
  const tempi = paces.map(({ tick, quarters }) => ({
    tick,
    told: { type: "setTempo", meta: true, microsecondsPerBeat: Math.round(60e6 / quarters) },
  }));
  const clicks = loops.flatMap(({ start, clicks: all }) =>
    all.flatMap(({ at, voice, level }) => {
      const tick = tickOf(start + at);
      const velocity = Math.max(1, Math.round(level * LOUD));
      return note(DRUM_CHANNEL, DRUMS[voice], velocity, tick, tick + DRUM_TICKS);
    }),
  );
  const notes = tones.flatMap(({ at, seconds, midi }) =>
    note(0, midi, LOUD, tickOf(at), tickOf(at + seconds)),
  );
  const titled = { tick: 0, told: { type: "trackName", meta: true, text: name } };
  const data = {
    header: { format: 1, numTracks: 3, ticksPerBeat: PER_QUARTER },
    tracks: [[titled, ...tempi], clicks, notes].map(inDeltas),
  };
  return Uint8Array.from(midiFile.writeMidi(data as never));
}
