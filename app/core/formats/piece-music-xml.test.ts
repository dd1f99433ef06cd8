import { describe, expect, test } from "@jest/globals";
import { readScoreFile } from "./score-file";
import { pieceMusicXml } from "./piece-music-xml";
import type { SaidOverBar } from "./music-xml";

const piece = {
  title: "Reed & Weir",
  origin: "nobody <yet>",
  bars: 12,
  metres: [
    { fromBar: 1, metre: { beats: 3, unit: 4 as const } },
    { fromBar: 9, metre: { beats: 5, unit: 8 as const } },
  ],
};
const said = new Map<number, SaidOverBar>([
  [1, { rehearsal: [], words: [], tempo: { unit: "quarter", bpm: 96 } }],
  [9, { rehearsal: ["Weir"], words: ["flawed 3 times"], tempo: { unit: "eighth", bpm: 180 } }],
]);
const read = async (text: string) => {
  const file = await readScoreFile(new TextEncoder().encode(text));
  if (!file.ok) throw new Error(file.error);
  return file.value;
};

describe("a piece as MusicXML", () => {
  test("without notes: its bars and metres, its tempi, names of passages and words over them", async () => {
    const written = pieceMusicXml(piece, undefined, said);
    const { score } = await read(written);
    expect(score.bars).toHaveLength(12);
    expect(score.bars[8]).toMatchObject({ metre: { beats: 5, unit: 8 } });
    expect(score.tempi).toMatchObject([
      { bar: 1, unit: "quarter", bpm: 96 },
      { bar: 9, unit: "eighth", bpm: 180 },
    ]);
    expect(written).toContain("<rehearsal>Weir</rehearsal>");
    expect(written).toContain("<words>flawed 3 times</words>");
  });

  test("with notes: they stay as they are, and tempi of their own are not doubled", async () => {
    const notes = await read(pieceMusicXml(piece, undefined, said));
    const again = pieceMusicXml(piece, notes.engraving, said);
    expect(again.match(/<metronome>/g)).toHaveLength(2);
    expect(again).toContain("nobody &lt;yet&gt;");
    expect((await read(again)).notes).toEqual(notes.notes);
  });
});
