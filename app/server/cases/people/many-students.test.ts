import { beforeEach, expect, test } from "@jest/globals";
import { CHILD_LIMITS } from "~/core/week";
import { studentById } from "~/db/queries";
import { furnishedRoom } from "../../test/room";
import { accessPage } from "./access";
import { addMany, readList } from "./many-students";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeEach(async () => {
  room = await furnishedRoom();
}, 60_000);

const read = (list: string, more: Readonly<Record<string, string>> = {}) => {
  const form = new FormData();
  for (const [key, value] of Object.entries({ list, ...more })) form.set(key, value);
  return readList(room.services, room.studioId, form);
};
const added = async (list: string, more: Readonly<Record<string, string>> = {}) => {
  const { services, studioId } = room;
  const listed = await read(list, more);
  if (!listed.ok) throw new Error(JSON.stringify(listed.error));
  const tickets = await addMany(services, studioId, listed.value.students, listed.value.codeDays);
  return Promise.all(
    tickets.map(async (ticket) => ({
      ...ticket,
      times: (await studentById(services.db, studioId, ticket.id)).times,
    })),
  );
};

test("a list of names becomes students, each with a link and a code; a bad line is named", async () => {
  const tickets = await added("Ada Wren, harp\n\nBen\tviola\nCleo");
  expect(tickets.map(({ name, instrument }) => [name, instrument])).toEqual([
    ["Ada Wren", "harp"],
    ["Ben", "viola"],
    ["Cleo", ""],
  ]);
  expect(new Set(tickets.map(({ link }) => link)).size).toBe(3);
  const { accesses } = await accessPage(room.services, room.studioId, tickets[0]!.id);
  expect(accesses.map(({ kind }) => kind).toSorted()).toEqual(["code", "link"]);
  expect(tickets[0]!.times.windows).toEqual([]);
  expect(await read(", harp")).toMatchObject({ error: { errors: { list: /name/ } } });
});

test("further columns are the lesson, practice times and a child's limits", async () => {
  const [ada, ben, cleo] = await added(
    "Ada, harp, Thu 9:30, Mon Thu 25, child\nBen;viola;;Mon–Wed 40\nCleo,,sunday 17.00,20 min",
  );
  expect(ada!.times).toMatchObject({
    lesson: { weekday: 3, from: "09:30" },
    windows: [
      { weekday: 0, minutes: 25 },
      { weekday: 3, minutes: 25 },
    ],
    limits: CHILD_LIMITS,
  });
  expect(ben!.times.windows.map(({ weekday }) => weekday)).toEqual([0, 1, 2]);
  expect(ben!.times).toMatchObject({ lesson: null, limits: null });
  // Practice on the day of the lesson lies beside it.
  const sunday = cleo!.times.windows.find(({ weekday }) => weekday === 6)!;
  expect(cleo!.times.windows).toHaveLength(7);
  expect(sunday.from).not.toBe("17:00");
  for (const [line, sentence] of [
    ["Dora, oboe, sometime", /Thu 15:30/],
    ["Dora, oboe, Thu 25:30", /Thu 15:30/],
    ["Dora, oboe, , Mon Xyz 20", /Mon Wed Fri 25/],
    ["Dora, oboe, , 900", /240|minutes/],
    ["Dora, oboe, , 20, adult", /child/],
  ] as const) {
    expect(await read(line)).toMatchObject({ error: { errors: { list: sentence } } });
  }
});

test("a name that is there already is asked about, in the list and in the studio", async () => {
  await added("Ada Wren");
  for (const list of ["ada  wren, harp", "Ben\nBen"]) {
    const refused = await read(list);
    expect(refused).toMatchObject({ ok: false, error: { values: { list } } });
    expect(refused).toMatchObject({ error: { errors: { twice: /more than one student named/ } } });
    expect((await read(list, { twice: "add" })).ok).toBe(true);
  }
});

test("the codes of a list work for a day, or for a week", async () => {
  const until = async (codes: string, name: string) => {
    const [ticket] = await added(name, { codes });
    const { accesses } = await accessPage(room.services, room.studioId, ticket!.id);
    return accesses.find(({ kind }) => kind === "code")!.expires_at!.getTime();
  };
  const DAY_MS = 86_400_000;
  expect(await until("day", "Ada")).toBe(room.clock.now + DAY_MS);
  expect(await until("week", "Ben")).toBe(room.clock.now + 7 * DAY_MS);
});
