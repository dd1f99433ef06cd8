import { readFileSync } from "node:fs";
import * as v from "valibot";
import { beforeEach, describe, expect, test } from "@jest/globals";
import { pieceById } from "~/db/queries";
import { cutFormSchema } from "~/forms/cut";
import { furnishedRoom, ladder } from "../../test/room";
import { addStudent } from "../people/open-room";
import { cutPassage, setLadder } from "./passages";
import {
  choosePart,
  engraved,
  notationOf,
  notesFromForm,
  originalFile,
  pieceFromFile,
} from "./scores";
import { passagePart, startSession } from "../session/start-session";
import { standNotes, standPage } from "../session/stand";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeEach(async () => {
  room = await furnishedRoom();
}, 60_000);

const tune = (name: string) => new Uint8Array(readFileSync(`demo/tunes/${name}`));
const sent = (name: string, bytes: Uint8Array, more: Record<string, string> = {}): FormData => {
  const form = new FormData();
  form.set("file", new File([bytes as Uint8Array<ArrayBuffer>], name));
  for (const [key, value] of Object.entries(more)) form.set(key, value);
  return form;
};
const fromFile = async (name: string, bytes = tune(name)) => {
  const added = await pieceFromFile(room.services, room.studioId, room.personId, sent(name, bytes));
  if (!added.ok) throw new Error(added.error.errors.file);
  return { studioId: room.studioId, personId: room.personId, pieceId: added.value };
};
const abc = (bars: string, head = "M:3/4\nL:1/4\nQ:1/4=96\nK:C") =>
  new TextEncoder().encode(`X:1\nT:Weir\n${head}\n${bars}\n`);

