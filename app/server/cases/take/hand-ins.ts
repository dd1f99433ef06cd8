import * as v from "valibot";
import { err, ok, type Result } from "~/core/result";
import { addDays, dayOf, type Day } from "~/core/units";
import { dueDay, isLate, ratingsOf } from "~/core/week";
import type { WaitingOrder } from "~/forms/waiting";
import {
  addComment,
  answeredSince,
  answerHandIn,
  assignmentsOf,
  handInById,
  handInForItem,
  handInsForItems,
  handInsOfTake,
  keepTakeUntil,
  putHandIn,
  ratingScaleOf,
  spokenComment,
  studentsOf,
  studioById,
  takeById,
  takesKept,
  waitingHandIns,
  weeksOfAll,
  type KeptSound,
} from "~/db/queries";
import { takesAsked } from "../../plan/takes-asked";
import { openItems, weekOn } from "../../plan/week-on";
import { todayIn, type Services } from "../../services";
import { RECORDED_KINDS } from "../../takes/sound-kind";
import { sentFiles } from "../room/sent-file";

const WEEKS_READ = 3;
/** Half a minute of speech, as browsers record it, and room to spare. */
const MOST_SPOKEN_BYTES = 2_000_000;
const ANSWERED_MS = 14 * 86_400_000;
/** What was handed in is kept until the school year ends: the last day of a month. */
function schoolYearEnds(today: Day, month: number): Day {
  const lastOf = (year: number) => {
    const next =
      month === 12 ? `${year + 1}-01-01` : `${year}-${`${month + 1}`.padStart(2, "0")}-01`;
    return addDays(next, -1);
  };
  const year = Number(today.slice(0, 4));
  return today <= lastOf(year) ? lastOf(year) : lastOf(year + 1);
}

const id = v.pipe(v.string(), v.uuid());
const text = (most: number) =>
  v.pipe(v.string(), v.trim(), v.maxLength(most, `At most ${most} letters.`));

const handInSchema = v.object({ id, item: id, line: text(200) });
const commentSchema = v.object({
  id,
  handIn: id,
  bar: v.pipe(
    v.string(),
    v.regex(/^\d{0,4}$/, "That is no bar."),
    v.transform((bar) => (bar === "" ? null : Number(bar))),
  ),
  text: v.optional(text(500), ""),
});
const answerSchema = v.object({
  handIn: id,
  answer: v.picklist(["heard", "again"]),
  rating: text(40),
});

/** Items of this week that ask for a take of a passage. */
async function asksForTake(
  services: Services,
  studioId: string,
  personId: string,
  passageId: string,
) {
  const { db } = services;
  const today = todayIn(services, await studioById(db, studioId));
  const weeks = await assignmentsOf(db, studioId, personId, WEEKS_READ);
  const week = weekOn(weeks, today);
  // A week that goes on without a new lesson moves no day on which something was due.
  const lesson = weeks.find(({ id }) => id === week?.id)?.until_day ?? today;
  const items = week ? openItems(week) : [];
  return items
    .filter((item) => item.bring === "recording" && item.passageId === passageId)
    .map((item) => {
      const due = dueDay(item, lesson);
      return { id: item.id, title: item.title, focus: item.focus, due, late: isLate(today, due) };
    });
}

type Handed = { readonly at: Date; readonly due: Day };

/** Handed in after its day, by the studio's clock. */
const lateIn =
  (timeZone: string) =>
  <H extends Handed>(it: H): H & { readonly late: boolean } => ({
    ...it,
    late: isLate(dayOf(it.at.getTime(), timeZone), it.due),
  });

/** Until its day it may be exchanged; after that only what is wanted again. */
const canHandIn = (before: { readonly answer: string | null } | undefined, late: boolean) =>
  !before || before.answer === "again" || !late;

/** For what a take may be handed in, and what was said of it where it was. */
export async function handInsOf(services: Services, studioId: string, takeId: string) {
  const { db } = services;
  const take = await takeById(db, studioId, takeId);
  const [asked, handedIn, { time_zone }] = await Promise.all([
    asksForTake(services, studioId, take.person_id, take.passage_id),
    handInsOfTake(db, studioId, takeId),
    studioById(db, studioId),
  ]);
  const ids = asked.map(({ id }) => id);
  const before = new Map(
    (await handInsForItems(db, studioId, ids)).map((each) => [each.item_id, each]),
  );
  return {
    ratings: ratingsOf(await ratingScaleOf(db, studioId)),
    asks: asked
      .filter(
        ({ id, late }) => before.get(id)?.take_id !== takeId && canHandIn(before.get(id), late),
      )
      .map((item) => ({ ...item, replaces: before.get(item.id)?.at })),
    handedIn: handedIn.map(lateIn(time_zone)),
  };
}

/** Hands a take in for an item that asks for one, instead of another until it was heard. */
export async function handIn(
  services: Services,
  studioId: string,
  takeId: string,
  form: FormData,
): Promise<Result<undefined, string>> {
  const read = v.safeParse(handInSchema, Object.fromEntries(form));
  if (!read.success) return err(read.issues[0].message);
  const { db, now } = services;
  const take = await takeById(db, studioId, takeId);
  const asked = await asksForTake(services, studioId, take.person_id, take.passage_id);
  const item = asked.find((each) => each.id === read.output.item);
  if (!item) return err("This week asks for no take of this passage.");
  const before = await handInForItem(db, studioId, take.person_id, item.id);
  const today = todayIn(services, await studioById(db, studioId));
  if (!canHandIn(before, item.late)) {
    return err("A recording was handed in and its day is over, so that one stays.");
  }
  await db.transaction(async (tx) => {
    await putHandIn(tx, studioId, {
      id: read.output.id,
      person_id: take.person_id,
      item_id: item.id,
      title: item.title,
      take_id: takeId,
      line: read.output.line,
      due: item.due,
      at: new Date(now()),
    });
    const { yearEnds } = await takesKept(tx, studioId);
    await keepTakeUntil(tx, studioId, takeId, schoolYearEnds(today, yearEnds));
  });
  return ok(undefined);
}

