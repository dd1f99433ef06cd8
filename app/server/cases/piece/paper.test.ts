import { readFileSync } from "node:fs";
import { beforeEach, describe, expect, test } from "@jest/globals";
import { pieceById } from "~/db/queries";
import { furnishedRoom } from "../../test/room";
import { addStudent } from "../people/open-room";
import {
  drawBars,
  pageImage,
  paperEngraved,
  paperFile,
  pieceFromPages,
  pagesFromForm,
} from "./paper";
import { cutPassage } from "./passages";
import { pieceFromFile } from "./scores";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeEach(async () => {
  room = await furnishedRoom();
}, 60_000);

const read = (name: string) => new Uint8Array(readFileSync(`demo/tunes/${name}`));
const PDF = read("rolled-tenths.pdf");
const PAGE = read("rolled-tenths-page-1.png");
const LAYOUT = readFileSync("demo/tunes/rolled-tenths.bars.json", "utf8");

const sent = (original: Uint8Array, pages: readonly Uint8Array[], name = "Rolled_Tenths.pdf") => {
  const form = new FormData();
  form.append("file", new File([original as Uint8Array<ArrayBuffer>], name));
  for (const page of pages)
    form.append("page", new File([page as Uint8Array<ArrayBuffer>], "page"));
  return form;
};
const layout = (text: string) => {
  const form = new FormData();
  form.set("layout", text);
  return form;
};
async function onPaper() {
  const { services, studioId, personId } = room;
  const added = await pieceFromPages(services, studioId, personId, sent(PDF, [PAGE]));
  if (!added.ok) throw new Error(added.error.errors.file);
  return { studioId, personId, pieceId: added.value };
}

describe("a piece on paper", () => {
  test("takes its bars from the systems drawn over it, and gives the file back", async () => {
    const of = await onPaper();
    const { services } = room;
    const asked = { width: 2000, range: { from: 5, to: 6 } };
    expect(await paperEngraved(services, of, asked)).toBeUndefined();
    expect(await drawBars(services, of, layout(LAYOUT))).toMatchObject({ ok: true });
    const piece = await pieceById(services.db, of.studioId, of.pieceId);
    expect(piece).toMatchObject({ title: "Rolled Tenths", bars: 8 });
    const shown = await paperEngraved(services, of, asked);
    expect(shown?.systems.map(({ bars }) => bars.map(({ bar }) => bar))).toEqual([[5, 6, 7, 8]]);
    const file = await paperFile(services, of.studioId, of.pieceId, 1);
    expect(Buffer.from(file.original).equals(PDF)).toBe(true);
    const image = await pageImage(services, of, 1);
    expect(image.media_type).toBe("image/png");
  });

  test("is not cut off under a passage, and another student's is not there", async () => {
    const of = await onPaper();
    await drawBars(room.services, of, layout(LAYOUT));
    const range = { fromBar: 6, toBar: 8, pickupBeats: 0, endBeats: 0, name: "", focus: "" };
    await cutPassage(room.services, of.studioId, of, range);
    const [first] = JSON.parse(LAYOUT) as unknown[];
    const short = await drawBars(room.services, of, layout(JSON.stringify([first])));
    expect(short).toMatchObject({ ok: false, error: { errors: { layout: /bar 8/ } } });
    const { studioId } = room;
    const personId = await addStudent(room.services, studioId, { name: "Ada", instrument: "" });
    await expect(pageImage(room.services, { ...of, personId }, 1)).rejects.toThrow();
  });

  const wide = PAGE.slice();
  new DataView(wide.buffer).setUint32(16, 100_000);
  const svg = new TextEncoder().encode("<svg xmlns='http://www.w3.org/2000/svg'/>");
  test.each([
    ["an SVG that is called .png", sent(svg, [PAGE], "page.png"), /something else/],
    ["a page that is none", sent(PDF, [svg]), /neither a PNG nor a JPEG/],
    ["a picture of too many pixels", sent(PDF, [wide]), /larger than 2000/],
    ["a picture that breaks off", sent(PDF, [PAGE.slice(0, 12)]), /damaged/],
    ["more pages than there may be", sent(PDF, Array<Uint8Array>(41).fill(PAGE)), /At most 40/],
    ["no pages at all", sent(PDF, []), /not drawn/],
  ])("refuses %s, and leaves nothing behind", async (_, form, sentence) => {
    const { services, studioId, personId } = room;
    const done = await pieceFromPages(services, studioId, personId, form);
    expect(done.ok ? "taken" : done.error.errors.file).toMatch(sentence);
  });

  test.each([
    [
      "lines that cross",
      '[{"page":1,"left":0.1,"top":0.1,"right":0.9,"bottom":0.2,"lines":[0.6,0.4]}]',
    ],
    [
      "a page that is not there",
      '[{"page":2,"left":0.1,"top":0.1,"right":0.9,"bottom":0.2,"lines":[]}]',
    ],
    ["nothing", "[]"],
    ["what is no layout", "{"],
  ])("refuses bars with %s", async (_, text) => {
    const of = await onPaper();
    expect((await drawBars(room.services, of, layout(text))).ok).toBe(false);
    expect(await pieceById(room.services.db, of.studioId, of.pieceId)).toMatchObject({ bars: 1 });
  });

  test("the same pages again change nothing; others keep the bars, where they are as many", async () => {
    const of = await onPaper();
    const { services } = room;
    await drawBars(services, of, layout(LAYOUT));
    expect((await pagesFromForm(services, of, sent(PDF, [PAGE]))).ok).toBe(false);
    const asked = { width: 2000, range: undefined };
    const systems = async () => (await paperEngraved(services, of, asked))?.systems.length;
    expect((await pagesFromForm(services, of, sent(PAGE, [PAGE], "photo.png"))).ok).toBe(true);
    expect(await systems()).toBe(2);
    expect((await pagesFromForm(services, of, sent(PDF, [PAGE, PAGE]))).ok).toBe(true);
    expect(await systems()).toBeUndefined();
  });

  test("pages are not laid under notes, where nobody would see them", async () => {
    const { services, studioId, personId } = room;
    const form = sent(read("barge-waltz.musicxml"), [], "barge.musicxml");
    const added = await pieceFromFile(services, studioId, personId, form);
    if (!added.ok) throw new Error("refused");
    const of = { studioId, personId, pieceId: added.value };
    expect((await pagesFromForm(services, of, sent(PDF, [PAGE]))).ok).toBe(false);
  });
});
