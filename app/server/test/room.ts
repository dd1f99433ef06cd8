import { afterAll, expect } from "@jest/globals";
import { aLadder } from "~/core/ladder/test/fixtures";
import { EventWriter, NOON } from "~/core/session/test/event-writer";
import type { Database } from "~/db/client";
import { memoryDatabase } from "~/db/test/memory";
import { addPiece, readPieceForm } from "../cases/piece/add-piece";
import { openRoom } from "../cases/people/open-room";
import { cutPassage, setLadder } from "../cases/piece/passages";
import { passagePart, startSession } from "../cases/session/start-session";
import { servicesOver } from "./services-over";

export { EventWriter, NOON };

export const pieceForm = (change: Record<string, string> = {}): FormData => {
  const form = new FormData();
  const fields = {
    title: "The Ferry at Low Water",
    origin: "",
    kind: "piece",
    bars: "16",
    metre: "3/4",
    changes: "",
    pickupBeats: "0",
    markBpm: "96",
    markUnit: "quarter",
    ...change,
  };
  for (const [key, value] of Object.entries(fields)) form.set(key, value);
  return form;
};

export const ladder = (change: object = {}) =>
  aLadder({ name: "even-steps", numbers: { step: 10 } }, 60, 90, {
    gate: [{ kind: "in-a-row", plays: 2, afterFlawed: "reset" }],
    ...change,
  });

/** What use cases are given, over a database and at a time. */
/** One database for all the rooms of a test file: each test has a room of its own in it. */
let house: Promise<Database> | undefined;
afterAll(async () => (await house)?.close());

/**
 * A room with a student, a piece, a passage of bars 5–8 and a ladder, ready to be played; `alone`
 * in a database of its own, or `over` one,
 * which the test closes.
 */
export async function furnishedRoom({
  alone = false,
  over,
}: { readonly alone?: boolean; readonly over?: Database } = {}) {
  const db = over ?? (await (alone ? memoryDatabase() : (house ??= memoryDatabase())));
  const clock = { now: NOON };
  const services = servicesOver(db, () => clock.now);
  const open = async (room: string) => {
    const names = { room, teacher: "Odile", name: "Tomasz", instrument: "mandolin" };
    const opened = await openRoom(services, { ...names, self: false, timeZone: "Europe/London" });
    if (!opened.ok) throw new Error(JSON.stringify(opened.error));
    return opened.value;
  };
  const { studioId, studentId: personId } = await open("Weir Lane");
  const form = readPieceForm(pieceForm());
  if (!form.ok) throw new Error(JSON.stringify(form.error));
  const pieceId = await addPiece(services, studioId, personId, form.value);
  const range = { fromBar: 5, toBar: 8, pickupBeats: 0, endBeats: 0, name: "", focus: "" };
  const passageId = await cutPassage(services, studioId, { personId, pieceId }, range);
  await setLadder(services, studioId, passageId, ladder());
  const begin = async () => {
    const started = await startSession(services, studioId, personId, [passagePart(passageId)]);
    expect(started.ok).toBe(true);
    if (!started.ok) throw new Error(started.error.sentence);
    return started.value;
  };
  return { services, clock, open, studioId, personId, pieceId, passageId, begin };
}
