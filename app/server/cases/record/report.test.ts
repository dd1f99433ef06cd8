import { randomUUID } from "node:crypto";
import { expect, test } from "@jest/globals";
import { newItem } from "~/core/week";
import { addDays } from "~/core/units";
import { furnishedRoom } from "../../test/room";
import { addByHand } from "../week/by-hand";
import { reportPage } from "./report";
import { setWeek } from "../week/set-week";

const DAY = "2026-05-04";
const DAY_MS = 86_400_000;

test("whoever comes within a period is counted from that day, and it is said", async () => {
  const { services, studioId, personId, clock } = await furnishedRoom();
  const week = { version: 0, after: null, from: DAY, until: addDays(DAY, 7), decisions: {} };
  const text = { items: [newItem(randomUUID(), { title: "Scales" })], word: "", shape: null };
  expect((await setWeek(services, studioId, personId, { ...week, text })).ok).toBe(true);
  clock.now += 6 * DAY_MS;
  for (const daysAgo of ["0", "1"]) {
    const form = new FormData();
    for (const [name, value] of Object.entries({
      ...{ id: randomUUID(), minutes: "25", daysAgo, itemId: "" },
    })) {
      form.set(name, value);
    }
    expect((await addByHand(services, studioId, personId, form)).ok).toBe(true);
  }
  const of = async (from: string) => {
    const query = { group: "", person: personId, from, to: addDays(DAY, 6) };
    return (await reportPage(services, studioId, query)).lines[0]!;
  };
  const early = await of(addDays(DAY, -21));
  expect(early).toMatchObject({ since: DAY, weeks: 1, minutes: 50, days: 2, regularity: 2 / 7 });
  // The same as in a report of that week alone, which says nothing of it.
  expect(await of(DAY)).toEqual({ ...early, since: undefined });
  const long = await of(addDays(DAY, 6));
  expect(long).toMatchObject({ since: undefined, weeks: 1 / 7, minutes: 25 });
}, 60_000);
