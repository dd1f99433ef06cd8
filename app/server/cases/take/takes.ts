import * as v from "valibot";
import { areBeside, takeSchema } from "~/core/listen";
import { err, ok, type Result } from "~/core/result";
import { addDays, dayOf } from "~/core/units";
import {
  deleteTake,
  deleteTakesBefore,
  deleteTakesOf,
  earOf,
  hashInUse,
  heardIn,
  insertTake,
  letParentsHear,
  parentsHear,
  setTakesKept,
  passageById,
  putHeard,
  sessionById,
  soundsKept,
  spokenOf,
  studentById,
  studioById,
  takeById,
  takeBytesOf,
  takeHashes,
  takesKept,
  takesOf,
  takeThere,
  type TakeRow,
} from "~/db/queries";
import type { FormRefused } from "~/forms/typed";
import { todayIn, type Services } from "../../services";
import { notationOf } from "../piece/scores";
import { RECORDED_KINDS } from "../../takes/sound-kind";

/** What the sound of one student may take up together. */
export const MOST_TAKE_BYTES = 500_000_000;
/** A quarter of an hour, well filled. */
const MOST_BYTES = 40_000_000;
const LISTED = 40;

/** Why a take was not taken. */
export interface TakeRefused {
  readonly status: 409 | 413 | 422 | 507;
  readonly sentence: string;
}
const refuse = (status: TakeRefused["status"], sentence: string) => err({ status, sentence });

const FULL = "There is no room left for takes: delete some, or let your teacher make room.";
const DISK_FULL = "The disk of this Fidus is full. The take stays on this device.";

/** What is coming of a take lies in its student's folder: it counts towards what they may keep. */
const comingOf = (personId: string, takeId: string) => `${personId}/${takeId}`;

interface OfSession {
  readonly studioId: string;
  readonly sessionId: string;
  readonly takeId: string;
}

/** How much of a take has come, and whether it is whole. */
export async function takeCome(
  { db, takes }: Services,
  { studioId, sessionId, takeId }: OfSession,
) {
  const there = await takeThere(db, studioId, takeId);
  if (there?.session_id === sessionId) return { next: there.bytes, whole: true };
  const { person_id: personId } = await sessionById(db, studioId, sessionId);
  return { next: await takes.next(comingOf(personId, takeId)), whole: false };
}

/** More of a take, from a byte on; what has come already is passed over. */
export async function takeMore(
  { db, takes }: Services,
  { studioId, sessionId, takeId }: OfSession,
  from: number,
  bytes: Uint8Array,
): Promise<Result<{ next: number }, TakeRefused>> {
  if (await takeThere(db, studioId, takeId)) return refuse(409, "This take is there already.");
  const { person_id: personId } = await sessionById(db, studioId, sessionId);
  if (from + bytes.length > MOST_BYTES)
    return refuse(413, "A take is a quarter of an hour at most.");
  const coming = comingOf(personId, takeId);
  const others = (await takes.bytesComing(personId)) - (await takes.next(coming));
  const kept = await takeBytesOf(db, studioId, personId);
  if (kept + others + from + bytes.length > MOST_TAKE_BYTES) return refuse(413, FULL);
  const next = await takes.append(coming, from, bytes);
  if (next === "full") return refuse(507, DISK_FULL);
  if (typeof next === "string")
    return refuse(409, `Only ${await takes.next(coming)} bytes are here.`);
  return ok({ next });
}

export const takeWholeSchema = v.object({
  take: takeSchema,
  bytes: v.pipe(
    v.number(),
    v.integer(),
    v.minValue(1, "The take is empty."),
    v.maxValue(MOST_BYTES),
  ),
  hash: v.pipe(v.string(), v.regex(/^[0-9a-f]{64}$/)),
});

/** All of a take has come: it is kept, with what is known of it. Sent again, it changes nothing. */
export async function keepTake(
  services: Services,
  { studioId, sessionId, takeId }: OfSession,
  { take, bytes, hash }: v.InferOutput<typeof takeWholeSchema>,
): Promise<Result<{ next: number }, TakeRefused>> {
  const { db, takes, now } = services;
  const there = await takeThere(db, studioId, takeId);
  if (there) {
    return there.session_id === sessionId
      ? ok({ next: there.bytes })
      : refuse(409, "This take is there already.");
  }
  const session = await sessionById(db, studioId, sessionId);
  if (!session.plan.blocks.some(({ passageId }) => passageId === take.passage)) {
    return refuse(422, "This passage is not of this session.");
  }
  const coming = comingOf(session.person_id, takeId);
  const kind = await services.scores.sound(studioId, { file: takes.fileOf(coming) });
  if (!kind || !RECORDED_KINDS.includes(kind)) {
    await takes.dropComing(coming);
    return refuse(422, "That is no sound that Fidus knows.");
  }
  if ((await takes.keep(coming, { bytes, hash })) !== undefined) {
    return refuse(409, "It did not arrive as it was sent: it is sent again.");
  }
  const { time_zone } = await studioById(db, studioId);
  const at = Math.min(take.at, now());
  const keptUntil = addDays(dayOf(at, time_zone), (await takesKept(db, studioId)).days);
  await insertTake(db, studioId, {
    id: takeId,
    person_id: session.person_id,
    session_id: sessionId,
    passage_id: take.passage,
    bytes,
    hash,
    about: { ...take, at },
    kept_until: keptUntil,
  });
  return ok({ next: bytes });
}

