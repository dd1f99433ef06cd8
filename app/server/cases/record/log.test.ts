import { beforeEach, expect, test } from "@jest/globals";
import { insertByHand } from "~/db/queries";
import { furnishedRoom } from "../../test/room";
import { logPage } from "./log";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeEach(async () => {
  room = await furnishedRoom();
}, 60_000);

const QUERY = {
  find: "",
  kind: "",
  from: "",
  to: "",
  sort: "day",
  down: true,
  page: 0,
  rows: 25,
} as const;
const page = (query = {}, studioId = room.studioId) =>
  logPage(room.services, studioId, room.personId, { ...QUERY, ...query });
const notes = async (query = {}) => (await page(query)).lines.map(({ note }) => note);

test("the log is found in, filtered, sorted and given a page at a time; its sums are of all pages", async () => {
  const { services, studioId, personId } = room;
  for (let n = 1; n <= 30; n++) {
    const day = `2026-03-${String(n).padStart(2, "0")}`;
    const entry = { id: services.newId(), day, minutes: n, item_id: null, note: `Entry ${n}` };
    await insertByHand(services.db, studioId, personId, entry);
  }
  const first = await page();
  expect(first.lines).toHaveLength(25);
  expect(first.totals).toMatchObject({ lines: 30, sessions: 0, days: 30, minutes: 465 });
  expect((await notes({ page: 1 })).at(-1)).toBe("Entry 1");
  expect((await notes({ sort: "minutes", down: false })).slice(0, 2)).toEqual([
    "Entry 1",
    "Entry 2",
  ]);
  expect(await notes({ find: "ENTRY 27" })).toEqual(["Entry 27"]);
  expect(await notes({ find: "100%" })).toEqual([]);
  expect(await notes({ from: "2026-03-29", to: "2026-03-29" })).toEqual(["Entry 29"]);
  expect(await notes({ kind: "played" })).toEqual([]);
});

test("another room sees nothing of it", async () => {
  const { studioId } = await room.open("Mill Lane");
  await expect(page({}, studioId)).rejects.toThrow();
});
