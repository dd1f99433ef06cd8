import { randomUUID } from "node:crypto";
import { tmpdir } from "node:os";
import path from "node:path";
import { mkdtemp, rm } from "node:fs/promises";
import { fitSession, USUAL_SHAPE, type Candidate } from "~/core/session";
import { layOutWeek, newItem, type LayoutItem, type Often } from "~/core/week";
import { firstLevel } from "~/core/record";
import { addDays, dayOf } from "~/core/units";
import { openDatabase, type Database } from "~/db/client";
import { insertWeek, passagesOfPerson, refreshStatistics, setTimes } from "~/db/queries";
import { addPiece, readPieceForm } from "~/server/cases/piece/add-piece";
import { addStudent, openRoom } from "~/server/cases/people/open-room";
import { cutPassage } from "~/server/cases/piece/passages";
import { told } from "~/features/records/told";
import { roomAsZip } from "~/server/cases/room/room-out";
import { weekOf } from "~/server/cases/week/board";
import { todayPage } from "~/server/cases/week/today";
import { takesAside } from "~/server/test/takes-aside";
import { printInThreads } from "~/server/print";
import { readRoomHere } from "~/server/archive/read-in-thread";
import { workHere } from "~/server/score/work";
import type { Services } from "~/server/services";
import { pieceForm } from "../demo/seed";
import { median, ms, type Figure } from "./core";
import { groupFigures } from "./group";
import { longWorkFigures } from "./long-work";
import { roomInFigures } from "./room-in";

const MONDAY = "2026-05-04";
const STUDENTS = 60;
const SESSIONS_A_YEAR = 250;
const PLAYS_A_SESSION = 24;

const candidates = (count: number): Candidate[] =>
  Array.from({ length: count }, (_, n) => ({
    passageId: `00000000-0000-4000-8000-${String(n).padStart(12, "0")}`,
    state: (["raw", "forming", "safe"] as const)[n % 3]!,
    technique: n % 4 === 0,
    costMinutes: 4 + n,
    gain: n / 100,
    daysSince: n % 9,
    daysLeft: 24,
    asked: undefined,
    reviewIn: (n % 5) - 2,
  }));

const OFTENS: readonly Often[] = [
  { kind: "daily" },
  { kind: "every-other" },
  { kind: "times", times: 3 },
  { kind: "times", times: 2 },
];

const items = (count: number): LayoutItem[] =>
  Array.from({ length: count }, (_, n) => ({
    id: `${n}`,
    often: OFTENS[n % OFTENS.length]!,
    minutes: 4 + (n % 12),
    hard: n % 5 === 0,
    doneOn: n % 7 === 0 ? [MONDAY] : [],
  }));

/** A year of one student's sessions, as their projections: what the pages read. */
async function playAYear(db: Database, studioId: string, personId: string, passageId: string) {
  const ids = Array.from({ length: SESSIONS_A_YEAR }, () => randomUUID());
  const rows = JSON.stringify(
    ids.map((id, n) => ({ id, ago: Math.floor((n * 365) / ids.length) })),
  );
  // The least that a session can be: reading the room in looks at each.
  const parts = [{ kind: "free", minutes: 10, text: "", block: null }];
  const plan = JSON.stringify({ version: 2, rules: 2, noVerdict: "wait", blocks: [], parts });
  await db.execute(
    `insert into session (id, studio_id, person_id, plan, created_at)
     select id, $1, $2, $3::jsonb, now() - ago * interval '1 day'
     from jsonb_to_recordset($4::jsonb) as made (id uuid, ago integer)`,
    [studioId, personId, plan, rows],
  );
  await db.execute(
    `insert into session_outcome (session_id, studio_id, person_id, day, started_at, last_at, ended, notes)
     select id, $1, $2, current_date - ago, now() - ago * interval '1 day', now(), 'finished', '[]'
     from jsonb_to_recordset($3::jsonb) as made (id uuid, ago integer)`,
    [studioId, personId, rows],
  );
  await db.execute(
    `insert into session_block (session_id, position, studio_id, person_id, passage_id, day,
       start_tempo, end_tempo, reached_tempo, target_tempo, plays, clean, active_seconds, topped_out)
     select id, 1, $1, $2, $3, current_date - ago, 60, 80, 78, 96, 24, 19, 720, false
     from jsonb_to_recordset($4::jsonb) as made (id uuid, ago integer)`,
    [studioId, personId, passageId, rows],
  );
  await db.execute(
    `insert into passage_day (studio_id, passage_id, day, reached_tempo, comfortable,
       comfortable_low, comfortable_high, ceiling, ceiling_low, ceiling_high, level)
     select distinct on (ago) $1::uuid, $2::uuid, current_date - ago, 78, 70, 66, 74, 84, 80, 90,
       $4::jsonb
     from jsonb_to_recordset($3::jsonb) as made (id uuid, ago integer)`,
    [studioId, passageId, rows, JSON.stringify(firstLevel(96))],
  );
  await writePlays(db, studioId, passageId, rows);
}

