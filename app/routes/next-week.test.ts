import { randomUUID } from "node:crypto";
import { beforeEach, expect, test } from "@jest/globals";
import { newItem, type AssignmentItem } from "~/core/week";
import { EventWriter, furnishedRoom } from "~/server/test/room";
import { appendEvents } from "~/server/cases/session/append-events";
import { lessonPage } from "~/server/cases/week/lesson";
import { setWeek } from "~/server/cases/week/set-week";

const MONDAY = "2026-05-04";
const DAY_MS = 86_400_000;

let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeEach(async () => {
  room = await furnishedRoom();
}, 60_000);

async function weekOf(change: Partial<AssignmentItem>): Promise<void> {
  const { services, studioId, personId, passageId } = room;
  const item = newItem(randomUUID(), { passageId, title: "Ferry", minutes: 12, ...change });
  const set = await setWeek(services, studioId, personId, {
    ...{ version: 0, after: null, from: MONDAY, until: "2026-05-11", decisions: {} },
    text: { items: [item], word: "", shape: null },
  });
  expect(set.ok).toBe(true);
}

async function practises(verdicts: string, how = "finished"): Promise<void> {
  const { sessionId } = await room.begin();
  const stand = new EventWriter(room.clock.now);
  stand.write("opened");
  stand.plays(60, verdicts, 6);
  stand.write("ended", { how });
  await appendEvents(room.services, room.studioId, sessionId, stand.events);
}

async function nextLesson() {
  room.clock.now += 7 * DAY_MS;
  const { last, draft, passages, hurts } = await lessonPage(
    room.services,
    room.studioId,
    room.personId,
  );
  return { review: last!.items[0]!, next: draft.text.items[0]!, passage: passages[0]!, hurts };
}

test("carrying over never raises a tempo on its own; a higher one is offered, up to where it breaks", async () => {
  await weekOf({ goalTempo: 60 });
  await practises("cccccc");
  const { review, next, passage } = await nextLesson();
  expect(next).toMatchObject({ origin: "carried", goalTempo: 60 });
  expect(review.raise).toBeGreaterThan(60);
  expect(review.raise).toBeLessThanOrEqual(passage.target!);
  if (passage.ceiling !== null) expect(review.raise).toBeLessThanOrEqual(passage.ceiling);
});

test("a goal that lies far above what was reached comes down, with its reason, and is not offered higher", async () => {
  await weekOf({ goalTempo: 90 });
  await practises("ffffff");
  const { review, next } = await nextLesson();
  expect(next.goalTempo).toBeLessThan(90);
  expect(review.lowered).toMatchObject({ tempo: 60 });
  expect(review.raise).toBeUndefined();
});

test("after a stop for pain half of the minutes is suggested, and no tempo that isn't comfortable", async () => {
  await weekOf({ goalTempo: 90 });
  await practises("ccf", "pain");
  const { review, next, passage, hurts } = await nextLesson();
  expect(hurts).toBe(true);
  expect(next.minutes).toBe(6);
  expect(next.goalTempo).toBeLessThanOrEqual(passage.comfortable!);
  expect(review.raise).toBeUndefined();
});

test("a passage that is new is asked to what can be reached in a week, not to its full tempo", async () => {
  const { passages } = await lessonPage(room.services, room.studioId, room.personId);
  expect(passages[0]!.inAWeek).toBeGreaterThanOrEqual(passages[0]!.start!);
  expect(passages[0]!.inAWeek).toBeLessThan(passages[0]!.target!);
});
