import { beforeEach, expect, test } from "@jest/globals";
import { furnishedRoom } from "../../test/room";
import { aWav } from "../../test/sounds";
import {
  addDemonstration,
  alongWith,
  demonstrationSound,
  demonstrationsPage,
  dropDemonstration,
  markDemonstration,
} from "./demonstrations";
import { sweepTakes } from "./takes";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeEach(async () => {
  room = await furnishedRoom();
}, 60_000);

const sent = (bytes: BlobPart, name = "As it goes.wav") => {
  const form = new FormData();
  form.set("file", new File([bytes], name));
  return form;
};
/** The same in each room of the file: what sounds alike is one file. */
const wav: BlobPart = new Uint8Array(aWav());
const add = async () => {
  const added = await addDemonstration(room.services, room, sent(wav));
  if (!added.ok) throw new Error(JSON.stringify(added.error));
  return added.value;
};
const mark = (id: string, places: unknown, even = "") => {
  const form = new FormData();
  form.set("demonstration", id);
  form.set("places", JSON.stringify(places));
  form.set("even", even);
  return markDemonstration(room.services, room, form);
};

test("a sound is brought once, whatever it is called, marked, and played along with at its bars", async () => {
  const { services, studioId, begin } = room;
  const id = await add();
  expect(await add()).toBe(id);
  const { plan } = await begin();
  expect(await alongWith(services.db, studioId, plan)).toEqual({});
  const places = [
    { bar: 1, at: 1 },
    { bar: 9, at: 17 },
  ];
  expect(await mark(id, places)).toMatchObject({ ok: true });
  const page = await demonstrationsPage(services, room);
  expect(page.demonstrations).toEqual([{ id, name: "As it goes", places }]);
  expect(Object.values(await alongWith(services.db, studioId, plan))).toEqual([
    { id, name: "As it goes", fromBar: 5, lines: [9, 11, 13, 15, 17] },
  ]);
});

test.each([
  ["nothing", sent(""), "The file is empty."],
  ["no file", new FormData(), "Choose a file first."],
  [
    "twelve right bytes",
    sent("RIFF\u0020\u0000\u0000\u0000WAVEfmt and what follows"),
    "That is no sound",
  ],
  ["a picture", sent("\u0089PNG and so on", "sound.mp3"), "That is no sound that Fidus knows"],
])("%s is refused with a sentence", async (_what, form, sentence) => {
  const done = await addDemonstration(room.services, room, form);
  expect(done).toMatchObject({
    ok: false,
    error: { errors: { file: expect.stringContaining(sentence) } },
  });
  expect((await demonstrationsPage(room.services, room)).demonstrations).toEqual([]);
});

test.each([
  [[{ bar: 1, at: 0 }], "Mark at least two bar lines."],
  [
    [
      { bar: 2, at: 3 },
      { bar: 3, at: 2 },
    ],
    "A later bar begins later.",
  ],
  [
    [
      { bar: 1, at: 0 },
      { bar: 99, at: 2 },
    ],
    "The piece has 16 bars.",
  ],
])("bars that can't be are not kept: %j", async (places, sentence) => {
  expect(await mark(await add(), places)).toEqual({ ok: false, error: sentence });
});

test("it is swept away with its row, not before, and nobody hears it who has not got the piece", async () => {
  const { services, studioId, personId } = room;
  const id = await add();
  expect((await sweepTakes(services)).missing).toEqual([]);
  expect(await demonstrationSound(services, room, id)).toMatchObject({ mediaType: "audio/wav" });
  const other = await room.open("Another room");
  const stranger = { studioId: other.studioId, personId: other.studentId! };
  await expect(demonstrationSound(services, stranger, id)).rejects.toMatchObject({
    kind: "not-found",
  });
  await dropDemonstration(services, studioId, id);
  await expect(demonstrationSound(services, { studioId, personId }, id)).rejects.toMatchObject({
    kind: "not-found",
  });
});