/** The plays of those sessions with the events that they were counted from. */
async function writePlays(db: Database, studioId: string, passageId: string, rows: string) {
  const each = `from jsonb_to_recordset($2::jsonb) as made (id uuid, ago integer),
    generate_series(1, ${PLAYS_A_SESSION}) as play`;
  await db.execute(
    `insert into session_event (id, session_id, studio_id, seq, at, kind, payload)
     select gen_random_uuid(), made.id, $1, 2 * play + half, now() - ago * interval '1 day'
       + (60 * play + half) * interval '1 second', case half when 0 then 'played' else 'judged' end,
       case half when 0 then jsonb_build_object('tempo', 60 + play, 'seconds', 21.5,
         'fromBar', 1, 'toBar', 8, 'complete', true)
       else jsonb_build_object('play', gen_random_uuid(), 'verdict', 'clean') end
     ${each}, generate_series(0, 1) as half`,
    [studioId, rows],
  );
  await db.execute(
    `insert into rep (id, session_id, studio_id, passage_id, day, at, tempo, verdict, from_bar, to_bar)
     select gen_random_uuid(), made.id, $1, $3, current_date - ago,
       now() - ago * interval '1 day' + 60 * play * interval '1 second', 60 + play,
       case when play % 5 = 0 then 'flawed' else 'clean' end, 1, 8
     ${each}`,
    [studioId, rows, passageId],
  );
}

const PIECE = {
  title: "The Ferry at Low Water",
  notes: "",
  origin: "",
  kind: "piece",
  bars: 16,
  metre: "3/4",
  markBpm: 96,
  markUnit: "quarter",
  passages: [],
} as const;

async function fullRoom(services: Services & { db: Database }) {
  const names = { room: "Full", teacher: "Odile", self: false, name: "First", instrument: "" };
  const opened = await openRoom(services, { ...names, timeZone: "Europe/London" });
  if (!opened.ok) throw new Error(JSON.stringify(opened.error));
  const { studioId, studentId } = opened.value;
  const today = dayOf(services.now(), "Europe/London");
  for (let n = 0; n < STUDENTS; n++) {
    const personId =
      n === 0
        ? studentId
        : await addStudent(services, studioId, { name: `Student ${n}`, instrument: "oboe" });
    const form = readPieceForm(pieceForm(PIECE));
    if (!form.ok) throw new Error("The piece was refused.");
    const pieceId = await addPiece(services, studioId, personId, form.value);
    const range = { fromBar: 1, toBar: 8, pickupBeats: 0, endBeats: 0, name: "", focus: "" };
    const passageId = await cutPassage(services, studioId, { personId, pieceId }, range);
    const windows = [0, 1, 2, 3, 4].map((weekday) => ({ weekday, from: "17:00", minutes: 30 }));
    await setTimes(services.db, studioId, personId, {
      windows,
      lesson: null,
      dates: [],
      limits: null,
    });
    const item = newItem(randomUUID(), { passageId, title: "The Ferry at Low Water" });
    const text = { items: [item, { ...item, id: randomUUID() }], word: "", shape: null };
    const days = { from: addDays(today, -3), until: addDays(today, 4) };
    const at = new Date(services.now());
    await insertWeek(services.db, studioId, { id: randomUUID(), personId, ...days, text, at });
    await playAYear(services.db, studioId, personId, passageId);
  }
  await refreshStatistics(services.db);
  const [passage] = await passagesOfPerson(services.db, studioId, studentId);
  return { studioId, studentId, pieceId: passage!.pieceId };
}

const timed = async (times: number, work: () => Promise<unknown>): Promise<number> => {
  const found: number[] = [];
  for (let n = 0; n < times; n++) {
    const begun = performance.now();
    await work();
    found.push(performance.now() - begun);
  }
  return found.toSorted((a, b) => a - b)[Math.floor(times / 2)]!;
};

/** The whole room as a zip, read to its end and thrown away. */
async function roomOut(services: Services, studioId: string): Promise<Figure[]> {
  const before = process.memoryUsage().rss;
  let most = before;
  let bytes = 0;
  const begun = performance.now();
  for await (const chunk of roomAsZip(services, told, studioId, { withSounds: false })) {
    bytes += chunk.length;
    most = Math.max(most, process.memoryUsage().rss);
  }
  const megabytes = (count: number) => `${Math.round(count / 1e6)} MB`;
  return [
    {
      what: `the same room taken along as a zip, ${STUDENTS * SESSIONS_A_YEAR * PLAYS_A_SESSION} plays`,
      value: `${ms(performance.now() - begun)}, ${megabytes(bytes)}, at most ${megabytes(most - before)} more memory`,
    },
  ];
}

/** The fitter, the week, and the board of a full room after a year, server time only. */
export async function planningFigures(): Promise<Figure[]> {
  const many = candidates(24);
  const day = (n: number) => ({ day: addDays(MONDAY, n), minutes: 120, room: 100 });
  const week = [0, 1, 2, 3, 4, 5, 6].map(day);
  const sixty = items(60);
  const fit = (minutes: number) => () =>
    fitSession({ minutes, shape: USUAL_SHAPE, candidates: many });
  const figures: Figure[] = [
    { what: "a session of 45 min fitted, 24 passages", value: ms(median(51, fit(45))) },
    { what: "a session of 4 h fitted, 24 passages", value: ms(median(51, fit(240))) },
    {
      what: "a week of 60 items laid out",
      value: ms(median(51, () => layOutWeek(sixty, week, MONDAY))),
    },
  ];
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
  const { studioId, studentId, pieceId } = await fullRoom(services);
  const board = await timed(15, () => weekOf(services, studioId));
  figures.push({
    what: `week board, ${STUDENTS} students, ${STUDENTS * SESSIONS_A_YEAR} sessions in a year`,
    value: ms(board),
  });
  const today = await timed(15, () => todayPage(services, studioId, studentId));
  figures.push({ what: "today of one of them", value: ms(today) });
  figures.push(...(await groupFigures(services, { studioId, pieceId, timed })));
  figures.push(...(await roomOut(services, studioId)));
  figures.push(...(await roomInFigures(services, studioId)));
  figures.push(...(await longWorkFigures(services, directory, { studioId, studentId })));
  await db.close();
  await rm(directory, { recursive: true, force: true });
  return figures;
}
