import { staircase, todaysStart } from "~/core/ladder";
import { err, ok, type Result } from "~/core/result";
import { barsOf } from "~/core/score";
import type { Block, SessionPlan } from "~/core/session";
import { insertSession, passagesOfPerson, studentById, type Passage } from "~/db/queries";
import type { Services } from "../services";

/** Today's start of a passage with a ladder, by its start rule and its record. */
export function startToday(passage: Passage & { ladder: NonNullable<Passage["ladder"]> }) {
  const { ladder, endedTempo, comfortable } = passage;
  return todaysStart(ladder.startRule, {
    first: ladder.start,
    target: ladder.target,
    ended: endedTempo ?? undefined,
    comfortable: comfortable ?? undefined,
    staircase: staircase(ladder, ladder.start).map(({ tempo }) => tempo),
  });
}

export function blockOf(passage: Passage): Block | undefined {
  const { ladder, piece } = passage;
  if (!ladder) return undefined;
  return {
    passageId: passage.id,
    pieceTitle: piece.title,
    passageName: passage.name,
    focus: passage.focus,
    fromBar: passage.fromBar,
    toBar: passage.toBar,
    pickupBeats: passage.pickupBeats,
    endBeats: passage.endBeats,
    bars: barsOf(piece.metres, passage),
    beatUnit: piece.markUnit,
    ladder,
    start: startToday({ ...passage, ladder }),
  };
}

/** Fixes the plan of a session over the chosen passages, in their order, and stores it. */
export async function startSession(
  { db, now, newId }: Services,
  studioId: string,
  personId: string,
  passageIds: readonly string[],
): Promise<Result<{ sessionId: string; plan: SessionPlan }, { sentence: string }>> {
  return db.transaction(async (tx) => {
    const person = await studentById(tx, studioId, personId);
    const passages = await passagesOfPerson(tx, studioId, personId);
    const blocks = passageIds.flatMap((id) => {
      const passage = passages.find((each) => each.id === id);
      return (passage && blockOf(passage)) ?? [];
    });
    if (blocks.length === 0) {
      return err({ sentence: "Choose at least one passage that has a ladder." });
    }
    const sessionId = newId();
    const plan: SessionPlan = { version: 1, noVerdict: person.no_verdict, blocks };
    await insertSession(tx, studioId, {
      id: sessionId,
      personId,
      plan,
      createdAt: new Date(now()),
    });
    return ok({ sessionId, plan });
  });
}
