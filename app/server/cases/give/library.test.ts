import { beforeEach, expect, test } from "@jest/globals";
import type { SchoolName } from "~/core/ladder";
import { furnishedRoom, ladder } from "../../test/room";
import { exercisesOf, passagesOfPerson } from "~/db/queries";
import { addStudent } from "../people/open-room";
import { giveExercise, keepAsExercise } from "./exercises";
import { actOnLibrary, keepInLibrary, libraryPage, readKept } from "./library";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeEach(async () => {
  room = await furnishedRoom();
}, 60_000);

const QUERY = { find: "", kind: "", sort: "name", down: false, page: 0, rows: 25 } as const;
const lines = async (studioId = room.studioId, query = {}, schools: SchoolName[] = []) =>
  (await libraryPage(room.services, studioId, { ...QUERY, ...query }, schools)).lines;
const names = async (studioId = room.studioId, query = {}) =>
  (await lines(studioId, query)).map(({ name }) => name);
const form = (fields: Readonly<Record<string, string>>) => {
  const made = new FormData();
  for (const [name, value] of Object.entries(fields)) made.set(name, value);
  return made;
};
const act = (intent: string, id: string, more = {}, studioId = room.studioId) =>
  actOnLibrary(room.services, studioId, form({ intent, kind: "ladder", id, ...more }));

test("a ladder is kept under a name, replaced under the same one, and taken out", async () => {
  const { services, studioId } = room;
  const part = { fromBar: 5, toBar: 6 };
  const keep = (name: string, change = {}) =>
    keepInLibrary(services, studioId, { name, ladder: ladder({ part, ...change }) });
  await keep("Ökonomisch");
  await keep("Opening");
  await keep("Opening", { target: 120 });
  expect(await names()).toEqual(["Ökonomisch", "Opening"]);
  const kept = await lines();
  expect(kept[1]?.ladder).toMatchObject({ target: 120, part: null });
  const again = await act("rename", kept[0]!.id, { name: "Opening" });
  expect(again.ok || again.error.errors.name).toContain("called “Opening” already");
  await act("rename", kept[0]!.id, { name: "Weir" });
  expect(await names()).toEqual(["Opening", "Weir"]);
  await act("remove", kept[0]!.id);
  expect(await names()).toEqual(["Opening"]);
});

test("a room sees nothing of another's library and can't take from it", async () => {
  const { services, studioId, open } = room;
  await keepInLibrary(services, studioId, { name: "Ours", ladder: ladder() });
  const elsewhere = await open("Mill Lane");
  expect(await names(elsewhere.studioId)).toEqual([]);
  const [ours] = await lines();
  await expect(act("remove", ours!.id, {}, elsewhere.studioId)).rejects.toThrow("nothing of that");
  expect(await names()).toEqual(["Ours"]);
});

test("without a name, or with an impossible ladder, it is told what is wrong", () => {
  const kept = (name: string, text: string) => readKept(form({ name, ladder: text }));
  const errors = (read: ReturnType<typeof kept>) => (read.ok ? {} : read.error.errors);
  expect(errors(kept(" ", JSON.stringify(ladder())))).toEqual({ name: "Give it a name." });
  expect(errors(kept("A", "{"))).toHaveProperty("form");
  expect(kept("A", JSON.stringify(ladder())).ok).toBe(true);
});

test("it is searched by name and by school, sorted, and given a page at a time", async () => {
  const { services, studioId } = room;
  for (let n = 1; n <= 30; n++) {
    const name = `Way ${String(n).padStart(2, "0")}`;
    await keepInLibrary(services, studioId, { name, ladder: ladder() });
  }
  expect(await names(studioId, { page: 1 })).toEqual([
    "Way 26",
    "Way 27",
    "Way 28",
    "Way 29",
    "Way 30",
  ]);
  expect((await names(studioId, { down: true }))[0]).toBe("Way 30");
  expect(await names(studioId, { find: "way 07" })).toEqual(["Way 07"]);
  expect(await names(studioId, { find: "even" })).toEqual([]);
  expect(await lines(studioId, { find: "even" }, ["even-steps"])).toHaveLength(25);
  expect(await names(studioId, { kind: "exercise" })).toEqual([]);
});

test("an exercise is given with its passages and ladders, and knows what it was given from", async () => {
  const { services, studioId, personId, pieceId } = room;
  const where = { studioId, personId, pieceId };
  const keep = () => keepAsExercise(services, where, form({ exercise: "Sluice drill" }));
  expect((await keep()).ok).toBe(true);
  await keep();
  const [exercise] = await exercisesOf(services.db, studioId);
  const student = { name: "Wanda", instrument: "oboe" };
  const other = await addStudent(services, studioId, student);
  const ids = await giveExercise(services, studioId, exercise!.id, [personId, other]);
  const theirs = await passagesOfPerson(services.db, studioId, other);
  expect(theirs.map(({ id }) => id)).toEqual(ids);
  expect(theirs[0]!.given).toMatchObject({ from: exercise!.id, number: 2, changed: false });
  const mine = await passagesOfPerson(services.db, studioId, personId);
  expect(theirs.map(({ ladder: its }) => its?.target)).toEqual(
    mine.filter((each) => each.pieceId === pieceId).map(({ ladder: its }) => its?.target),
  );
  // Given twice it is there once.
  await giveExercise(services, studioId, exercise!.id, [other]);
  expect(await passagesOfPerson(services.db, studioId, other)).toHaveLength(theirs.length);
});
