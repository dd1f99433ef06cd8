import { expect, test } from "@jest/globals";
import { EventWriter, furnishedRoom } from "../../test/room";
import { outAndIn } from "../../test/round-trip";
import { afterwardsPage } from "./afterwards";
import { appendEvents } from "./append-events";
import { progressPage } from "../piece/passage-pages";
import { rebuildProjections } from "./rebuild";
import { roomRows } from "../../test/room-rows";

const measured = (play: string, spread: number, bias: number) => ({
  ...{ play, source: "taps", bias, spread, met: 8, missed: 0, extra: 1 },
  offsets: [-12, 4],
});

test("what was measured of a play is kept, shown, counted anew and carried by the room's file", async () => {
  const { services, clock, studioId, passageId, begin } = await furnishedRoom();
  const { sessionId } = await begin();
  const stand = new EventWriter(clock.now);
  stand.write("opened");
  const payload = { tempo: 60, seconds: 8, fromBar: 5, toBar: 8, complete: true };
  const first = stand.write("played", payload);
  stand.write("measured", measured(first, 12, 20));
  stand.write("judged", { play: first, verdict: "clean" });
  const second = stand.write("played", payload);
  stand.write("judged", { play: second, verdict: "flawed" });
  // It may be heard only later, and told another way in the end.
  stand.write("measured", measured(second, 90, 40));
  stand.write("measured", measured(second, 16, 40));
  // An earlier form told the spread with the play itself.
  stand.write("played", { ...payload, spread: 30 });
  const sent = await appendEvents(services, studioId, sessionId, stand.events);
  expect(sent.ok).toBe(true);

  const kept = async () => (await roomRows(services.db, studioId))["rep_measure"];
  const rows = await kept();
  expect(rows).toHaveLength(3);
  const together = Math.sqrt((7 * 144 + 7 * 256 + 900) / 15);
  const page = await afterwardsPage(services, studioId, sessionId);
  expect(page!.evenness).toMatchObject([
    { passage_id: passageId, spread: expect.closeTo(together, 6), bias: 30 },
  ]);
  const { days } = await progressPage(services, studioId, passageId);
  expect(days[0]!.spread).toBeCloseTo(together, 6);

  await rebuildProjections(services, studioId);
  expect(await kept()).toEqual(rows);
  await outAndIn(services, studioId, "Odile");
}, 120_000);
