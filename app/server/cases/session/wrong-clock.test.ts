import { expect, test } from "@jest/globals";
import { dayOf } from "~/core/units";
import { logEntry } from "~/db/queries";
import { EventWriter, furnishedRoom } from "../../test/room";
import { appendEvents } from "./append-events";
import { rebuildProjections } from "./rebuild";

const DAY_MS = 86_400_000;
const HOUR_MS = 3_600_000;

test("a device three days ahead, heard of only the day after, practised on the day it did", async () => {
  const off = 3 * DAY_MS;
  const { services, clock, studioId, begin } = await furnishedRoom();
  const { sessionId } = await begin();
  const stand = new EventWriter(clock.now + off);
  stand.write("opened");
  stand.plays(60, "cc");
  const day = dayOf(clock.now, "Europe/London");
  clock.now += 30 * HOUR_MS;
  const sent = await appendEvents(services, studioId, sessionId, stand.events, clock.now + off);
  expect(sent.ok).toBe(true);
  expect((await logEntry(services.db, studioId, sessionId))!.day).toBe(day);
  // Counted again, it is the same day.
  await rebuildProjections(services, studioId);
  expect((await logEntry(services.db, studioId, sessionId))!.day).toBe(day);
}, 60_000);
