import { estimate } from "~/core/record";
import { replay, summarise, tasksOf, type SessionEvent, type SessionPlan } from "~/core/session";
import { addDays, dayOf, daysBetween, type Day } from "~/core/units";
import type { Queries } from "~/db/client";
import {
  beganAt,
  insertQuestion,
  playedDays,
  putPassageDay,
  replaceSession,
  repsOfPassage,
} from "~/db/queries";

/** Plays older than this weigh next to nothing and are not read. */
const RECORD_DAYS = 90;

/** Estimates a passage anew for each day on which it was played, from a day on. */
export async function estimateDays(
  db: Queries,
  studioId: string,
  passageId: string,
  from: Day,
): Promise<void> {
  for (const { day, target, hardness } of await playedDays(db, studioId, passageId, from)) {
    const reps = await repsOfPassage(db, studioId, passageId, addDays(day, -RECORD_DAYS), day);
    const recorded = reps.map(({ day: played, ...rep }) => ({
      ...rep,
      daysAgo: daysBetween(played, day),
    }));
    await putPassageDay(db, studioId, passageId, day, estimate(recorded, target, hardness));
  }
}

export interface StoredSession {
  readonly id: string;
  readonly person_id: string;
  readonly plan: SessionPlan;
}

/** The key that the week asked for in a block. */
const weeksKey = ({ parts }: SessionPlan, block: number): string | undefined =>
  parts?.find((part) => part.block === block)?.said?.key ?? undefined;

/** Writes what is counted from a session's own events, and tells its day; nothing without events. */
export async function countSession(
  db: Queries,
  studioId: string,
  timeZone: string,
  session: StoredSession,
  events: readonly SessionEvent[],
): Promise<Day | undefined> {
  const first = events[0];
  if (!first) return undefined;
  const state = replay(session.plan, events);
  const began = (await beganAt(db, studioId, session.id))?.at ?? new Date(first.at);
  const day = dayOf(began.getTime(), timeZone);
  const undone = new Set(
    events.flatMap((each) => (each.kind === "undone" ? each.payload.event : [])),
  );
  for (const { kind, id, payload } of events) {
    if (kind !== "asked" || undone.has(id)) continue;
    await insertQuestion(db, studioId, session.person_id, { id, day, text: payload.text });
  }
  const judged = state.plays.filter(({ verdict }) => verdict !== undefined);
  await replaceSession(db, {
    studioId,
    sessionId: session.id,
    personId: session.person_id,
    day,
    startedAt: began,
    // How long it took is what the device's own clock says, right or wrong.
    lastAt: new Date(began.getTime() + Math.max(0, events.at(-1)!.at - first.at)),
    ended: state.ended,
    notes: state.notes,
    questions: state.questions,
    ratings: state.ratings,
    feeling: state.feeling,
    tasks: tasksOf(state),
    blocks: summarise(state),
    reps: judged.map((play) => {
      const { passageId, ladder } = session.plan.blocks[play.blockIndex]!;
      // Over several tempi: the share of the full ones besides the tempo of the first.
      const factor = ladder.of === null ? null : play.tempo / ladder.of;
      // Where the ladder names no key, the week's is the one it was played in.
      const key = play.key ?? weeksKey(session.plan, play.blockIndex);
      return { ...play, passageId, key, factor };
    }),
  });
  return day;
}

/** Writes everything that follows from a session's events; running it again changes nothing. */
export async function projectSession(
  db: Queries,
  studioId: string,
  timeZone: string,
  session: StoredSession,
  events: readonly SessionEvent[],
): Promise<void> {
  const day = await countSession(db, studioId, timeZone, session, events);
  if (day === undefined) return;
  for (const passageId of new Set(session.plan.blocks.map((block) => block.passageId))) {
    await estimateDays(db, studioId, passageId, day);
  }
}
