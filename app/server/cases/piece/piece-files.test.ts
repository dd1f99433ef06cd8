import { beforeEach, describe, expect, test } from "@jest/globals";
import * as v from "valibot";
import { readScoreFile } from "~/core/formats";
import { pieceDocumentSchema } from "../../archive/piece-document";
import { furnishedRoom } from "../../test/room";
import { UNTOLD } from "../../test/told";
import { pieceAsFile } from "../room/student-out";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeEach(async () => {
  room = await furnishedRoom();
}, 60_000);

const file = (format: "json" | "musicxml") =>
  pieceAsFile(room.services, UNTOLD, room.studioId, room.personId, room.pieceId, format);

describe("a piece that is taken along", () => {
  test("as JSON is what its schema says, with its passage and ladder", async () => {
    const answer = await file("json");
    const document = v.parse(v.strictObject(pieceDocumentSchema.entries), await answer.json());
    expect(document).toMatchObject({ title: "The Ferry at Low Water", bars: 16, score: null });
    expect(document.passages).toMatchObject([{ fromBar: 5, toBar: 8, ladder: { target: 90 } }]);
  });

  test("as MusicXML has its bars, its tempo and where the passage begins", async () => {
    const text = await (await file("musicxml")).text();
    const read = await readScoreFile(new TextEncoder().encode(text));
    if (!read.ok) throw new Error(read.error);
    expect(read.value.score.bars).toHaveLength(16);
    expect(read.value.score.tempi).toMatchObject([{ bar: 1, bpm: 96 }]);
    expect(text).toContain("<rehearsal>5 8</rehearsal>");
  });
});
