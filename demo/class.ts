import { Learner, seeded, seededUuid, simulateSitting, type Random } from "~/core/simulate";
import type { Take } from "~/core/listen";
import { addDays, type Day } from "~/core/units";
import type { SessionEvent } from "~/core/session";
import { groupItems, landedOf } from "~/db/queries";
import { addPiece, readPieceForm } from "~/server/cases/piece/add-piece";
import { appendEvents } from "~/server/cases/session/append-events";
import { setGroupItem, writeGroup } from "~/server/cases/group/groups";
import { answerTo, handIn, handInsOf } from "~/server/cases/take/hand-ins";
import { addStudent } from "~/server/cases/people/open-room";
import { ask } from "~/server/cases/record/questions";
import { cutPassage, setLadder } from "~/server/cases/piece/passages";
import { passagePart, startSession } from "~/server/cases/session/start-session";
import { layOutNotes } from "~/server/cases/piece/scores";
import type { SentFile } from "~/server/cases/room/sent-file";
import { keepTake, sayHeard, takeMore } from "~/server/cases/take/takes";
import { chooseTimes } from "~/server/cases/week/times";
import type { Services } from "~/server/services";
import { createHash } from "node:crypto";
import { demonstrate } from "./class-demonstration";
import { CLASS, type ClassPlayer } from "./class-players";
import { soundOfTake } from "./class-sound";
import { ladderOf } from "./ladders";

const SEED = 20_261_001;
const DAY_MS = 86_400_000;
const EVENING_MS = 18 * 3_600_000;
/** The item was set so many days ago, and goes on so long. */
const SET_DAYS_AGO = 8;
const DUE_IN = 3;
const MINUTES = 9;
const LONG_TONES = {
  schools: [{ name: "even-steps" }],
  start: 40,
  target: 60,
  rule: "comfortable",
  minutes: 8,
} as const;

const formOf = (
  fields: Readonly<Record<string, string | number>>,
  members: readonly string[] = [],
) => {
  const form = new FormData();
  for (const [key, value] of Object.entries(fields)) form.set(key, String(value));
  for (const member of members) form.append("member", member);
  return form;
};

/** Throws what a use case was refused with: the demo itself must be right. */
function insist<T>(done: { readonly ok: true; readonly value: T } | { readonly ok: false }): T {
  if (!done.ok) throw new Error(`The class was refused: ${JSON.stringify(done)}`);
  return done.value;
}

interface Seat {
  readonly id: string;
  readonly player: ClassPlayer;
  readonly learner: Learner;
}

/**
 * A band of twelve, with a piece that was set for all of them: nine have practised it, six have
 * handed a take in. With ids and chances of its own, so that nobody else's history changes.
 */
export async function seedClass(services: Services, studioId: string, tune: SentFile, today: Day) {
  const random = seeded(SEED);
  let now = services.now();
  const past: Services = { ...services, now: () => now, newId: () => seededUuid(random) };
  const at = (daysAgo: number, minutes = 0) => {
    const midnight = Date.parse(`${addDays(today, -daysAgo)}T00:00:00Z`);
    const evening = midnight + EVENING_MS + minutes * 60_000;
    now = Math.min(evening, services.now() - DAY_MS / 12);
  };
  at(SET_DAYS_AGO + 1);
  const seats: Seat[] = [];
  for (const player of CLASS.players) {
    const { name, instrument, ability } = player;
    const id = await addStudent(past, studioId, { name, instrument });
    const traits = { plateau: ability * 1.5, learning: 0.004, forgetting: 0.02, fatigue: 0.0006 };
    const learner = new Learner({ ability, width: 0.075, ...traits }, random);
    seats.push({ id, player, learner });
    const windows = player.minutes.flatMap((minutes, weekday) =>
      minutes > 0 ? { weekday, from: "17:00", minutes } : [],
    );
    const times = JSON.stringify({ windows, lesson: null });
    insist(await chooseTimes(past, studioId, id, formOf({ times }), true));
  }
  const pieceId = await layPiece(past, studioId, seats[0]!.id, tune);
  await demonstrate(past, { studioId, pieceId });
  const groupId = past.newId();
  const group = formOf(
    { name: CLASS.name, kind: "ensemble" },
    seats.map(({ id }) => id),
  );
  insist(await writeGroup(past, studioId, groupId, group));
  await hurtOne(past, studioId, seats, random);
  at(SET_DAYS_AGO);
  await setItems(past, { studioId, groupId, pieceId, until: addDays(today, DUE_IN) }, seats);
  for (let daysAgo = SET_DAYS_AGO; daysAgo >= 0; daysAgo--) {
    for (const [place, seat] of seats.entries()) {
      at(daysAgo, place * 5);
      if (!seat.player.days.includes(daysAgo)) continue;
      await practise(past, studioId, { seat, groupId, daysAgo, random });
    }
  }
  now = services.now();
  for (const { id, player } of seats) {
    if (!player.asks) continue;
    const question = { act: "ask" as const, id: past.newId(), text: player.asks };
    await ask(past, studioId, id, question);
  }
}

