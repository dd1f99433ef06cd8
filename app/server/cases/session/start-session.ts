import { err, ok, type Result } from "~/core/result";
import {
  planOf,
  type RolledBlock,
  type Feeling,
  type Part,
  type SessionPlan,
} from "~/core/session";
import { addDays, type Day } from "~/core/units";
import {
  assignmentsOf,
  insertSession,
  passagesOfPerson,
  studentById,
  studioById,
  type Passage,
} from "~/db/queries";
import { todayIn, type Services } from "../../services";
import { blockOf } from "../../plan/block-of";
import { changedToday } from "../../plan/changed-today";
import { hurtSince, PAIN_DAYS } from "../../plan/pain";
import { openItems, weekNotes, weekOn, type RunningWeek } from "../../plan/week-on";
import { reachedIn, readFrom, whatHappened, type Happened } from "../../plan/week-plan";
import type { ChosenPart } from "../week/read-today";

type NoteOf = ReturnType<typeof weekNotes>;

/** The chosen parts with their blocks; a passage that has no ladder, or is not theirs, is left out. */
function partsChosen(
  chosen: readonly ChosenPart[],
  passages: readonly Passage[],
  today: Day,
  noteOf: NoteOf,
) {
  const blocks: RolledBlock[] = [];
  const parts: Part[] = [];
  for (const { kind, minutes, text, passageId, itemId } of chosen) {
    const said = noteOf({ passageId, itemId });
    const part = { kind, minutes, text, ...(itemId ? { itemId } : {}), ...(said ? { said } : {}) };
    if (passageId === null) {
      parts.push({ ...part, block: null });
      continue;
    }
    const passage = passages.find(({ id }) => id === passageId);
    const block = passage && blockOf(passage, today);
    if (!block) continue;
    parts.push({ ...part, block: blocks.length });
    blocks.push(block);
  }
  return { blocks, parts };
}

/** A part for a passage alone. */
export const passagePart = (passageId: string, minutes = 10): ChosenPart => ({
  kind: "practising",
  minutes,
  text: "",
  passageId,
  itemId: null,
});

/** The first practice after a lesson opens with the teacher's words and the list of the week. */
function openingOf(week: RunningWeek, { sessions }: Happened): SessionPlan["opening"] {
  if (sessions.some(({ day }) => day >= week.since)) return undefined;
  const asks = openItems(week).map(({ title, focus }) => (focus ? `${title}: ${focus}` : title));
  return week.text.word === "" && asks.length === 0 ? undefined : { word: week.text.word, asks };
}

const HURTS =
  "Last time something hurt. Nothing is played until you say on Today that nothing hurts any more.";
/**
 * Fixes the plan of a session over the chosen parts, in their order, and stores it. After a stop for
 * pain nothing is played until the player says that nothing hurts; then the session is an easy one.
 */
export async function startSession(
  services: Services,
  studioId: string,
  personId: string,
  chosen: readonly ChosenPart[],
  feeling?: Feeling,
): Promise<Result<{ sessionId: string; plan: SessionPlan }, { sentence: string }>> {
  const { db, now, newId } = services;
  return db.transaction(async (tx) => {
    const today = todayIn(services, await studioById(tx, studioId));
    const person = await studentById(tx, studioId, personId);
    const all = await passagesOfPerson(tx, studioId, personId);
    const { passages } = await changedToday(tx, studioId, personId, today, all);
    const week = weekOn(await assignmentsOf(tx, studioId, personId, 3), today);
    const back = addDays(today, -PAIN_DAYS);
    const from = week && readFrom(week) < back ? readFrom(week) : back;
    const happened = await whatHappened(tx, studioId, personId, from, today);
    const noteOf = weekNotes(week, today, reachedIn(week, happened, today));
    const { blocks, parts } = partsChosen(chosen, passages, today, noteOf);
    if (parts.length === 0) {
      return err({ sentence: "Choose at least one thing to do, or a passage that has a ladder." });
    }
    const hurt = hurtSince(happened);
    const opening = week && openingOf(week, happened);
    const plays = blocks.length > 0;
    if (plays && (feeling === "painful" || (hurt && feeling === undefined))) {
      return err({ sentence: HURTS });
    }
    const sessionId = newId();
    const easyAgain = plays && hurt !== undefined;
    const plan = planOf({
      noVerdict: person.no_verdict,
      blocks,
      parts,
      easyAgain,
      ...(opening ? { opening } : {}),
    });
    await insertSession(tx, studioId, {
      id: sessionId,
      personId,
      plan,
      createdAt: new Date(now()),
    });
    return ok({ sessionId, plan });
  });
}
