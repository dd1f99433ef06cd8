import type { Ladder } from "~/core/ladder";
import { orderWithin, regionAt, type PassageState } from "~/core/score";
import { DatabaseError, type Queries } from "~/db/client";
import {
  dropOutlook,
  insertLadder,
  insertPassage,
  passageById,
  pieceById,
  retirePassage,
  scoreOf,
  setPassageState,
  studioById,
} from "~/db/queries";
import type { Cut } from "~/forms/cut";
import { todayIn, type Services } from "../../services";
import { askAgain, endInWeeks, goalsWithin } from "../week/passage-in-weeks";
import { highestTarget } from "../../plan/passage-line";
import { passageTempo } from "../../plan/passage-tempo";

export async function cutPassage(
  { db, newId }: Services,
  studioId: string,
  where: { personId: string; pieceId: string },
  cut: Cut,
): Promise<string> {
  const id = newId();
  const usual = { startBeats: 0, onlyNotes: "all" as const, hardness: null };
  const { withRepeats, ...range } = cut;
  const order = withRepeats ? await orderOf(db, studioId, where.pieceId, cut) : [];
  const beatUnit = await beatUnitAt(db, studioId, where.pieceId, cut.fromBar);
  await insertPassage(db, studioId, { ...usual, ...range, ...where, id, order, beatUnit });
  return id;
}

/** The beat unit in which a passage that begins at a bar is told; null: that of its piece. */
export async function beatUnitAt(db: Queries, studioId: string, pieceId: string, bar: number) {
  const { tempi } = await pieceById(db, studioId, pieceId);
  return tempi && regionAt(tempi.regions, bar).unit;
}

/** The bars of a cut in the order in which they are played; none where that is as they are written. */
async function orderOf(db: Queries, studioId: string, pieceId: string, cut: Cut) {
  const stored = await scoreOf(db, studioId, pieceId);
  const order = stored ? orderWithin(stored.score, cut) : [];
  return order.length > cut.toBar - cut.fromBar + 1 ? order : [];
}

export const passageOf = ({ db }: Services, studioId: string, passageId: string) =>
  passageById(db, studioId, passageId);

const sameDays = (a: Ladder, b: Ladder): boolean =>
  JSON.stringify(a.phases) === JSON.stringify(b.phases) && a.target === b.target;

/**
 * Puts a ladder in force for a passage of the studio; no week asks for more than it goes to. One
 * that another press takes back has the goals that were its target follow it.
 */
export async function setLadder(
  services: Services,
  studioId: string,
  passageId: string,
  ladder: Ladder,
  goals: "within" | "follow" = "within",
): Promise<void> {
  const { db, newId, now } = services;
  await db.transaction(async (tx) => {
    const today = todayIn(services, await studioById(tx, studioId));
    const passage = await passageById(tx, studioId, passageId);
    const { ladder: before } = passage;
    const { full: mark } = passageTempo(passage);
    // The days of a ladder by the date run on while its way stays the same.
    const goesOn = before?.setOn && sameDays(before, ladder);
    const setOn = goesOn ? before.setOn : today;
    await insertLadder(tx, studioId, passageId, {
      id: newId(),
      ladder: { ...ladder, setOn, mark },
      at: new Date(now()),
    });
    if (before) {
      const giving = { tx, studioId, newId, now, today };
      const [was, is] = [highestTarget(before), highestTarget(ladder)];
      await goalsWithin(giving, passage, { was, is, follow: goals === "follow" });
    }
    await dropOutlook(tx, studioId, passage.personId);
  });
}

const there = (rows: number): void => {
  if (rows === 0) throw new DatabaseError("not-found", "There is no such passage.");
};

/** What the teacher says of a passage; null leaves it to the record. */
export const setState = async (
  { db }: Services,
  studioId: string,
  passageId: string,
  state: PassageState | null,
) => there(await setPassageState(db, studioId, passageId, state));

/** Puts a passage on the stand again; on the same day the week asks for it as if nothing had been. */
export const putBack = (services: Services, studioId: string, passageId: string) =>
  services.db.transaction(async (tx) => {
    const { newId, now } = services;
    const today = todayIn(services, await studioById(tx, studioId));
    there(await retirePassage(tx, studioId, passageId, null));
    const passage = await passageById(tx, studioId, passageId);
    await askAgain({ tx, studioId, newId, now, today }, passage);
    await dropOutlook(tx, studioId, passage.personId);
  });

/** Takes a passage off the stand, and out of what its player's weeks ask; its record stays. */
export const putAway = (services: Services, studioId: string, passageId: string) =>
  services.db.transaction(async (tx) => {
    const { newId, now } = services;
    const today = todayIn(services, await studioById(tx, studioId));
    there(await retirePassage(tx, studioId, passageId, new Date(now())));
    const passage = await passageById(tx, studioId, passageId);
    await endInWeeks({ tx, studioId, newId, now, today }, passage);
    await dropOutlook(tx, studioId, passage.personId);
  });
