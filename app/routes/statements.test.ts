import { randomUUID } from "node:crypto";
import { beforeEach, expect, test } from "@jest/globals";
import { newItem } from "~/core/week";
import type { Services } from "~/server/services";
import { furnishedRoom } from "~/server/test/room";
import { lessonPage } from "~/server/cases/week/lesson";
import { setWeek } from "~/server/cases/week/set-week";
import { studentPage } from "~/server/cases/people/student-pages";
import { todayPage } from "~/server/cases/week/today";
import { weekPage } from "~/server/cases/week/student-week";
import { weekOf } from "~/server/cases/week/board";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeEach(async () => {
  room = await furnishedRoom();
  const { services, studioId, personId, passageId } = room;
  const item = newItem(randomUUID(), { passageId, title: "Ferry" });
  const set = await setWeek(services, studioId, personId, {
    ...{ version: 0, after: null, from: "2026-05-04", until: "2026-05-11", decisions: {} },
    text: { items: [item], word: "", shape: null },
  });
  expect(set.ok).toBe(true);
}, 60_000);

/** How many statements a page asks, once what is kept of days is kept. */
async function statements(page: (services: Services) => Promise<unknown>): Promise<number> {
  let asked = 0;
  const { db } = room.services;
  const counted: Services["db"] = {
    ...db,
    one: (...of) => (asked++, db.one(...of)),
    maybeOne: (...of) => (asked++, db.maybeOne(...of)),
    many: (...of) => (asked++, db.many(...of)),
    execute: (...of) => (asked++, db.execute(...of)),
  };
  await page({ ...room.services, db: counted });
  asked = 0;
  await page({ ...room.services, db: counted });
  return asked;
}

test.each([
  ["today", 8, todayPage],
  ["lesson", 8, lessonPage],
  ["week", 8, weekPage],
  ["student", 6, studentPage],
  ["board", 6, weekOf],
] as const)("%s asks the database at most %i times", async (_, most, page) => {
  const { studioId, personId } = room;
  const asked = await statements((services) => page(services, studioId, personId as never));
  expect(asked).toBeGreaterThan(0);
  expect(asked).toBeLessThanOrEqual(most);
});
