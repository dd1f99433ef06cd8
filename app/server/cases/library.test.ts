import { beforeEach, expect, test } from "@jest/globals";
import { furnishedRoom, ladder } from "../test/room";
import { keepInLibrary, libraryPage, readKept, takeOutOfLibrary } from "./library";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeEach(async () => {
  room = await furnishedRoom();
}, 60_000);

const names = async (studioId = room.studioId) =>
  (await libraryPage(room.services, studioId)).kept.map(({ name }) => name);

test("a ladder is kept under a name, replaced under the same one, and taken out", async () => {
  const { services, studioId } = room;
  const part = { fromBar: 5, toBar: 6 };
  const keep = (name: string, change = {}) =>
    keepInLibrary(services, studioId, { name, ladder: ladder({ part, ...change }) });
  await keep("Ökonomisch");
  await keep("Opening");
  await keep("Opening", { target: 120 });
  expect(await names()).toEqual(["Ökonomisch", "Opening"]);
  const { kept } = await libraryPage(services, studioId);
  expect(kept[1]?.ladder).toMatchObject({ target: 120, part: null });
  await takeOutOfLibrary(services, studioId, kept[0]!.id);
  expect(await names()).toEqual(["Opening"]);
});

test("a room sees nothing of another's library and can't take from it", async () => {
  const { services, studioId, open } = room;
  await keepInLibrary(services, studioId, { name: "Ours", ladder: ladder() });
  const elsewhere = await open("Mill Lane");
  expect(await names(elsewhere.studioId)).toEqual([]);
  const [ours] = (await libraryPage(services, studioId)).kept;
  await expect(takeOutOfLibrary(services, elsewhere.studioId, ours!.id)).rejects.toThrow("no such");
  expect(await names()).toEqual(["Ours"]);
});

test("without a name, or with an impossible ladder, it is told what is wrong", () => {
  const form = (name: string, text: string) => {
    const made = new FormData();
    made.set("name", name);
    made.set("ladder", text);
    return readKept(made);
  };
  const errors = (read: ReturnType<typeof form>) => (read.ok ? {} : read.error.errors);
  expect(errors(form(" ", JSON.stringify(ladder())))).toEqual({ name: "Give it a name." });
  expect(errors(form("A", "{"))).toHaveProperty("form");
  expect(form("A", JSON.stringify(ladder())).ok).toBe(true);
});