/** A comment that was spoken, kept beside the database; undefined where none was. */
async function spokenWith(
  { takes, scores, newId }: Services,
  studioId: string,
  form: FormData,
): Promise<Result<KeptSound | undefined, string>> {
  if (!(form.get("file") instanceof File)) return ok(undefined);
  const sent = await sentFiles(form, "file", MOST_SPOKEN_BYTES);
  if (!sent.ok) return err(sent.error.errors.file!);
  const { bytes } = sent.value[0]!;
  const mediaType = await scores.sound(studioId, { bytes });
  if (!mediaType || !RECORDED_KINDS.includes(mediaType)) {
    return err("That is no sound that Fidus knows.");
  }
  const kept = await takes.keepWhole(newId(), bytes);
  if (kept === "full") return err("The disk of this Fidus is full.");
  return ok({ hash: kept.hash, mediaType, bytes: bytes.length });
}

/** Pins a comment, written or spoken, to a bar of what was handed in with a take. */
export async function commentOn(
  services: Services,
  studioId: string,
  takeId: string,
  form: FormData,
): Promise<Result<undefined, string>> {
  const read = v.safeParse(commentSchema, Object.fromEntries(form));
  if (!read.success) return err(read.issues[0].message);
  const { handIn: handInId, ...comment } = read.output;
  const there = await handInById(services.db, studioId, handInId);
  if (there.take_id !== takeId) return err("That was handed in with another take.");
  const spoken = await spokenWith(services, studioId, form);
  if (!spoken.ok) return spoken;
  if (comment.text === "" && !spoken.value) return err("Say what you heard.");
  const at = new Date(services.now());
  await addComment(services.db, studioId, handInId, { ...comment, at, sound: spoken.value });
  return ok(undefined);
}

/** The sound of a spoken comment; undefined where there is none. */
export async function spokenSound(
  { db, takes }: Services,
  studioId: string,
  takeId: string,
  commentId: string,
) {
  const comment = await spokenComment(db, studioId, takeId, commentId);
  const read = comment && (await takes.read(comment.hash));
  return read && { ...read, mediaType: comment.media_type };
}

/** Says that it was heard, or asks for it again; tells the take that waits next, if any. */
export async function answerTo(
  services: Services,
  studioId: string,
  takeId: string,
  form: FormData,
  order: WaitingOrder = "oldest",
): Promise<Result<{ next: string | undefined }, string>> {
  const read = v.safeParse(answerSchema, Object.fromEntries(form));
  if (!read.success) return err(read.issues[0].message);
  const { handIn: handInId, ...answer } = read.output;
  const there = await handInById(services.db, studioId, handInId);
  if (there.take_id !== takeId) return err("That was handed in with another take.");
  const scale = await ratingScaleOf(services.db, studioId);
  const said = ["", there.rating, ...ratingsOf(scale)];
  if (!said.includes(answer.rating)) return err("Your scale has no such rating.");
  await answerHandIn(services.db, studioId, handInId, { ...answer, at: new Date(services.now()) });
  const waiting = await waitingHandIns(services.db, studioId);
  return ok({ next: waiting.at(order === "newest" ? -1 : 0)?.take_id });
}

/** What weeks that are on have asked for and nobody has handed in by its day, the oldest first. */
async function missingTakes(
  { db }: Services,
  studioId: string,
  now: { readonly today: Day; readonly timeZone: string },
) {
  const [people, weeks] = await Promise.all([
    studentsOf(db, studioId),
    weeksOfAll(db, studioId, now.today),
  ]);
  const on = weeks.flatMap((set) => {
    const week = weekOn([set], now.today);
    return week ? [{ set, items: openItems(week) }] : [];
  });
  const asked = on.map(({ set, items }) => ({ items, lesson: set.until_day }));
  const takes = await takesAsked(db, studioId, asked, now);
  const nameOf = new Map(people.map(({ id, name }) => [id, name]));
  return on
    .flatMap(({ set, items }) =>
      items.flatMap(({ id, title }) => {
        const take = takes[id];
        const name = nameOf.get(set.person_id);
        return take?.state === "missing" && name !== undefined
          ? [{ id, personId: set.person_id, name, title, due: take.due }]
          : [];
      }),
    )
    .toSorted((a, b) => (a.due < b.due ? -1 : 1));
}

/** Everything that waits to be heard; late: after its day. */
export async function waitingPage(
  services: Services,
  studioId: string,
  order: WaitingOrder = "oldest",
) {
  const studio = await studioById(services.db, studioId);
  const waiting = await waitingHandIns(services.db, studioId);
  const today = todayIn(services, studio);
  return {
    today,
    missing: await missingTakes(services, studioId, { today, timeZone: studio.time_zone }),
    order,
    waiting: (order === "newest" ? waiting.toReversed() : waiting)
      .map(lateIn(studio.time_zone))
      .map(({ take_id, ...each }) => ({ takeId: take_id, ...each })),
  };
}

/** What was said lately of what a student has handed in. */
export const answersFor = ({ db, now }: Services, studioId: string, personId: string) =>
  answeredSince(db, studioId, personId, new Date(now() - ANSWERED_MS));
