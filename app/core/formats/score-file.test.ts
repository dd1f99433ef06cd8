import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { printedInScore } from "~/core/score";
import { compare, difference, fraction, sum, valueOf } from "~/core/units";
import { readScoreFile, type ScoreFile } from ".";
import { bytesOf, ownTunes, scoresOfOthers, type TestFile } from "./test/files";

const read = async (file: TestFile): Promise<ScoreFile> => {
  const result = await readScoreFile(file.bytes);
  if (!result.ok) throw new Error(`${file.name}: ${result.error}`);
  return result.value;
};

/** Counted from the text, with nothing of the reader: notes that have a pitch, and bars of a part. */
function countedIn(text: string) {
  const parts = text.split(/<part\s+id=/).slice(1);
  const notes = text.match(/<note[\s>].*?<\/note>/gs) ?? [];
  return {
    parts: parts.length,
    bars: Math.max(...parts.map((part) => (part.match(/<measure[\s>]/g) ?? []).length)),
    notes: notes.filter((note) => /<(pitch|unpitched)>/.test(note) && !/<cue\s*\/>/.test(note))
      .length,
    keys: new Set(text.match(/<fifths>(-?\d+)/g)?.map((each) => Number(each.slice(8)))),
  };
}

describe("scores that others wrote", () => {
  const files = scoresOfOthers();
  const plain = files.filter(({ name }) => name.endsWith(".xml"));

  test("there are more than thirty", () => expect(files.length).toBeGreaterThan(30));

  test.each(plain.map((file) => [file.name, file] as const))(
    "%s: parts, bars, notes and keys are those in the file",
    async (_, file) => {
      const { score, notes } = await read(file);
      const text = new TextDecoder(file.bytes[0] === 0xff ? "utf-16le" : "utf-8").decode(
        file.bytes,
      );
      const counted = countedIn(text);
      expect(score.parts.length).toBe(counted.parts);
      expect(score.bars.length).toBe(counted.bars);
      expect(notes.flat().length).toBe(counted.notes);
      for (const { fifths } of score.bars) expect([0, ...counted.keys]).toContain(fifths);
    },
  );

  test.each(files.map((file) => [file.name, file] as const))(
    "%s: every note lies inside its bar, sounding as far from written as its part is",
    async (_, file) => {
      const { score, notes } = await read(file);
      notes.forEach((bar, index) => {
        for (const { onset, duration, midi, letter, alter, octave, part } of bar) {
          expect(onset[0]).toBeGreaterThanOrEqual(0);
          expect(compare(sum(onset, duration), score.bars[index]!.length)).toBeLessThanOrEqual(0);
          const written = 12 * (octave + 1) + { C: 0, D: 2, E: 4, F: 5, G: 7, A: 9, B: 11 }[letter];
          if (midi === null) continue;
          expect(midi - written - alter).toBe(score.parts[part]!.transposition);
        }
      });
    },
  );

  test("packed and plain hold the same music", async () => {
    for (const { name, bytes } of files.filter((each) => each.name.endsWith(".mxl"))) {
      const twin = files.find((each) => each.name === name.replace("mxl", "xml"))!;
      const [packed, open] = [await read({ name, bytes }), await read(twin)];
      expect(packed.score).toEqual(open.score);
      expect(packed.notes).toEqual(open.notes);
    }
  });
});

describe("the tunes of the demo room", () => {
  test("are whole: no bar but the pickup is short, nothing is unread", async () => {
    for (const file of ownTunes()) {
      const { score } = await read(file);
      expect(score.unread).toEqual([]);
      for (const { length, metre } of score.bars.slice(score.pickup ? 1 : 0)) {
        expect(difference(length, fraction(metre.beats, metre.unit))).toEqual([0, 1]);
      }
    }
  });

  test("the one for cor anglais sounds a fifth lower than it is written", async () => {
    const file = ownTunes().find(({ name }) => name.startsWith("lamplighters"))!;
    const { score, notes } = await read(file);
    expect(score.parts[0]).toMatchObject({ name: "Cor anglais", transposition: -7 });
    expect(notes[1]![0]).toMatchObject({ letter: "G", octave: 4, midi: 60 });
  });
});

describe("ABC", () => {
  const tune = (body: string) =>
    read({
      name: "a.abc",
      bytes: bytesOf(`X:1\nT:A Tune\nM:6/8\nL:1/8\nQ:3/8=80\nK:D\n${body}\n`),
    });

  test("pickup, repeats and endings, triplets, ties, graces and accidentals", async () => {
    const { score, notes } = await tune("A|:d2f (afd)|{g}e2=c (3ABc d2|[1 d3- d3:|[2 [df]6|]");
    expect(score.pickup).toBe(true);
    expect(score.bars.map(({ endings }) => endings)).toEqual([[], [], [], [1], [2]]);
    expect(score.bars[3]!.repeatTimes).toBe(2);
    expect(score.tempi[0]).toMatchObject({ unit: "dotted-quarter", bpm: 80 });
    const third = notes[2]!;
    expect(third.filter(({ grace }) => grace).length).toBe(1);
    expect(third.find(({ letter, alter }) => letter === "C" && alter === 0)).toBeDefined();
    expect(third.filter(({ duration }) => valueOf(duration) === 1 / 12).length).toBe(3);
    expect(notes[3]![0]).toMatchObject({ tiedFrom: true, tiedTo: false });
    expect(notes[3]![1]).toMatchObject({ tiedFrom: false, tiedTo: true });
  });

  test("voices that lie one after the other are parts of their own", async () => {
    const { score } = await tune("V:1\nd6|d6|\nV:2 clef=bass\nD,6|D,6|");
    expect(score.parts.length).toBe(2);
    expect(score.bars.length).toBe(2);
  });
});