/** A take as lists show it. */
export const takeLine = ({ id, recorded_at, tempo, verdict, about, kept_until }: TakeRow) => ({
  id,
  at: recorded_at,
  tempo,
  verdict,
  seconds: about.until - about.from,
  fromBar: about.bars[0]!.bar,
  toBar: about.bars.at(-1)!.bar,
  keptUntil: kept_until,
});
export type TakeLine = ReturnType<typeof takeLine>;

/** The latest takes of a passage, or of a session. */
export const takesListed = async (
  { db }: Pick<Services, "db">,
  studioId: string,
  of: { readonly passageId?: string; readonly sessionId?: string },
): Promise<TakeLine[]> => (await takesOf(db, studioId, of, LISTED)).map(takeLine);

const MOST_BARS = 500;

/** The bars in which a flaw was heard, as the form sends them. */
const heardSchema = v.pipe(
  v.array(v.pipe(v.string(), v.regex(/^\d{1,4}$/), v.transform(Number))),
  v.maxLength(MOST_BARS),
);

/** Keeps what somebody heard in a take, the first time that they say it. */
export async function sayHeard(
  services: Services,
  studioId: string,
  { takeId, listener }: { readonly takeId: string; readonly listener: string },
  form: FormData,
): Promise<Result<undefined, string>> {
  const read = v.safeParse(heardSchema, form.getAll("flawed"));
  if (!read.success) return err("These are no bars.");
  const { verdict, about } = await takeById(services.db, studioId, takeId);
  const there = new Set(about.bars.map(({ bar }) => bar));
  if (read.output.some((bar) => !there.has(bar))) return err("There is no such bar in this take.");
  const flawed = [...new Set(read.output)].sort((a, b) => a - b);
  const at = new Date(services.now());
  await putHeard(services.db, studioId, takeId, listener, { flawed, verdict, at });
  return ok(undefined);
}

/** Another take of the same bars of a passage, to be heard beside one. */
async function takeBeside(services: Services, studioId: string, take: TakeRow, id: string) {
  const other = await takeById(services.db, studioId, id);
  const isSame =
    other.passage_id === take.passage_id && areBeside(take.about.bars, other.about.bars);
  return isSame ? { ...takeLine(other), about: other.about } : undefined;
}

/**
 * A take to be listened to, by somebody: they see its verdict once they have said what they heard.
 * Another of the same bars may be heard beside it; one of other bars is left out.
 */
export async function takePage(
  services: Services,
  studioId: string,
  takeId: string,
  { listener, beside }: { readonly listener: string; readonly beside?: string | undefined },
) {
  const { db } = services;
  const take = await takeById(db, studioId, takeId);
  const [studio, person, passage, others, used, heard, ear, parents] = await Promise.all([
    studioById(db, studioId),
    studentById(db, studioId, take.person_id),
    passageById(db, studioId, take.passage_id),
    takesListed(services, studioId, { passageId: take.passage_id }),
    takeBytesOf(db, studioId, take.person_id),
    heardIn(db, studioId, takeId, listener),
    earOf(db, studioId, listener),
    parentsHear(db, studioId, take.person_id),
  ]);
  return {
    heard,
    ear,
    parents,
    today: todayIn(services, studio),
    take: {
      ...takeLine(take),
      about: take.about,
      flawBar: take.flaw_bar,
      sessionId: take.session_id,
    },
    person: { id: person.id, name: person.name },
    passage: {
      id: passage.id,
      title: passage.piece.title,
      name: passage.name,
      beatUnit: passage.beatUnit,
      pieceId: passage.pieceId,
      hasNotes: Boolean(await notationOf(services, studioId, person.id, passage.pieceId)),
    },
    beside:
      beside && beside !== takeId ? await takeBeside(services, studioId, take, beside) : undefined,
    others: others.filter(({ id }) => id !== takeId),
    used,
    most: MOST_TAKE_BYTES,
  };
}

