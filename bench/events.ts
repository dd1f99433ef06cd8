import { randomUUID } from "node:crypto";
import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import type { SessionEvent } from "~/core/session";
import { openDatabase } from "~/db/client";
import { insertEvents, insertSession } from "~/db/queries";
import { addPiece, readPieceForm } from "~/server/cases/piece/add-piece";
import { appendEvents } from "~/server/cases/session/append-events";
import { openRoom } from "~/server/cases/people/open-room";
import { cutPassage, setLadder } from "~/server/cases/piece/passages";
import { rebuildProjections } from "~/server/cases/session/rebuild";
import { passagePart, startSession } from "~/server/cases/session/start-session";
import { takesAside } from "~/server/test/takes-aside";
import { printInThreads } from "~/server/print";
import { readRoomHere } from "~/server/archive/read-in-thread";
import { workHere } from "~/server/score/work";
import type { Services } from "~/server/services";
import { aLadder } from "~/core/ladder/test/fixtures";
import { pieceForm } from "../demo/seed";
import { ms, type Figure } from "./core";

const SESSIONS = 1250;
const PLAYS = 40;
const LONG = 400;
const DAY_MS = 86_400_000;
const FIRST_DAY = Date.UTC(2021, 0, 4, 17);

/** So many plays with their verdicts, one in five flawed. */
export function playsFrom(startsAt: number, plays: number): SessionEvent[] {
  const events: object[] = [{ kind: "opened", payload: {} }];
  for (let n = 0; n < plays; n++) {
    const id = randomUUID();
    const bars = { tempo: 60, seconds: 9, fromBar: 5, toBar: 8, complete: true };
    events.push({ id, kind: "played", payload: bars });
    const verdict = n % 5 === 4 ? "flawed" : "clean";
    events.push({ kind: "judged", payload: { play: id, verdict } });
  }
  return events.map(
    (event, seq) =>
      ({ id: randomUUID(), seq, at: startsAt + seq * 9000, ...event }) as SessionEvent,
  );
}

/** A room with a student, a piece, a passage and a ladder. */
export async function oneStudent(services: Services) {
  const names = { room: "Years", teacher: "Odile", self: false, name: "First", instrument: "" };
  const opened = await openRoom(services, { ...names, timeZone: "Europe/London" });
  if (!opened.ok) throw new Error(JSON.stringify(opened.error));
  const { studioId, studentId: personId } = opened.value;
  const piece = { title: "Years", notes: "", origin: "", kind: "piece" as const, bars: 16 };
  const form = readPieceForm(
    pieceForm({ ...piece, metre: "3/4", markBpm: 96, markUnit: "quarter", passages: [] }),
  );
  if (!form.ok) throw new Error("The piece was refused.");
  const pieceId = await addPiece(services, studioId, personId, form.value);
  const range = { fromBar: 5, toBar: 8, pickupBeats: 0, endBeats: 0, name: "", focus: "" };
  const passageId = await cutPassage(services, studioId, { personId, pieceId }, range);
  const ladder = aLadder({ name: "even-steps", numbers: { step: 4 } }, 60, 96);
  await setLadder(services, studioId, passageId, ladder);
  return { studioId, personId, passageId };
}

type Student = Awaited<ReturnType<typeof oneStudent>>;

async function beginSession(services: Services, { studioId, personId, passageId }: Student) {
  const begun = await startSession(services, studioId, personId, [passagePart(passageId)]);
  if (!begun.ok) throw new Error(begun.error.sentence);
  return begun.value;
}

const EARLY = 100;
const LATE = 10_000;
const MEASURED = 50;
const BATCH = 200;

const median = (all: readonly number[]) => all.toSorted((a, b) => a - b)[all.length >> 1]!;

/** Processor time of one more event early and late in a session, in milliseconds. */
async function processorTimes(append: (events: readonly SessionEvent[]) => Promise<unknown>) {
  const events = playsFrom(Date.now() - DAY_MS, LATE / 2 + MEASURED);
  const times: number[] = [];
  for (const from of [EARLY, LATE]) {
    let at = from === EARLY ? 0 : EARLY + MEASURED;
    for (; at < from; at += BATCH) await append(events.slice(at, Math.min(from, at + BATCH)));
    const took: number[] = [];
    for (const event of events.slice(from, from + MEASURED)) {
      const before = process.cpuUsage();
      await append([event]);
      const { user, system } = process.cpuUsage(before);
      took.push((user + system) / 1000);
    }
    times.push(median(took));
  }
  return times;
}

/** One more event of a long session, and five years of a student counted again. */
export async function eventFigures(): Promise<Figure[]> {
  const directory = await mkdtemp(path.join(tmpdir(), "fidus-bench-"));
  const db = await openDatabase(process.cwd(), directory);
  const services = {
    db,
    now: Date.now,
    newId: randomUUID,
    scores: workHere(),
    readRoom: readRoomHere,
    print: printInThreads(path.resolve("build/threads/print.js")),
    takes: takesAside(),
  };
  const { studioId, personId, passageId } = await oneStudent(services);
  const begin = () => beginSession(services, { studioId, personId, passageId });
  const { sessionId, plan } = await begin();
  const took: number[] = [];
  for (const event of playsFrom(Date.now() - 3_600_000, LONG)) {
    const begun = performance.now();
    await appendEvents(services, studioId, sessionId, [event]);
    took.push(performance.now() - begun);
  }
  const another = await oneStudent(services);
  const long = await beginSession(services, another);
  const [early, far] = await processorTimes((events) =>
    appendEvents(services, another.studioId, long.sessionId, events),
  );
  for (let n = 0; n < SESSIONS; n++) {
    const id = randomUUID();
    const createdAt = new Date(FIRST_DAY + Math.floor((n * 1825) / SESSIONS) * DAY_MS);
    await insertSession(db, studioId, { id, personId, plan, createdAt });
    await insertEvents(db, studioId, id, playsFrom(createdAt.getTime(), PLAYS), {
      receivedAt: createdAt,
      clockOffset: 0,
    });
  }
  const begun = performance.now();
  await rebuildProjections(services, studioId);
  const rebuilt = performance.now() - begun;
  const last = await begin();
  const late: number[] = [];
  for (const event of playsFrom(Date.now(), 20)) {
    const at = performance.now();
    await appendEvents(services, studioId, last.sessionId, [event]);
    late.push(performance.now() - at);
  }
  await db.close();
  await rm(directory, { recursive: true, force: true });
  return [
    {
      what: "one more event, first and last 50 of 801",
      value: `${ms(median(took.slice(1, 51)))}, ${ms(median(took.slice(-50)))}`,
    },
    {
      what: `processor time of one more event at ${EARLY} and at ${LATE} of a session`,
      value: `${ms(early!)}, ${ms(far!)}: ${(far! / early!).toFixed(2)} times`,
    },
    { what: "one more event after five years", value: ms(median(late)) },
    {
      what: `five years of a student (${SESSIONS * PLAYS} plays) counted again`,
      value: ms(rebuilt),
    },
  ];
}
