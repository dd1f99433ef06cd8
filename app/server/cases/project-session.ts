import { withdrawnClick } from "~/core/ladder";
import {
  afterDay,
  daysLater,
  estimateOf,
  firstLevel,
  mostComfortable,
  notAbove,
} from "~/core/record";
import { replay, summarise, tasksOf, type SessionEvent, type SessionPlan } from "~/core/session";
import { dayOf, daysBetween, type Day } from "~/core/units";
import type { Queries } from "~/db/client";
import {
  beganAt,
  insertQuestion,
  levelBefore,
  playedDays,
  putPassageDays,
  replaceSession,
  repsOfPassage,
  type EstimatedDay,
} from "~/db/queries";

/**
 * Estimates a passage anew from a day on: from what was believed before it, day by day through what
 * was played. What lies before costs nothing, however long it is.
 */
export async function estimateDays(
  db: Queries,
  studioId: string,
  passageId: string,
  from: Day,
): Promise<void> {
  const played = await playedDays(db, studioId, passageId, from);
  const [first] = played;
  if (!first) return;
  type Rep = Awaited<ReturnType<typeof repsOfPassage>>[number];
  const reps = new Map<Day, Rep[]>(played.map(({ day }) => [day, []]));
  for (const rep of await repsOfPassage(db, studioId, passageId, from))
    reps.get(rep.day)?.push(rep);
  let before = await levelBefore(db, studioId, passageId, first.day);
  const days = played.map(({ day, target, hardness, passed, step }): EstimatedDay => {
    const morning = before
      ? daysLater(before.level, daysBetween(before.day, day))
      : firstLevel(target, hardness);
    const level = afterDay(morning, reps.get(day) ?? []);
    before = { day, level };
    const most = mostComfortable(passed ?? undefined, level.fastestClean, step ?? undefined);
    const { comfortable, ceiling } = estimateOf(level);
    return { day, level, most, comfortable: notAbove(comfortable, most), ceiling };
  });
  await putPassageDays(db, studioId, passageId, days);
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
      // A click that was withdrawn is told like a layer: such plays say nothing of the whole with it.
      const { task } = state.blocks[play.blockIndex]!.rungs[play.rung]!;
      const layer = play.layer ?? (play.endingWell ? undefined : withdrawnClick(task));
      return { ...play, passageId, key, factor, layer };
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