describe("what can't be read is said, and nothing throws", () => {
  const score = (inside: string) =>
    `<score-partwise><part-list><score-part id="P1"><part-name>x</part-name></score-part></part-list><part id="P1">${inside}</part></score-partwise>`;
  const midi = (...division: number[]) =>
    new Uint8Array([
      ...bytesOf("MThd"),
      0,
      0,
      0,
      6,
      0,
      0,
      0,
      1,
      ...division,
      ...bytesOf("MTrk"),
      0,
      0,
      0,
      4,
      0,
      255,
      47,
      0,
    ]);
  const refused: readonly (readonly [string, Uint8Array, RegExp])[] = [
    ["an empty file", new Uint8Array(), /empty/],
    ["a text", bytesOf("Dear Odile, here are the notes."), /doesn't know this kind/],
    ["a page", bytesOf("<html><body/></html>"), /begins with <html>/],
    ["a picture under another name", new Uint8Array([0x89, ...bytesOf("PNG....")]), /picture/],
    ["an SVG named .png", bytesOf("<svg xmlns='x'/>"), /begins with <svg>/],
    ["a PDF", bytesOf("%PDF-1.4"), /PDF/],
    ["a score that breaks off", bytesOf(score("<measure>").slice(0, 120)), /breaks off/],
    ["a score without bars", bytesOf(score("")), /no bar/],
    ["entities", bytesOf(`<!DOCTYPE x [<!ENTITY a "aaaa">]>${score("")}`), /entities/],
    ["a deep nest", bytesOf(`<score-partwise>${"<a>".repeat(500)}`), /nested/],
    ["a broken archive", bytesOf("PK\u0003\u0004nothing"), /breaks off/],
    ["an ABC without music", bytesOf("X:1\nT:x\nK:C\n"), /no bar/],
    ["a MIDI file in frames", midi(0xe7, 0x28), /frames/],
    ["a MIDI file of 0 ticks", midi(0, 0), /how long a beat/],
    ["a MIDI file without notes", midi(0, 96), /no note/],
    [
      "wrong letters",
      new Uint8Array([...bytesOf("<score-partwise>"), 0xff, 0xfe, 0xc3]),
      /encoding/,
    ],
  ];
  test.each(refused)("%s", async (_, bytes, sentence) => {
    const result = await readScoreFile(bytes);
    expect(result.ok ? "read" : result.error).toMatch(sentence);
  });

  const note = (marks = "") =>
    `<note><pitch><step>C</step><octave>4</octave></pitch><duration>4</duration>${marks}</note>`;
  const told: readonly (readonly [string, string, RegExp])[] = [
    ["a tie into nothing", note('<tie type="start"/>'), /tie/],
    ["a voice that overruns the bar", note() + note(), /more than its metre/],
    [
      "a metre of minus three",
      `<attributes><time><beats>-3</beats><beat-type>4</beat-type></time></attributes>${note()}`,
      /metre/,
    ],
    [
      "a note without a length",
      "<note><pitch><step>C</step><octave>4</octave></pitch></note>",
      /length/,
    ],
  ];
  test.each(told)("%s is listed with its bar, and the rest is kept", async (_, inside, what) => {
    const opening =
      "<attributes><divisions>1</divisions><time><beats>4</beats><beat-type>4</beat-type></time></attributes>";
    const bytes = bytesOf(
      score(
        `<measure number="1">${opening}${note()}</measure><measure number="2">${inside}</measure>`,
      ),
    );
    const file = await read({ name: "x", bytes });
    expect(file.score.bars.length).toBe(2);
    expect(file.score.unread).toEqual([{ bar: 2, what: expect.stringMatching(what) }]);
  });

  test("bars keep the numbers they are printed with", async () => {
    const bars = ["12", "12a", "", "12"].map((n) => `<measure number="${n}">${note()}</measure>`);
    const file = await read({ name: "x", bytes: bytesOf(score(bars.join(""))) });
    expect(file.score.bars.map(({ label }) => label)).toEqual(["12", "12a", "", "12"]);
  });

  test("lines and pages begin where they were printed", async () => {
    const opened = ["", '<print new-system="yes"/>', "", '<print new-page="yes"/>', "<print/>"];
    const bars = opened.map(
      (print, at) => `<measure number="${at + 1}">${print}${note()}</measure>`,
    );
    const file = await read({ name: "x", bytes: bytesOf(score(bars.join(""))) });
    expect(printedInScore(file.score)).toEqual({ lines: [1, 2, 4], pages: [1, 4] });
  });

  test("damaged files give a value or a refusal", async () => {
    const tunes = ownTunes();
    const damage = fc.array(fc.tuple(fc.nat(), fc.nat(255)), { minLength: 1, maxLength: 12 });
    await fc.assert(
      fc.asyncProperty(fc.nat(tunes.length - 1), damage, fc.boolean(), async (which, hits, cut) => {
        const bytes = tunes[which]!.bytes.slice();
        for (const [at, value] of hits) bytes[at % bytes.length] = value;
        const result = await readScoreFile(
          cut ? bytes.slice(0, hits[0]![0] % bytes.length) : bytes,
        );
        if (result.ok) expect(result.value.score.bars.length).toBeGreaterThan(0);
        else expect(result.error).toMatch(/\.$/);
      }),
      { numRuns: 60 },
    );
  });
});
