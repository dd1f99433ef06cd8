import { MOST_ITEMS, type AssignmentItem } from "~/core/week";
import { addDays } from "~/core/units";
import {
  assignmentById,
  draftOf,
  insertDraft,
  passagesOfPerson,
  putOnStand,
  saveDraft,
  studentById,
  studioById,
} from "~/db/queries";
import { DatabaseError } from "~/db/client";
import { todayIn, type Services } from "../services";
import { givenFrom, givePassage, type Giving } from "./give";

const WEEK_DAYS = 7;

type Passages = Awaited<ReturnType<typeof passagesOfPerson>>;

/** An item for somebody else: its passage is theirs, given with its ladder where they have none. */
async function itemFor(
  giving: Giving,
  item: AssignmentItem,
  to: string,
  { mine, theirs }: { readonly mine: Passages; readonly theirs: Passages },
): Promise<AssignmentItem | undefined> {
  const fresh = { ...item, id: giving.newId(), given: { item: item.id } };
  const copy = { ...fresh, origin: "new", decision: "open" } as const;
  if (item.passageId === null) return copy;
  const passage = mine.find(({ id }) => id === item.passageId);
  if (!passage) return undefined;
  await putOnStand(giving.tx, giving.studioId, to, passage.pieceId);
  return { ...copy, passageId: await givePassage(giving, givenFrom(passage), to, theirs) };
}

/**
 * Gives what a week asks to other students: it is put into the draft of each one's next week, where
 * their lesson finds it; what stands there already stays.
 */
export async function giveWeek(
  { db, now, newId }: Services,
  studioId: string,
  { personId, weekId }: { readonly personId: string; readonly weekId: string },
  to: readonly string[],
): Promise<number> {
  return db.transaction(async (tx) => {
    const today = todayIn({ now }, await studioById(tx, studioId));
    const week = await assignmentById(tx, studioId, weekId);
    if (week.person_id !== personId) throw new DatabaseError("not-found", "There is no such week.");
    const mine = await passagesOfPerson(tx, studioId, personId);
    const giving = { tx, studioId, newId, today };
    const others = to.filter((id) => id !== personId);
    for (const other of others) {
      await studentById(tx, studioId, other);
      const draft = await draftOf(tx, studioId, other);
      const items = [...(draft?.text.items ?? [])];
      const known = new Set(items.map(({ given }) => given?.item));
      for (const item of week.text.items) {
        if (known.has(item.id) || items.length >= MOST_ITEMS) continue;
        const theirs = await passagesOfPerson(tx, studioId, other);
        const copy = await itemFor(giving, item, other, { mine, theirs });
        if (copy) items.push(copy);
      }
      const at = new Date(now());
      const text = { ...(draft?.text ?? { ...week.text }), items };
      const until = addDays(today, WEEK_DAYS);
      if (!draft) {
        await insertDraft(tx, studioId, {
          id: newId(),
          personId: other,
          from: today,
          until,
          text,
          at,
        });
        continue;
      }
      const { id, version, from_day: from } = draft;
      await saveDraft(tx, studioId, { id, version, from, until: draft.until_day, text, at });
    }
    return others.length;
  });
}