async function layPiece(services: Services, studioId: string, personId: string, tune: SentFile) {
  const { title, bars, mark } = CLASS.piece;
  const fields = { title, origin: "written for the Ropewalk room", kind: "piece", bars };
  const metre = { metre: "4/4", changes: "", pickupBeats: 0, markBpm: mark, markUnit: "quarter" };
  const form = insist(readPieceForm(formOf({ ...fields, ...metre })));
  const pieceId = await addPiece(services, studioId, personId, form);
  insist(await layOutNotes(services, { studioId, personId, pieceId }, tune));
  return pieceId;
}

interface Set {
  readonly studioId: string;
  readonly groupId: string;
  readonly pieceId: string;
  readonly until: Day;
}

async function setItems(past: Services, set: Set, seats: readonly Seat[]) {
  const { studioId, groupId, pieceId, until } = set;
  const { fromBar, toBar, title, mark, focus } = CLASS.piece;
  const music = { pieceId, fromBar, toBar, target: mark, keptLadderId: "" };
  const base = { times: 5, note: "", until };
  const bars = {
    ...base,
    ...music,
    kind: "piece",
    focus,
    minutes: MINUTES,
    bring: "recording",
    recordRun: 3,
  };
  const named = { id: past.newId(), title: `${title}, bars ${fromBar}–${toBar}` };
  const all = seats.map(({ id }) => id);
  insist(await setGroupItem(past, studioId, groupId, formOf({ ...bars, ...named }, all)));
  const clap = { ...base, kind: "theory", title: "Clap the rhythm of bars 9 to 16", focus: "" };
  const nothing = { pieceId: "", fromBar: "", toBar: "", target: "", keptLadderId: "" };
  const more = { id: past.newId(), minutes: 3, bring: "nothing", ...nothing };
  const chosen = seats.filter(({ player }) => !player.excused).map(({ id }) => id);
  // A minute later, so that the two have an order.
  const later = { ...past, now: () => past.now() + 60_000 };
  insist(await setGroupItem(later, studioId, groupId, formOf({ ...clap, ...more }, chosen)));
}

/** Somebody stopped for pain the day before the piece was set: it does not come to them. */
async function hurtOne(past: Services, studioId: string, seats: readonly Seat[], random: Random) {
  const seat = seats.find(({ player }) => player.hurt);
  if (!seat) return;
  const pieceForm = { title: "Long tones", origin: "", kind: "drill", bars: 4 };
  const metre = { metre: "4/4", changes: "", pickupBeats: 0, markBpm: 60, markUnit: "quarter" };
  const form = insist(readPieceForm(formOf({ ...pieceForm, ...metre })));
  const pieceId = await addPiece(past, studioId, seat.id, form);
  const range = { fromBar: 1, toBar: 4, pickupBeats: 0, endBeats: 0, name: "", focus: "" };
  const passageId = await cutPassage(past, studioId, { personId: seat.id, pieceId }, range);
  await setLadder(past, studioId, passageId, ladderOf({ ladder: LONG_TONES }));
  const started = insist(
    await startSession(past, studioId, seat.id, [passagePart(passageId, 8)], "fine"),
  );
  const events = simulateSitting({
    plan: started.plan,
    learners: [seat.learner],
    startsAt: past.now(),
    minutes: [8],
    painAfter: 4,
    random,
  });
  await appendEvents(past, studioId, started.sessionId, events);
}

interface Evening {
  readonly seat: Seat;
  readonly groupId: string;
  readonly daysAgo: number;
  readonly random: Random;
}

