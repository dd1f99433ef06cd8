import { readFile } from "node:fs/promises";
import path from "node:path";
import { ladderAtFull } from "~/core/ladder";
import {
  simulateSitting,
  Learner,
  seeded,
  seededUuid,
  type Playing,
  type Random,
} from "~/core/simulate";
import { addDays, dayOf } from "~/core/units";
import { passageById } from "~/db/queries";
import { addPiece, readPieceForm } from "~/server/cases/piece/add-piece";
import { appendEvents } from "~/server/cases/session/append-events";
import { addStudent, openRoom } from "~/server/cases/people/open-room";
import { keepAsExercise } from "~/server/cases/give/exercises";
import { keepInLibrary } from "~/server/cases/give/library";
import { cutPassage, setLadder } from "~/server/cases/piece/passages";
import { passageTempo } from "~/server/plan/passage-tempo";
import { setConcert } from "~/server/cases/people/rooms";
import { setTempi } from "~/server/cases/piece/tempi";
import { measurePassages } from "~/server/cases/piece/trouble";
import { drawBars, layPages } from "~/server/cases/piece/paper";
import { layOutNotes } from "~/server/cases/piece/scores";
import type { SentFile } from "~/server/cases/room/sent-file";
import { actOnShapes } from "~/server/cases/week/shapes";
import { passagePart, startSession } from "~/server/cases/session/start-session";
import type { Services } from "~/server/services";
import { seedClass } from "./class";
import { CLASS } from "./class-players";
import { ladderOf } from "./ladders";
import { DemoLessons } from "./weeks";
import {
  CONCERT_PLAN,
  KEPT,
  ROOM,
  type DemoPassage,
  type DemoPiece,
  type DemoStudent,
  type Told,
} from "./scenario";
import { STUDENTS } from "./students";
import { WHOLE } from "./tempi";

const SEED = 20_260_504;
const DAY_MS = 86_400_000;
/** A sitting that is told comes before what else is played on its day. */
const TOLD_EARLIER_MS = 3_600_000;
const PRACTICE_HOUR_MS = 17 * 3_600_000;
/** Since when weeks have been set. */
const LESSON_DAYS = 27;
const ORDINARY = { learning: 0.003, forgetting: 0.02, fatigue: 0.0006, width: 0.075 };

interface Practising {
  readonly passageId: string;
  readonly passage: DemoPassage;
  readonly learner: Learner;
}

/** A piece as its form sends it. */
export function pieceForm(piece: DemoPiece): FormData {
  const form = new FormData();
  const { title, origin, kind, bars, metre, changes, pickupBeats, markBpm, markUnit } = piece;
  const fields = { title, origin, kind, bars, metre, changes, pickupBeats, markBpm, markUnit };
  for (const [key, value] of Object.entries(fields)) form.set(key, String(value ?? ""));
  form.set("pickupBeats", String(pickupBeats ?? 0));
  return form;
}

/** Plays with these verdicts, over and over. */
function asTold(verdicts: string): Playing {
  let played = 0;
  return {
    cleanAt: () => 0.5,
    play: () => (verdicts[played++ % verdicts.length] === "c" ? "clean" : "flawed"),
  };
}

/** One student through the weeks, with the same use cases that the pages call. */
class DemoPerson {
  private practising: Practising[] = [];
  private readonly passageIds = new Map<DemoPassage, string>();
  private pieceIds = new Map<DemoPiece, string>();
  private lastDaysAgo: number | undefined;
  readonly lessons: DemoLessons;
  /** With ids of their own, so that lessons and notes don't change how the practice goes. */
  private readonly aside: Services;

  constructor(
    private readonly services: Services,
    private readonly studioId: string,
    private readonly personId: string,
    private readonly student: DemoStudent,
    private readonly random: Random,
    /** The folder with the tunes. */
    private readonly tunes: string,
  ) {
    const ownRandom = seeded(SEED + student.name.length * 31 + student.lessonIn);
    const newId = () => seededUuid(ownRandom);
    this.aside = { ...services, now: services.now, newId };
    this.lessons = new DemoLessons(this.aside, studioId, personId, student);
  }

  /** The last lessons were held with Fidus; today's, if there is one, is still to come. */
  private async holdLesson(daysAgo: number): Promise<void> {
    const isLesson = (daysAgo + this.student.lessonIn) % 7 === 0;
    if (isLesson && daysAgo > 0 && daysAgo <= LESSON_DAYS) await this.lessons.hold();
  }

  /** Another way than the first, from its week on. */
  private async changeLadders(daysAgo: number): Promise<void> {
    for (const [passage, passageId] of this.passageIds) {
      if (passage.first?.untilWeek !== daysAgo / 7) continue;
      await setLadder(this.aside, this.studioId, passageId, ladderOf(passage));
    }
  }

  private async cutWhatIsNew(weeksAgo: number): Promise<void> {
    for (const piece of this.student.pieces) {
      for (const passage of piece.passages) {
        if (!this.passageIds.has(passage) && passage.sinceWeek >= weeksAgo)
          await this.cut(piece, passage);
      }
    }
  }