/** A part of a sound: from a byte on, up to another if one is named; or so many last bytes. */
export type SoundRange =
  { readonly from: number; readonly to: number | undefined } | { readonly last: number };

/** Both ends of a part, included, in a sound of so many bytes; its end comes first where there is none. */
export function endsOf(range: SoundRange | undefined, bytes: number) {
  if (range === undefined) return { from: 0, to: bytes - 1 };
  if ("last" in range) {
    return range.last === 0
      ? { from: bytes, to: bytes - 1 }
      : { from: Math.max(0, bytes - range.last), to: bytes - 1 };
  }
  return { from: range.from, to: Math.min(range.to ?? bytes - 1, bytes - 1) };
}

/** The sound of a take, whole or in part; undefined where its file is missing. */
export async function takeSound(
  { db, takes }: Services,
  studioId: string,
  takeId: string,
  range?: SoundRange,
) {
  const { hash, bytes, media_type } = await takeById(db, studioId, takeId);
  const asked = endsOf(range, bytes);
  if (asked.from > asked.to) return { bytes, mediaType: media_type, outside: true as const };
  const read = await takes.read(hash, asked);
  return read && { bytes, mediaType: media_type, ...asked, stream: read.stream };
}

/** Takes the sound away that no take has any more. */
export async function forgetSounds(
  { db, takes }: Services,
  hashes: readonly string[],
): Promise<void> {
  for (const hash of hashes) if (!(await hashInUse(db, hash))) await takes.forget(hash);
}

/** Lets parents hear the takes of a student, or takes that back. */
export const letParents = (
  { db }: Services,
  studioId: string,
  personId: string,
  form: FormData,
): Promise<number> => letParentsHear(db, studioId, personId, form.get("may") === "yes");

const daysSchema = v.pipe(
  v.number("A number of days."),
  v.integer("Whole days."),
  v.minValue(1, "At least a day."),
  v.maxValue(3650, "At most ten years."),
);

const monthSchema = v.pipe(
  v.string(),
  v.transform(Number),
  v.number("Choose a month."),
  v.integer("Choose a month."),
  v.minValue(1, "Choose a month."),
  v.maxValue(12, "Choose a month."),
);

/** How long takes are kept in a room. */
export const takesKeptIn = ({ db }: Services, studioId: string) => takesKept(db, studioId);

/** Sets how long takes are kept in a room. */
export async function keepTakesFor(
  services: Services,
  studioId: string,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const typed = String(form.get("days") ?? "");
  const read = v.safeParse(daysSchema, typed.trim() === "" ? NaN : Number(typed));
  if (!read.success) {
    return err({ errors: { days: read.issues[0].message }, values: { days: typed } });
  }
  const month = v.safeParse(monthSchema, form.get("year-ends"));
  if (!month.success) {
    return err({ errors: { "year-ends": month.issues[0].message }, values: { days: typed } });
  }
  const today = todayIn(services, await studioById(services.db, studioId));
  const kept = { days: read.output, yearEnds: month.output };
  await services.db.transaction((tx) => setTakesKept(tx, studioId, kept, today));
  return ok(undefined);
}

/** Deletes a take at once; tells whose passage it was of. */
export async function dropTake(services: Services, studioId: string, takeId: string) {
  const { hash, passage_id: passageId } = await takeById(services.db, studioId, takeId);
  const spoken = await spokenOf(services.db, studioId, { takeId });
  await deleteTake(services.db, studioId, takeId);
  await forgetSounds(services, [hash, ...spoken]);
  return { passageId };
}

/** Deletes all takes of a student at once. */
export async function dropTakesOf(services: Services, studioId: string, personId: string) {
  const spoken = await spokenOf(services.db, studioId, { personId });
  const gone = await deleteTakesOf(services.db, studioId, personId);
  await forgetSounds(services, [...new Set([...gone.map(({ hash }) => hash), ...spoken])]);
  return gone.length;
}

/** Deletes takes whose days are over, and what lies about without belonging to any. */
export async function sweepTakes({ db, takes, now }: Pick<Services, "db" | "takes" | "now">) {
  await deleteTakesBefore(db, new Date(now()).toISOString().slice(0, 10));
  return takes.sweep(await takeHashes(db));
}

/** Bytes of the recordings of a room or a student that an export with them holds. */
export const soundBytes = async (
  { db }: Pick<Services, "db">,
  studioId: string,
  personId?: string,
): Promise<number> =>
  (await soundsKept(db, studioId, personId)).reduce((sum, { bytes }) => sum + bytes, 0);