async function practise(past: Services, studioId: string, evening: Evening) {
  const { seat, groupId, daysAgo, random } = evening;
  const items = await groupItems(past.db, studioId, groupId, "2000-01-01");
  const bars = items.find(({ asked }) => asked.music !== null);
  const landed = (await landedOf(past.db, studioId, [bars!.id])).find(
    ({ person_id }) => person_id === seat.id,
  );
  const passageId = landed?.item?.passageId;
  if (!passageId) return;
  const parts = [passagePart(passageId, MINUTES)];
  const started = insist(await startSession(past, studioId, seat.id, parts, "fine"));
  seat.learner.sleep(1);
  const events = simulateSitting({
    plan: started.plan,
    learners: [seat.learner],
    startsAt: past.now(),
    minutes: [MINUTES * (0.7 + 0.4 * random())],
    weakBars: seat.player.weakBars,
    tells: 1,
    random,
  });
  await appendEvents(past, studioId, started.sessionId, events);
  const { weakBars, handsIn } = seat.player;
  const recorded = { passageId, events, weakBars };
  if (seat.player.listensBack) {
    await listenBack(past, { studioId, sessionId: started.sessionId, listener: seat.id }, recorded);
  }
  if (handsIn?.daysAgo !== daysAgo) return;
  const of = { studioId, sessionId: started.sessionId, takeId: past.newId() };
  const takeId = await record(past, of, recorded, (plays) => plays.at(-1));
  if (!takeId) return;
  const { asks } = await handInsOf(past, studioId, takeId);
  const line = { id: past.newId(), item: asks[0]!.id, line: handsIn.line };
  insist(await handIn(past, studioId, takeId, formOf(line)));
  if (!handsIn.rating) return;
  const { handedIn } = await handInsOf(past, studioId, takeId);
  const answer = { handIn: handedIn[0]!.id, answer: "heard", rating: handsIn.rating };
  insist(await answerTo(past, studioId, takeId, formOf(answer)));
}

interface Recorded {
  readonly passageId: string;
  readonly events: readonly SessionEvent[];
  readonly weakBars: readonly number[];
}

type Played = Extract<SessionEvent, { kind: "played" }>;

/**
 * A take of one of a session's plays, if there is such a one: plucked tones, a little late where a
 * bar is weak.
 */
async function record(
  past: Services,
  of: { readonly studioId: string; readonly sessionId: string; readonly takeId: string },
  { passageId, events, weakBars }: Recorded,
  choose: (plays: readonly Played[]) => Played | undefined,
) {
  const play = choose(events.filter((event) => event.kind === "played"));
  if (!play) return undefined;
  const { tempo, fromBar, toBar } = play.payload;
  const { sound, ...about } = await soundOfTake({ tempo, fromBar, toBar, weakBars });
  const hash = createHash("sha256").update(sound).digest("hex");
  const known = { play: play.id, passage: passageId, at: play.at, tempo, rung: 0 };
  const take: Take = { ...about, ...known };
  insist(await takeMore(past, of, 0, sound));
  insist(await keepTake(past, of, { take, bytes: sound.length, hash }));
  return of.takeId;
}

/** Takes of an evening's first and last clean and last flawed play; weak bars are heard in each. */
async function listenBack(
  past: Services,
  of: { readonly studioId: string; readonly sessionId: string; readonly listener: string },
  recorded: Recorded,
) {
  const { studioId, sessionId, listener } = of;
  const judged = (verdict: "clean" | "flawed") => {
    const those = recorded.events.flatMap((event) =>
      event.kind === "judged" && event.payload.verdict === verdict ? [event.payload.play] : [],
    );
    return [those[0], those.at(-1)];
  };
  const chosen = new Set([...judged("clean"), judged("flawed")[1]]);
  // From the session's id, so that nobody else's ids or chances move.
  const random = seeded(Number.parseInt(sessionId.slice(0, 7), 16));
  for (const id of chosen) {
    const takeId = seededUuid(random);
    const one = (plays: readonly Played[]) => plays.find((play) => play.id === id);
    if (!(await record(past, { studioId, sessionId, takeId }, recorded, one))) continue;
    const heard = new FormData();
    for (const bar of recorded.weakBars) heard.append("flawed", String(bar));
    insist(await sayHeard(past, studioId, { takeId, listener }, heard));
  }
}