  private async cut(piece: DemoPiece, passage: DemoPassage): Promise<void> {
    const { services, studioId, personId } = this;
    let pieceId = this.pieceIds.get(piece);
    if (!pieceId) {
      const form = readPieceForm(pieceForm(piece));
      if (!form.ok) throw new Error(`${piece.title}: ${JSON.stringify(form.error.errors)}`);
      pieceId = await addPiece(services, studioId, personId, form.value);
      this.pieceIds.set(piece, pieceId);
      await this.layOutNotes(pieceId, piece.notes);
    }
    const { fromBar, toBar, pickupBeats = 0, name = "", focus = "" } = passage;
    const range = { fromBar, toBar, pickupBeats, endBeats: 0, name, focus };
    const passageId = await cutPassage(services, studioId, { personId, pieceId }, range);
    await measurePassages(services, { studioId, personId, pieceId });
    const schools = passage.first?.schools ?? passage.ladder.schools;
    const ladder = ladderOf({ ladder: { ...passage.ladder, schools } });
    await setLadder(services, studioId, passageId, ladder);
    this.passageIds.set(passage, passageId);
    if (!passage.learner) return;
    const learner = new Learner({ ...ORDINARY, ...passage.learner }, this.random);
    this.practising.push({ passageId, passage, learner });
  }

  private async layOutNotes(pieceId: string, name: string): Promise<void> {
    const of = { studioId: this.studioId, personId: this.personId, pieceId };
    const sent = await this.tune(name);
    const laid = name.endsWith(".pdf")
      ? await this.layOutPages(of, sent)
      : await layOutNotes(this.aside, of, sent);
    if (!laid.ok) throw new Error(`${name}: ${JSON.stringify(laid.error.errors)}`);
  }

  private async tune(name: string) {
    return { name, bytes: new Uint8Array(await readFile(path.join(this.tunes, name))) };
  }

  private async layOutPages(of: Parameters<typeof layPages>[1], pdf: SentFile) {
    const plain = pdf.name.replace(/\.pdf$/, "");
    const pages = [await this.tune(`${plain}-page-1.png`)];
    const laid = await layPages(this.aside, of, { files: [pdf], pages });
    if (!laid.ok) return laid;
    const form = new FormData();
    form.set("layout", Buffer.from((await this.tune(`${plain}.bars.json`)).bytes).toString());
    return drawBars(this.aside, of, form);
  }

  /** A piece of several tempi is told as such, and lies on the stand as a whole besides. */
  async setTempi(): Promise<void> {
    const { aside, studioId, personId } = this;
    for (const [{ title, tempi, bars, pickupBeats = 0 }, pieceId] of this.pieceIds) {
      if (!tempi) continue;
      const form = new FormData();
      form.set("tempi", JSON.stringify(tempi));
      const set = await setTempi(aside, { studioId, personId, pieceId }, form);
      if (!set.ok) throw new Error(`${title}: ${JSON.stringify(set.error.errors)}`);
      const range = { fromBar: 1, toBar: bars, pickupBeats, endBeats: 0 };
      const cut = { ...range, name: "All of it", focus: "one line through five tempi" };
      const passageId = await cutPassage(aside, studioId, { personId, pieceId }, cut);
      const { full } = passageTempo(await passageById(aside.db, studioId, passageId));
      await setLadder(aside, studioId, passageId, ladderAtFull(ladderOf(WHOLE), full));
    }
  }

  /** Exercises lie in the library, to be given to whoever needs them next. */
  async keepExercises(): Promise<void> {
    const { services, studioId, personId } = this;
    for (const [{ kind, title }, pieceId] of this.pieceIds) {
      if (kind === "piece") continue;
      const form = new FormData();
      form.set("exercise", title);
      const kept = await keepAsExercise(services, { studioId, personId, pieceId }, form);
      if (!kept.ok) throw new Error(`${title}: ${JSON.stringify(kept.error.errors)}`);
    }
  }

  /** What happens on one day, so many days before today. */
  async live(daysAgo: number, startsAt: number): Promise<void> {
    const { days, silentDays = 0, painDaysAgo, sinceWeek } = this.student;
    if (daysAgo > sinceWeek * 7) return;
    await this.cutWhatIsNew(daysAgo / 7);
    await this.holdLesson(daysAgo);
    await this.changeLadders(daysAgo);
    const told = this.student.lately?.find((each) => each.daysAgo === daysAgo);
    if (told) await this.playAsTold(told, startsAt - TOLD_EARLIER_MS);
    const hurtToday = painDaysAgo === daysAgo;
    const away = daysAgo < silentDays || (painDaysAgo !== undefined && daysAgo < painDaysAgo);
    const chance = days[new Date(startsAt).getUTCDay()]!;
    const practises = this.random() < chance;
    if (away || !(practises || hurtToday) || this.practising.length === 0) return;
    const nights = (this.lastDaysAgo ?? daysAgo) - daysAgo;
    for (const { learner } of this.practising) learner.sleep(nights);
    await this.practise(startsAt, hurtToday);
    this.lastDaysAgo = daysAgo;
  }

