import { randomUUID } from "node:crypto";
import { beforeEach, describe, expect, test } from "@jest/globals";
import { whoIs } from "~/db/queries";
import { Throttle } from "../../access/throttle";
import { furnishedRoom, NOON } from "../../test/room";
import { accessPage, actOnAccess } from "./access";
import { chooseConcert } from "./concert";
import { memoryOfPiece, markStands, planMemory } from "../heart/memory";
import { addStudent, openRoom, type NewRoom } from "./open-room";
import { choosePassword, linksForTeachers } from "./passwords";
import { deskOf } from "./rooms";
import { actOnShapes, shapeActSchema } from "../week/shapes";
import {
  beginSignIn,
  linkOpens,
  signInToDemo,
  signInWithCode,
  signInWithLink,
  signInWithPassword,
  signOut,
} from "./sign-in";
import { chooseTimes, timesPage } from "../week/times";
import { todayPage } from "../week/today";
import * as v from "valibot";

const DAY_MS = 86_400_000;
const TODAY = "2026-05-04";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
let trying: { throttle: Throttle; address: string };
/** Nobody else of this database signs in with it. */
let ruth: string;
beforeEach(async () => {
  ruth = `ruth-${randomUUID().slice(0, 8)}`;
  room = await furnishedRoom();
  trying = { throttle: new Throttle(() => room.clock.now), address: "192.0.2.1" };
}, 60_000);

const form = (fields: Record<string, string>) => {
  const made = new FormData();
  for (const [key, value] of Object.entries(fields)) made.set(key, value);
  return made;
};
const act = async (what: Parameters<typeof actOnAccess>[3]) => {
  const done = await actOnAccess(room.services, room.studioId, room.personId, what);
  if (done === "done") throw new Error("Nothing was made.");
  return done.secret;
};
const secretOf = (path: string) => path.split("/").at(-1)!;
const newRoom = (change: Partial<NewRoom> = {}): NewRoom => ({
  room: "Kiln Yard",
  teacher: "Ruth",
  self: false,
  name: "Ada",
  instrument: "harp",
  timeZone: "Europe/London",
  signIn: ruth,
  password: "slow and even",
  ...change,
});
async function opened(change: Partial<NewRoom> = {}) {
  const made = await openRoom(room.services, newRoom(change));
  if (!made.ok) throw new Error(JSON.stringify(made.error));
  return made.value;
}

describe("coming in", () => {
  test("with name and password, and with nothing else", async () => {
    await opened();
    const enter = (name: string, password: string) =>
      signInWithPassword(room.services, trying, name, password);
    const known = await enter(ruth, "slow and even");
    expect(known.ok && (await whoIs(room.services.db, known.value))).toMatchObject({
      name: "Ruth",
      role: "teacher",
    });
    expect(await enter(ruth, "slow and uneven")).toMatchObject({ error: { status: 401 } });
    expect(await enter("odile", "slow and even")).toMatchObject({ error: { status: 401 } });
    for (let n = 0; n < 6; n++) await enter(ruth, `guess ${n}`);
    // Slowed down even with the right one; after a while it opens.
    expect(await enter(ruth, "slow and even")).toMatchObject({ error: { status: 429 } });
    room.clock.now += DAY_MS;
    expect((await enter(ruth, "slow and even")).ok).toBe(true);
  });

  test("a sign-in name is one person's; nothing of a refused room is written", async () => {
    await opened();
    const again = await openRoom(room.services, newRoom({ room: "Another" }));
    expect(again).toMatchObject({ ok: false, error: { signIn: expect.stringMatching("already") } });
    const { studioId, teacherId } = await opened({ signIn: `maud-${ruth}` });
    const who = { studioId, personId: teacherId };
    const taken = await choosePassword(room.services, who, {
      signIn: ruth,
      password: "another long one",
    });
    expect(taken.ok).toBe(false);
  });

  test("a link opens as often as it is used, a new one ends the old and what it opened", async () => {
    const first = secretOf(await act({ act: "link" }));
    const come = (secret: string) => signInWithLink(room.services, trying, secret);
    const [one, two] = [await come(first), await come(first)];
    expect(one.ok && two.ok).toBe(true);
    const second = secretOf(await act({ act: "link" }));
    expect((await come(first)).ok).toBe(false);
    expect(await linkOpens(room.services, first)).toBe(false);
    expect(await linkOpens(room.services, second)).toBe(true);
    expect(one.ok && (await whoIs(room.services.db, one.value))).toBeUndefined();
    const { accesses } = await accessPage(room.services, room.studioId, room.personId);
    expect(accesses).toHaveLength(1);
  });

  test("a code opens once, within a day, and leaves in what it let in", async () => {
    const come = (code: string) => signInWithCode(room.services, trying, code);
    const code = await act({ act: "code" });
    const late = await act({ act: "code" });
    expect((await come(code)).ok).toBe(false);
    const typed = ` ${late.toLowerCase()} `;
    // Tried twelve times at the same moment, one comes in.
    const tried = await Promise.all(Array.from({ length: 12 }, () => come(typed)));
    const [inside, ...more] = tried.filter(({ ok }) => ok);
    expect(more).toEqual([]);
    if (!inside?.ok) throw new Error("The code was refused.");
    expect((await come(late)).ok).toBe(false);
    expect(await whoIs(room.services.db, inside.value)).toBeDefined();
    const old = await act({ act: "code" });
    room.clock.now += 2 * DAY_MS;
    expect((await come(old)).ok).toBe(false);
  });

  test("a parent looks on exactly the child; out everywhere means everywhere", async () => {
    const secret = secretOf(await act({ act: "parent", name: "Hanne" }));
    const inside = await signInWithLink(room.services, trying, secret);
    if (!inside.ok) throw new Error("The link was refused.");
    const parent = (await whoIs(room.services.db, inside.value))!;
    expect(parent).toMatchObject({ role: "parent", plays: false, looksOn: [room.personId] });
    expect(await deskOf(room.services, parent)).toMatchObject({
      mine: room.personId,
      looksOnly: true,
      teaches: false,
    });
    const other = await signInWithLink(room.services, trying, secret);
    await signOut(room.services, parent, false);
    expect(await whoIs(room.services.db, inside.value)).toBeUndefined();
    expect(other.ok && (await whoIs(room.services.db, other.value))).toBeDefined();
    await signOut(room.services, parent, true);
    expect(other.ok && (await whoIs(room.services.db, other.value))).toBeUndefined();
  });

  test("nobody of a room that is no demo comes in on one press", async () => {
    expect(await signInToDemo(room.services, room.personId)).toBeUndefined();
    const { studentId } = await opened({ demo: true, signIn: "demo" });
    expect(await signInToDemo(room.services, studentId)).toBeDefined();
  });

  test("a teacher from before there were passwords is given a way in for an hour", async () => {
    room = await furnishedRoom({ alone: true });
    await opened();
    const [link, ...others] = await linksForTeachers(room.services);
    expect(others).toEqual([]);
    expect(link).toMatchObject({ name: "Odile", path: expect.stringMatching(/\?to=\/password$/) });
    const secret = secretOf(link!.path.replace("?to=/password", ""));
    expect(await linkOpens(room.services, secret)).toBe(true);
    room.clock.now += 2 * 3_600_000;
    expect(await linkOpens(room.services, secret)).toBe(false);
    await room.services.db.close();
  });

  test("someone teaching themself is teacher and student in one", async () => {
    const { studioId, teacherId, studentId } = await opened({ self: true, name: "" });
    expect(studentId).toBe(teacherId);
    const signIn = await beginSignIn(room.services, { id: teacherId, studio_id: studioId });
    const who = (await whoIs(room.services.db, signIn))!;
    expect(await deskOf(room.services, who)).toMatchObject({ teaches: true, mine: teacherId });
    expect((await todayPage(room.services, studioId, teacherId)).person.name).toBe("Ruth");
  });
});

