import { MOST_ITEMS, type AssignmentItem } from "~/core/week";
import {
  assignmentById,
  assignmentsOf,
  draftOf,
  insertDraft,
  passagesOfPerson,
  putOnStand,
  saveDraft,
  studentById,
  studioById,
} from "~/db/queries";
import { DatabaseError, gatheredIn } from "~/db/client";
import { aheadOf, lookedBackOn, nextLesson, WEEKS_AROUND } from "../../plan/week-on";
import { todayIn, type Services } from "../../services";
import { givenFrom, givePassage } from "./give";
import type { Giving } from "./giving";

type Passages = Awaited<ReturnType<typeof passagesOfPerson>>;

/** An item for somebody else: its passage is theirs, given with its ladder where they have none. */
async function itemFor(
  giving: Giving,
  item: AssignmentItem,
  to: string,
  { mine, theirs }: { readonly mine: Passages; readonly theirs: Passages },
): Promise<AssignmentItem | undefined> {
  // Its day was in the giver's week; in the next one it is due at the lesson, until another is said.
  const fresh = { ...item, id: giving.newId(), due: null, since: null, until: null };
  const copy = { ...fresh, given: { item: item.id }, origin: "new", decision: "open" } as const;
  if (item.passageId === null) return copy;
  const passage = mine.find(({ id }) => id === item.passageId);
  if (!passage) return undefined;
  await putOnStand(giving.tx, giving.studioId, to, passage.pieceId);
  return { ...copy, passageId: await givePassage(giving, givenFrom(passage), to, theirs) };
}

/** What somebody is given stands in this draft: theirs, or one for the lesson that is coming. */
async function draftFor(giving: Giving, personId: string) {
  const { tx, studioId, newId, today } = giving;
  const asked = gatheredIn(tx);
  const [{ times }, weeks, draft, theirs] = await Promise.all([
    studentById(asked, studioId, personId),
    assignmentsOf(asked, studioId, personId, WEEKS_AROUND),
    draftOf(asked, studioId, personId),
    passagesOfPerson(asked, studioId, personId),
  ]);
  const set = aheadOf(weeks, today);
  // The week that is on lasts until its lesson, whatever is given meanwhile.
  const last = lookedBackOn(weeks, today)?.until_day ?? today;
  const from = set?.from_day ?? (last > today ? last : today);
  const until = set?.until_day ?? nextLesson(from, times.lesson?.weekday);
  const empty = {
    ...{ id: newId(), version: 0, begun: false, from_day: from, until_day: until },
    text: { items: [], word: "", shape: null },
  };
  return { draft: draft ?? empty, theirs };
}

/** Gives items to one student. */
async function giveItems(
  giving: Giving,
  items: readonly AssignmentItem[],
  to: string,
  mine: Passages,
): Promise<void> {
  const { tx, studioId } = giving;
  const { draft, theirs } = await draftFor(giving, to);
  const all = [...draft.text.items];
  const known = new Set(all.map(({ given }) => given?.item));
  for (const item of items) {
    if (known.has(item.id) || all.length >= MOST_ITEMS) continue;
    const copy = await itemFor(giving, item, to, { mine, theirs });
    if (copy) all.push(copy);
  }
  const { id, version, begun, from_day: from, until_day: until } = draft;
  const written = { id, begun, from, until, text: { ...draft.text, items: all } };
  if (version > 0) await saveDraft(tx, studioId, { ...written, version });
  else await insertDraft(tx, studioId, { ...written, personId: to });
}

/**
 * Gives items of a week to other students: they are put into the draft of each one's next week,
 * where their lesson finds them beside what goes on for them anyway; what stands there already
 * stays.
 */
export async function giveWeek(
  { db, now, newId }: Services,
  studioId: string,
  { personId, weekId }: { readonly personId: string; readonly weekId: string },
  { to, items: chosen }: { readonly to: readonly string[]; readonly items: readonly string[] },
): Promise<number> {
  const others = to.filter((id) => id !== personId);
  return db.transaction(async (tx) => {
    const today = todayIn({ now }, await studioById(tx, studioId));
    const week = await assignmentById(tx, studioId, weekId);
    if (week.person_id !== personId) throw new DatabaseError("not-found", "There is no such week.");
    const mine = await passagesOfPerson(tx, studioId, personId);
    const items = week.text.items.filter(({ id }) => chosen.includes(id));
    const giving = { tx, studioId, newId, now, today };
    // Nobody's draft asks for another's: what one waits for, the next can use.
    await Promise.all(others.map((id) => giveItems(giving, items, id, mine)));
    return others.length;
  });
}