  private async practise(startsAt: number, hurts: boolean): Promise<void> {
    const { services, studioId, personId, random } = this;
    const today = this.practising.filter((_, i) => i === 0 || random() < 0.75);
    const parts = today.map(({ passageId, passage }) =>
      passagePart(passageId, passage.ladder.minutes),
    );
    const started = await startSession(services, studioId, personId, parts, "fine");
    if (!started.ok) return;
    const { sessionId, plan } = started.value;
    const learners = today.map(({ learner }) => learner);
    const events = simulateSitting({
      plan,
      learners,
      startsAt,
      minutes: today.map(({ passage }) => passage.ladder.minutes * (0.6 + 0.4 * random())),
      weakBars: today.flatMap(({ passage }) => passage.weakBars ?? []),
      ...this.note(hurts),
      ...(hurts ? { painAfter: 9 } : {}),
      random,
    });
    await appendEvents(services, studioId, sessionId, events);
  }

  /** A sitting whose verdicts are told; with ids and chances of its own. */
  private async playAsTold({ parts }: Told, startsAt: number): Promise<void> {
    const { studioId, personId, student } = this;
    const aside = { ...this.aside, now: () => startsAt };
    const found = parts.map((part) => {
      const piece = student.pieces.find(({ title }) => title === part.title);
      const passage = piece?.passages.find(({ fromBar }) => fromBar === part.fromBar);
      const passageId = passage && this.passageIds.get(passage);
      if (!passageId) throw new Error(`${student.name} has no ${part.title}, ${part.fromBar}`);
      return { ...part, passageId };
    });
    const chosen = found.map(({ passageId, minutes }) => passagePart(passageId, minutes));
    const started = await startSession(aside, studioId, personId, chosen, "fine");
    if (!started.ok) throw new Error(started.error.sentence);
    const { sessionId, plan } = started.value;
    const events = simulateSitting({
      plan,
      learners: found.map(({ verdicts }) => asTold(verdicts)),
      startsAt,
      minutes: found.map(({ minutes }) => minutes),
      silent: true,
      random: seeded(SEED + startsAt),
    });
    await appendEvents(aside, studioId, sessionId, events);
  }

  private note(hurts: boolean): { note?: string } {
    const { notes } = this.student;
    if (notes.length === 0 || (!hurts && this.random() > 0.35)) return {};
    return { note: notes[hurts ? 1 : Math.floor(this.random() * notes.length)]! };
  }
}

/** Fills an empty database with the invented music room: ten weeks that end today. */
export async function seedDemo(services: Services, root: string): Promise<void> {
  const tunes = path.join(root, "demo/tunes");
  const random = seeded(SEED);
  let now = services.now();
  const past: Services = { ...services, now: () => now, newId: () => seededUuid(random) };
  const today = dayOf(services.now(), ROOM.timeZone);

  const [first, ...others]: readonly DemoStudent[] = STUDENTS;
  const opened = await openRoom(past, {
    room: ROOM.name,
    self: false,
    demo: true,
    teacher: ROOM.teacher,
    timeZone: ROOM.timeZone,
    name: first!.name,
    instrument: first!.instrument,
  });
  if (!opened.ok) throw new Error(JSON.stringify(opened.error));
  const { studioId, studentId } = opened.value;
  const { name, inDays } = ROOM.concert;
  await setConcert(past, studioId, { name, day: addDays(today, inDays) });
  for (const { name: kept, ...ladder } of KEPT) {
    const drawn = ladderOf({ ladder: { ...ladder, rule: "ended-less", minutes: 10 } });
    await keepInLibrary(past, studioId, { name: kept, ladder: drawn });
  }
  const people = [new DemoPerson(past, studioId, studentId, first!, random, tunes)];
  for (const student of others) {
    const personId = await addStudent(past, studioId, student);
    people.push(new DemoPerson(past, studioId, personId, student, random, tunes));
  }

  for (const { lessons } of people) await lessons.sayTimes(today);
  for (let daysAgo = ROOM.weeks * 7; daysAgo >= 0; daysAgo--) {
    const afternoon = Date.parse(`${addDays(today, -daysAgo)}T00:00:00Z`) + PRACTICE_HOUR_MS;
    for (const person of people) {
      const startsAt = afternoon + Math.floor(random() * 2 * 3_600_000);
      // Today's practice lies before this moment, whatever the hour.
      now = Math.min(startsAt, services.now() - DAY_MS / 16);
      await person.live(daysAgo, now);
    }
  }
  now = services.now();
  for (const person of people) {
    await person.lessons.sayAtTheEnd();
    await person.keepExercises();
    await person.setTempi();
  }
  await actOnShapes(past, studioId, studentId, CONCERT_PLAN, true);
  const { notes } = CLASS.piece;
  const bytes = new Uint8Array(await readFile(path.join(tunes, notes)));
  await seedClass(services, studioId, { name: notes, bytes }, today);
}
