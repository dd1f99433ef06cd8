import * as v from "valibot";
import { assignmentSchema } from "~/core/week";
import { err, ok, sentences, type Result } from "~/core/result";
import {
  assignmentsOf,
  dropOutlook,
  keptLadders,
  passagesOfPerson,
  studentById,
  studioById,
  tellOfChange,
  writeWeek,
} from "~/db/queries";
import { gathered } from "~/db/client";
import {
  allSaid,
  besidesOf,
  keepDays,
  planWeek,
  readFrom,
  whatHappened,
} from "../../plan/week-plan";
import { rawOf } from "../../plan/raw";
import { changeable, openItems, stampOf, toTell, WEEKS_AROUND } from "../../plan/week-on";
import { todayIn, type Services } from "../../services";
import { passageLine } from "../../plan/passage-line";
import { foreign, giveLadders, laddersGiven, newlyGiven, type NotWritten } from "./set-week";

/** The week that is on, as it can be changed from today on; nothing where none is. */
export async function changeWeekPage(given: Services, studioId: string, personId: string) {
  const services = { ...given, db: gathered(given.db) };
  const { db } = services;
  const today = todayIn(services, await studioById(db, studioId));
  const [person, passages, weeks, ladders] = await Promise.all([
    studentById(db, studioId, personId),
    passagesOfPerson(db, studioId, personId),
    assignmentsOf(db, studioId, personId, WEEKS_AROUND),
    keptLadders(db, studioId),
  ]);
  const on = changeable(weeks, today);
  const happened = on && (await whatHappened(db, studioId, personId, readFrom(on), today));
  const { times } = person;
  const raw = rawOf(passages, today);
  if (on) {
    const plan = planWeek({ week: on, times, happened: happened!, raw, today });
    await keepDays(db, { studioId, personId }, plan, happened!, today);
  }
  return {
    today,
    person: { id: person.id, name: person.name },
    times,
    timesSaid: times.windows.length > 0,
    week: on && {
      ...toTell(on),
      lesson: on.lesson,
      /** All that it has said of its items. */
      said: allSaid(on),
      /** Since when what it says is asked: its keys and its first day. */
      begins: on.since,
      items: openItems(on),
      stamp: stampOf(on),
    },
    facts: happened?.facts,
    besides: on && happened ? besidesOf(happened, on) : [],
    raw: [...raw],
    passages: passages.map((each) => passageLine(each, today)),
    ladders: ladders.map(({ id, name }) => ({ id, name })),
  };
}

const sentSchema = v.object({
  /** The week as it was when the page was opened. */
  stamp: v.pipe(v.string(), v.maxLength(60)),
  items: assignmentSchema.entries.items,
});

/** What the page sends: errors by dotted path, as "text.items.2.title". */
export function readWeekChange(form: FormData) {
  const json = v.pipe(v.string(), v.parseJson(undefined, "The week can't be read."), sentSchema);
  const read = v.safeParse(json, form.get("week") ?? undefined);
  if (read.success) return ok(read.output);
  const found = Object.entries(sentences(read.issues));
  const errors = found.map(([path, said]) => [path.replace(/^items/, "text.items"), said]);
  return err<NotWritten>({ errors: Object.fromEntries(errors) as Record<string, string> });
}

const CHANGED = "Somebody else has changed this week. Reload the page and make your changes again.";
const OVER = "This week ends today. Assign the next one at the lesson.";
const EMPTY = "Keep at least one item.";

/** Changes the week that is on from today; its days before, its lesson and its keys stay. */
export const changeWeek = (
  services: Services,
  { studioId, personId, tell }: { studioId: string; personId: string; tell: boolean },
  sent: v.InferOutput<typeof sentSchema>,
) =>
  services.db.transaction(async (tx): Promise<Result<{ id: string }, NotWritten>> => {
    const today = todayIn(services, await studioById(tx, studioId));
    await studentById(tx, studioId, personId);
    const weeks = await assignmentsOf(tx, studioId, personId, WEEKS_AROUND);
    const running = changeable(weeks, today);
    const week = weeks.find(({ id }) => id === running?.id);
    if (!week) return err({ errors: { form: OVER } });
    if (stampOf(week) !== sent.stamp) return err({ errors: { form: CHANGED } });
    if (sent.items.length === 0) return err({ errors: { form: EMPTY } });
    const passages = await passagesOfPerson(tx, studioId, personId);
    const errors = foreign(sent.items, passages);
    if (errors) return err({ errors });
    const fresh = newlyGiven(sent.items, week);
    const given = laddersGiven(fresh, passages, await keptLadders(tx, studioId), today);
    if (!given.ok) return given;
    await giveLadders(services, tx, studioId, given.value);
    const over = week.text.items.filter((item) => !openItems(week).includes(item));
    const items = [...sent.items, ...over];
    await writeWeek(tx, studioId, week, { until: week.until_day, items }, today);
    await dropOutlook(tx, studioId, personId);
    if (tell) await tellOfChange(tx, studioId, week.id, today);
    return ok({ id: week.id });
  });