describe("a piece from a file", () => {
  test("has its title, bars, metres, pickup and tempo, and the file can be had back", async () => {
    const of = await fromFile("ferry-at-low-water.musicxml");
    const { db } = room.services;
    expect(await pieceById(db, of.studioId, of.pieceId)).toMatchObject({
      title: "The Ferry at Low Water",
      bars: 24,
      pickupBeats: 1,
      markBpm: 96,
      metres: [{ fromBar: 1 }, { fromBar: 17 }, { fromBar: 19 }],
    });
    const file = await originalFile(room.services, of.studioId, of.pieceId);
    expect(file.file_name).toBe("ferry-at-low-water.musicxml");
    expect(Buffer.from(file.original).equals(tune("ferry-at-low-water.musicxml"))).toBe(true);
  });

  test("is engraved with a box for every bar, whole or in part", async () => {
    const { studioId, personId, pieceId } = await fromFile("ferry-at-low-water.musicxml");
    const draw = (range?: { from: number; to: number }) =>
      engraved(room.services, studioId, personId, pieceId, { width: 2400, range, allParts: false });
    const whole = (await draw())!;
    const boxes = whole.systems.flatMap(({ bars }) => bars);
    expect(boxes.map(({ bar }) => bar)).toEqual(Array.from({ length: 25 }, (_, bar) => bar));
    for (const { left, width, top, height } of boxes) {
      expect(Math.min(left, width, top, height)).toBeGreaterThan(0);
      expect(Math.max(left + width, top + height)).toBeLessThanOrEqual(1);
    }
    expect(boxes[9]!.onsets.map(([onset]) => onset)).toEqual([
      0,
      1 / 8,
      1 / 4,
      3 / 8,
      1 / 2,
      5 / 8,
    ]);
    const some = (await draw({ from: 17, to: 18 }))!;
    expect(some.systems.flatMap(({ bars }) => bars.map(({ bar }) => bar))).toEqual([17, 18]);
    // What the notes don't hold is left out, not drawn as the whole.
    const over = (await draw({ from: 23, to: 40 }))!;
    expect(over.systems.flatMap(({ bars }) => bars.map(({ bar }) => bar))).toEqual([23, 24]);
    expect(await draw({ from: 30, to: 40 })).toBeUndefined();
  });

  test("what a file says in words reaches the page as text, and nothing of it is run", async () => {
    const evil = new TextDecoder()
      .decode(tune("barge-waltz.musicxml"))
      .replace(
        "<note>",
        "<direction><direction-type><words>&lt;script&gt;x&lt;/script&gt;</words></direction-type></direction><note>",
      );
    const of = await fromFile("evil.musicxml", new TextEncoder().encode(evil));
    const asked = { width: 2400, range: undefined, allParts: false };
    const drawn = await engraved(room.services, of.studioId, of.personId, of.pieceId, asked);
    const text = JSON.stringify(drawn);
    expect(text).toContain("&lt;script&gt;");
    expect(text).not.toMatch(/<(script|style|image|foreignObject)|on\w+=|href=\\"(?!#sign-)/);
  });

  test("what can't be read leaves nothing behind", async () => {
    const { services, studioId, personId } = room;
    const refused = await pieceFromFile(services, studioId, personId, sent("a.xml", abc("")));
    expect(refused).toMatchObject({
      ok: false,
      error: { errors: { file: "There is no bar in it." } },
    });
    const none = await pieceFromFile(services, studioId, personId, new FormData());
    expect(none).toMatchObject({ ok: false, error: { errors: { file: "Choose a file first." } } });
  });
});

describe("notes for a piece that is there", () => {
  test("are laid under it where they agree; where not, it is asked before anything changes", async () => {
    const { services, studioId, personId, pieceId } = room;
    const of = { studioId, personId, pieceId };
    const other = sent("weir.abc", abc("CDE|".repeat(12)));
    const asked = await notesFromForm(services, of, other);
    expect(asked.ok || asked.error.errors.file).toMatch(/says bars: 12, the piece 16.*Tick/);
    expect(await notationOf(services, studioId, personId, pieceId)).toBeUndefined();
    const over = await notesFromForm(
      services,
      of,
      sent("weir.abc", abc("CDE|".repeat(12)), { over: "on" }),
    );
    expect(over.ok).toBe(true);
    expect(await pieceById(services.db, studioId, pieceId)).toMatchObject({ bars: 12 });
    const short = await notesFromForm(
      services,
      of,
      sent("weir.abc", abc("CDE|".repeat(3)), { over: "on" }),
    );
    expect(short.ok || short.error.errors.file).toMatch(/a passage goes to bar 8/);
  });

  test("a new edition keeps passages on their bars and tells which are numbered otherwise", async () => {
    const of = await fromFile("barge-waltz.musicxml");
    const range = { fromBar: 2, toBar: 4, pickupBeats: 0, endBeats: 0, name: "", focus: "" };
    await cutPassage(room.services, of.studioId, of, range);
    const renumbered = new TextDecoder()
      .decode(tune("barge-waltz.musicxml"))
      .replace('number="4"', 'number="3a"');
    const bytes = new TextEncoder().encode(renumbered);
    const laid = await notesFromForm(room.services, of, sent("second.musicxml", bytes));
    expect(laid).toMatchObject({
      ok: true,
      value: { edition: 2, renumbered: [{ bar: 4, was: "4", is: "3a" }] },
    });
  });

  test("the same file twice is told, and makes no edition", async () => {
    const of = await fromFile("two-ducks.abc");
    const again = await notesFromForm(room.services, of, sent("copy.abc", tune("two-ducks.abc")));
    expect(again.ok || again.error.errors.file).toMatch(/there already/);
    const notation = await notationOf(room.services, of.studioId, of.personId, of.pieceId);
    expect(notation?.edition).toBe(1);
  });

  test("a student plays one of the parts, by the name of the instrument or as chosen", async () => {
    const { services } = room;
    const two = abc('V:1 name="Oboe"\nCDE|FGA|\nV:2 name="Mandolin"\nEFG|ABc|');
    const of = await fromFile("two.abc", two);
    const part = async () =>
      (await notationOf(services, of.studioId, of.personId, of.pieceId))?.partId;
    expect(await part()).toBe("P2");
    const form = new FormData();
    form.set("part", "P1");
    await choosePart(services, of, form);
    expect(await part()).toBe("P1");
    form.set("part", "P9");
    expect((await choosePart(services, of, form)).ok).toBe(false);
  });
});

test("the stand has the notes of its passages, and of nobody else's", async () => {
  const { services, studioId, personId, pieceId, passageId } = room;
  const bytes = abc("CDE|".repeat(16));
  const laid = await notesFromForm(services, { studioId, personId, pieceId }, sent("w.abc", bytes));
  expect(laid.ok).toBe(true);
  const { sessionId } = await room.begin();
  const { music } = await standPage(services, studioId, sessionId);
  expect(Object.keys(music)).toEqual([passageId]);
  const asked = { width: 2000, range: { from: 5, to: 8 } };
  const ids = { sessionId, passageId };
  const notes = await standNotes(services, studioId, ids, asked);
  expect(notes?.systems[0]?.bars.map(({ bar }) => bar)).toEqual([5, 6, 7, 8]);
  const other = await addStudent(services, studioId, { name: "Ines", instrument: "harp" });
  const theirs = await pieceFromFile(services, studioId, other, sent("w.abc", bytes));
  if (!theirs.ok) throw new Error("refused");
  const range = { fromBar: 1, toBar: 2, pickupBeats: 0, endBeats: 0, name: "", focus: "" };
  const foreign = await cutPassage(
    services,
    studioId,
    { personId: other, pieceId: theirs.value },
    range,
  );
  expect(
    await standNotes(services, studioId, { sessionId, passageId: foreign }, asked),
  ).toBeUndefined();
});

test("repeats within a passage are played where that is chosen, and only where there are any", async () => {
  const { services, studioId, personId } = room;
  const of = await fromFile("repeats.abc", abc("CDE|[1 EFG:|[2 GAB|CDE|"));
  const cut = async (fromBar: number, toBar: number, withRepeats: boolean) => {
    const range = { fromBar, toBar, pickupBeats: 0, endBeats: 0, name: "", focus: "" };
    const id = await cutPassage(services, studioId, of, { ...range, withRepeats });
    await setLadder(services, studioId, id, ladder());
    const begun = await startSession(services, studioId, personId, [passagePart(id)]);
    if (!begun.ok) throw new Error(begun.error.sentence);
    return begun.value.plan.blocks[0]!.order;
  };
  expect(await cut(1, 4, true)).toEqual([1, 2, 1, 3, 4]);
  expect(await cut(1, 4, false)).toEqual([]);
  expect(await cut(3, 4, true)).toEqual([]);
});

test("a passage may be some beats and one hand of its bars; at the stand the other stands back", async () => {
  const { services, studioId, personId } = room;
  const of = await fromFile("barge-waltz.musicxml");
  const piece = await pieceById(services.db, studioId, of.pieceId);
  const typed = { fromBar: "5", toBar: "5", pickupBeats: "0", startBeats: "1", endBeats: "2" };
  const cut = { ...typed, name: "", focus: "", onlyNotes: "lower" };
  const read = v.parse(cutFormSchema(piece), cut);
  expect(v.safeParse(cutFormSchema(piece), { ...cut, startBeats: "3" }).success).toBe(false);
  expect(v.safeParse(cutFormSchema(piece), { ...cut, endBeats: "1" }).success).toBe(false);
  const passageId = await cutPassage(services, studioId, of, read);
  await setLadder(services, studioId, passageId, ladder());
  const begun = await startSession(services, studioId, personId, [passagePart(passageId)]);
  if (!begun.ok) throw new Error(begun.error.sentence);
  const { plan, music } = await standPage(services, studioId, begun.value.sessionId);
  expect(plan.blocks[0]).toMatchObject({ fromBar: 5, startBeats: 1, endBeats: 2 });
  expect(music[passageId]).toMatchObject({ only: "lower" });
});
