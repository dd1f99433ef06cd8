import { randomUUID } from "node:crypto";
import { expect, test } from "@jest/globals";
import { newItem } from "~/core/week";
import { giveWeek } from "~/server/cases/give/give-week";
import { lessonPage } from "~/server/cases/week/lesson";
import { addMany } from "~/server/cases/people/many-students";
import { setWeek } from "~/server/cases/week/set-week";
import type { Services } from "~/server/services";
import { furnishedRoom } from "~/server/test/room";

const MANY = 12;
const MOST_FOR_EACH = 10;

/** Statements inside of transactions, counted. */
function counting({ db, ...rest }: Services) {
  let asked = 0;
  type Tx = Parameters<Parameters<typeof db.transaction>[0]>[0];
  const counted = (tx: Tx): Tx => ({
    one: (...of) => (asked++, tx.one(...of)),
    maybeOne: (...of) => (asked++, tx.maybeOne(...of)),
    many: (...of) => (asked++, tx.many(...of)),
    execute: (...of) => (asked++, tx.execute(...of)),
  });
  const transaction: typeof db.transaction = (work) => db.transaction((tx) => work(counted(tx)));
  return { services: { ...rest, db: { ...db, transaction } }, asked: () => asked };
}

test("a week is given to many with few statements each, and lies beside what goes on for them", async () => {
  const { services, studioId, personId, passageId, clock } = await furnishedRoom();
  const week = { version: 0, after: null, from: "2026-05-04", until: "2026-05-11", decisions: {} };
  const set = async (to: string, items: readonly ReturnType<typeof newItem>[]) => {
    const text = { items: [...items], word: "", shape: null };
    const done = await setWeek(services, studioId, to, { ...week, text });
    if (!done.ok) throw new Error(JSON.stringify(done.error));
    return done.value.id;
  };
  const item = newItem(randomUUID(), { passageId, title: "Ferry" });
  const weekId = await set(personId, [item]);
  const names = Array.from({ length: MANY }, (_, n) => ({ name: `Player ${n}`, instrument: "" }));
  const ids = (await addMany(services, studioId, names)).map(({ id }) => id);
  const own = newItem(randomUUID(), { title: "Long notes", kind: "technique" });
  await set(ids[0]!, [own]);

  const counted = counting(services);
  const given = { to: ids, items: [item.id] };
  const give = () => giveWeek(counted.services, studioId, { personId, weekId }, given);
  expect(await give()).toBe(MANY);
  expect(counted.asked() / MANY).toBeLessThanOrEqual(MOST_FOR_EACH);

  // A week later, at the lesson: what goes on, and what was given, once.
  clock.now += 7 * 86_400_000;
  expect(await give()).toBe(MANY);
  const titles = async (id: string) =>
    (await lessonPage(services, studioId, id)).draft.text.items.map(({ title }) => title);
  expect(await titles(ids[0]!)).toEqual(["Long notes", "Ferry"]);
  expect(await titles(ids[1]!)).toEqual(["Ferry"]);
}, 60_000);
