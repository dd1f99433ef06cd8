import { MOST_ITEMS, type AssignmentItem } from "~/core/week";
import {
  assignmentById,
  draftOf,
  insertDraft,
  passagesOfPerson,
  putOnStand,
  saveDraft,
  studioById,
} from "~/db/queries";
import { DatabaseError } from "~/db/client";
import { todayIn, type Services } from "../services";
import { givenFrom, givePassage } from "./give";
import { lessonPage } from "./lesson";
import type { Giving } from "./giving";

type Suggested = Awaited<ReturnType<typeof lessonPage>>["draft"];
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

/**
 * Gives items of a week to other students: they are put into the draft of each one's next week,
 * beside what goes on for them anyway, where their lesson finds them; what stands there already
 * stays.
 */
export async function giveWeek(
  services: Services,
  studioId: string,
  { personId, weekId }: { readonly personId: string; readonly weekId: string },
  { to, items: chosen }: { readonly to: readonly string[]; readonly items: readonly string[] },
): Promise<number> {
  const { db, now, newId } = services;
  const others = to.filter((id) => id !== personId);
  const suggested = new Map<string, Suggested>();
  for (const other of others) {
    suggested.set(other, (await lessonPage(services, studioId, other)).draft);
  }
  return db.transaction(async (tx) => {
    const today = todayIn({ now }, await studioById(tx, studioId));
    const week = await assignmentById(tx, studioId, weekId);
    if (week.person_id !== personId) throw new DatabaseError("not-found", "There is no such week.");
    const mine = await passagesOfPerson(tx, studioId, personId);
    const giving = { tx, studioId, newId, now, today };
    for (const other of others) {
      const draft = await draftOf(tx, studioId, other);
      const base = draft?.text ?? suggested.get(other)!.text;
      const items = [...base.items];
      const known = new Set(items.map(({ given }) => given?.item));
      for (const item of week.text.items) {
        if (!chosen.includes(item.id) || known.has(item.id) || items.length >= MOST_ITEMS) continue;
        const theirs = await passagesOfPerson(tx, studioId, other);
        const copy = await itemFor(giving, item, other, { mine, theirs });
        if (copy) items.push(copy);
      }
      const text = { ...base, items };
      if (draft) {
        const { id, version, from_day: from, until_day: until } = draft;
        await saveDraft(tx, studioId, { id, version, from, until, text });
      } else {
        const { from, until } = suggested.get(other)!;
        await insertDraft(tx, studioId, { id: newId(), personId: other, from, until, text });
      }
    }
    return others.length;
  });
}
