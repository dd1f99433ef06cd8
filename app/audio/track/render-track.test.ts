import midiFile from "midi-file";
import { expect, test } from "@jest/globals";
import { loopMap, PLAIN_CLICK, VOICES } from "~/core/click";
import { bpm } from "~/core/units";
import { ClickRenderer } from "../engine/click-renderer";
import { renderTrack, TRACK_RATE } from "./render-track";
import { mp3Encoder } from "./encode";
import { trackMidi } from "./midi";
import { wavEnd, wavHeader, wavSamples } from "./wav";

const TAGS = { title: "Reed Song", artist: "Maud", comment: "60 to 80" };

const map = (tempo: number) =>
  loopMap({
    bars: [1, 2].map((number) => ({ number, metre: { beats: 4, unit: 4 } as const })),
    leadBeats: 0,
    endBeats: 0,
    beatUnit: "quarter",
    plays: [{ tempo: bpm(tempo), pace: "steady" }],
    click: PLAIN_CLICK,
    tempoChanged: true,
    first: true,
    turn: 0,
  });

test("a track is the stand's own clicks, sample by sample", () => {
  const maps = [97, 103.7, 140].map(map);
  let end = 0;
  const loops = maps.map((each) => {
    const start = end;
    end += each.duration;
    return { start, map: each, clicks: each.clicks };
  });
  const chunks = [...renderTrack({ loops, seconds: end, drones: [] })];
  const track = Float32Array.from(chunks.flatMap((chunk) => [...chunk]));
  expect(track.length).toBe(Math.ceil(end * TRACK_RATE));

  // The stand knows all maps from the beginning.
  const stand = new ClickRenderer(TRACK_RATE, () => undefined);
  stand.receive({ kind: "volume", volume: 1 });
  loops.forEach(({ start, map: each }, index) =>
    stand.receive({
      kind: "schedule",
      mapId: index,
      start,
      clicks: {
        at: Float64Array.from(each.clicks, ({ at }) => at),
        voice: Uint8Array.from(each.clicks, ({ voice }) => VOICES.indexOf(voice)),
        level: Float32Array.from(each.clicks, ({ level }) => level),
      },
      markers: [],
    }),
  );
  const heard = new Float32Array(Math.ceil(track.length / 128) * 128);
  for (let at = 0; at < heard.length; at += 128) stand.render(heard.subarray(at, at + 128), at);
  let differs = 0;
  track.forEach((sample, at) => (differs += sample === heard[at] ? 0 : 1));
  expect(differs).toBe(0);
});

test("a WAV file tells its length, and its samples are rounded and never wrap", () => {
  const view = new DataView(wavHeader(10, TRACK_RATE, 16, TAGS).buffer);
  expect(view.getUint32(40, true)).toBe(20);
  // Head, twenty bytes of samples, and what the file says of itself.
  expect(view.getUint32(4, true)).toBe(36 + 20 + wavEnd(10, 16, TAGS).length);
  expect(view.getUint32(24, true)).toBe(44_100);
  const samples = new DataView(wavSamples(Float32Array.of(0, 1, -1, 2), 16).buffer);
  expect([0, 2, 4, 6].map((at) => samples.getInt16(at, true))).toEqual([
    0, 32_767, -32_767, 32_767,
  ]);
});

test("a sample of 24 bits is finer by two hundred and fifty-six", () => {
  const [low, middle, high] = wavSamples(Float32Array.of(-0.5), 24);
  expect((low! + 256 * middle! + 65_536 * high! - 2 ** 24) / (2 ** 23 - 1)).toBeCloseTo(-0.5, 6);
});

test("notes are heard besides the clicks, which stay where they are", () => {
  const tones = [{ at: 0.5, seconds: 0.5, midi: 69 }];
  const track = { loops: [], seconds: 2, drones: [] };
  const silent = [...renderTrack(track)].flatMap((chunk) => [...chunk]);
  const heard = [...renderTrack({ ...track, tones })].flatMap((chunk) => [...chunk]);
  const power = (from: number, to: number) =>
    heard
      .slice(from * TRACK_RATE, to * TRACK_RATE)
      .reduce((sum, sample, at) => sum + (sample - silent[at]!) ** 2, 0);
  expect(power(0, 0.5)).toBe(0);
  expect(power(0.55, 0.95)).toBeGreaterThan(10);
  expect(power(1.2, 2)).toBe(0);
});

test("as MIDI each click and note comes at its time, by the map of tempi", () => {
  const first = map(90);
  const loops = [
    { start: 0, ...first },
    { start: first.duration + 1.5, ...map(140) },
  ];
  const { header, tracks } = midiFile.parseMidi(
    trackMidi("Reed Song", loops, [{ at: 2, seconds: 1, midi: 60 }]),
  );
  const at = (track: number, kind: string) => {
    let now = 0;
    return tracks[track]!.flatMap((event) => {
      now += event.deltaTime;
      return event.type === kind ? [{ ...event, now }] : [];
    });
  };
  const tempi = at(0, "setTempo") as unknown as { now: number; microsecondsPerBeat: number }[];
  const secondOf = (tick: number) => {
    let [seconds, from, rate] = [0, 0, 0];
    for (const tempo of tempi.filter(({ now }) => now <= tick)) {
      seconds += (tempo.now - from) * rate;
      from = tempo.now;
      rate = tempo.microsecondsPerBeat / 1e6 / header.ticksPerBeat!;
    }
    return seconds + (tick - from) * rate;
  };
  const clicks = at(1, "noteOn").map(({ now }) => secondOf(now));
  const wanted = loops.flatMap(({ start, clicks: all }) => all.map((click) => start + click.at));
  expect(clicks).toHaveLength(wanted.length);
  clicks.forEach((second, index) => expect(second).toBeCloseTo(wanted[index]!, 2));
  expect(at(2, "noteOn").map(({ now }) => secondOf(now))[0]).toBeCloseTo(2, 2);
});

test("what is said sounds where it stands, across chunks, and over the clicks", () => {
  const samples = Float32Array.from({ length: 3 * TRACK_RATE }, () => 0.25);
  const word = { at: 0.5, samples };
  const rendered = [...renderTrack({ loops: [], drones: [], seconds: 5, words: [word] })];
  const all = rendered.flatMap((chunk) => [...chunk]);
  const sounding = all.flatMap((sample, at) => (Math.abs(sample - 0.25) < 1e-3 ? [at] : []));
  expect(sounding[0]).toBe(0.5 * TRACK_RATE);
  expect(sounding.at(-1)).toBe(3.5 * TRACK_RATE - 1);
  expect(sounding).toHaveLength(samples.length);
});

test("as MP3 it says what it is, and is a fraction as large", async () => {
  const encoder = await mp3Encoder(TAGS);
  const second = Float32Array.from({ length: TRACK_RATE }, (_, at) => Math.sin(at / 20) / 2);
  const bytes = [encoder.head, encoder.chunk(second), encoder.end()];
  expect(new TextDecoder().decode(encoder.head)).toContain("Reed Song");
  const size = bytes.reduce((sum, { length }) => sum + length, 0);
  expect(size).toBeGreaterThan(10_000);
  expect(size).toBeLessThan(25_000);
});