describe("what is said of a student", () => {
  test("times are kept, impossible ones leave them as they were", async () => {
    const { services, studioId, personId } = room;
    const window = { weekday: 0, from: "17:00", minutes: 25 };
    const choose = (windows: object[]) =>
      chooseTimes(
        services,
        studioId,
        personId,
        form({ times: JSON.stringify({ windows, lesson: null }) }),
        true,
      );
    expect((await choose([window])).ok).toBe(true);
    expect((await todayPage(services, studioId, personId)).minutes).toBe(25);
    expect(await choose([])).toMatchObject({
      error: { errors: { form: expect.stringMatching("at least one day") } },
    });
    expect((await chooseTimes(services, studioId, personId, form({ times: "{" }), true)).ok).toBe(
      false,
    );
    expect((await timesPage(services, studioId, personId)).times.windows).toEqual([window]);
  });

  test("a piece by heart: ahead or behind of the plan, a concert that is over refused", async () => {
    const { services, studioId, personId, pieceId, clock } = room;
    const ids = { studioId, personId, pieceId };
    const plan = {
      unit: "bars",
      total: "16",
      from: TODAY,
      concert: "2026-06-01",
      marginWeeks: "0",
    };
    expect((await planMemory(services, ids, form(plan))).ok).toBe(true);
    clock.now = NOON + 14 * DAY_MS;
    const stands = (count: string) =>
      markStands(services, studioId, personId, form({ pieceId, stands: count }));
    expect((await stands("6")).ok).toBe(true);
    const today = "2026-05-18";
    expect(await memoryOfPiece(services, studioId, personId, pieceId, today)).toMatchObject({
      stands: 6,
      should: 8,
      aheadDays: -4,
    });
    expect((await stands("-1")).ok).toBe(false);
    const over = await planMemory(services, ids, form({ ...plan, concert: "2026-05-10" }));
    expect(over).toMatchObject({ error: { errors: { concert: expect.stringMatching("over") } } });
  });

  test("a concert lies ahead, and a shape has its least below its most", async () => {
    const { services, studioId, personId } = room;
    const concert = (day: string) =>
      chooseConcert(services, studioId, form({ name: "Lanterns", day }));
    expect((await concert("2026-05-03")).ok).toBe(false);
    expect((await concert("soon")).ok).toBe(false);
    expect((await concert(TODAY)).ok).toBe(true);

    const keep = (minimum: number) => {
      const block = { kind: "free", priority: 3, always: false, text: "" };
      const span = { minimum, ideal: 5, maximum: 6 };
      return v.safeParse(shapeActSchema, {
        act: "keep",
        name: "Short",
        shape: JSON.stringify([{ ...block, span }]),
      });
    };
    expect(keep(7).success).toBe(false);
    const good = keep(2);
    if (!good.success) throw new Error("The shape was refused.");
    const shared = { ...good.output, shared: true };
    const other = await addStudent(services, studioId, { name: "Ben", instrument: "" });
    const seen = async () => (await todayPage(services, studioId, other)).shapes.length;
    // Only a teacher shares a plan with the room.
    await actOnShapes(services, studioId, personId, shared, true);
    expect(await seen()).toBe(1);
    await actOnShapes(services, studioId, personId, shared, false);
    expect(await seen()).toBe(0);
    const { shapes } = await todayPage(services, studioId, personId);
    expect(shapes.map(({ name }) => name)).toEqual(["Short"]);
    await actOnShapes(services, studioId, personId, { act: "forget", id: shapes[0]!.id }, false);
    expect((await todayPage(services, studioId, personId)).shapes).toEqual([]);
  });
});
