import { withdrawnClick } from "~/core/ladder";
import {
  afterDay,
  daysLater,
  estimateOf,
  firstLevel,
  mostComfortable,
  notAbove,
} from "~/core/record";
import {
  advance,
  initialState,
  summarise,
  tasksOf,
  type Play,
  type SessionEvent,
  type SessionPlan,
  type StandState,
} from "~/core/session";
import { dayOf, daysBetween, type Day } from "~/core/units";
import type { Queries } from "~/db/client";
import {
  beganAt,
  changesSince,
  insertQuestion,
  putPassageDays,
  recordFrom,
  touchedBy,
  writeSession,
  type CountedRep,
  type EstimatedDay,
  type SessionProjection,
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
  const { days: played, reps: all, before: last } = await recordFrom(db, studioId, passageId, from);
  if (played.length === 0) return;
  const reps = new Map<Day, (typeof all)[number][]>(played.map(({ day }) => [day, []]));
  for (const rep of all) reps.get(rep.day)?.push(rep);
  let before = last;
  const days = played.map(({ day, target, hardness, passed, step }): EstimatedDay => {
    const morning = before
      ? daysLater(before.level, daysBetween(before.day, day))
      : firstLevel(target, hardness);
    const level = afterDay(morning, reps.get(day) ?? []);
    before = { day, level };
    const most = mostComfortable(passed ?? undefined, level, step ?? undefined);
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

/** A session as far as it is known in memory: its events, where they have led, what is written of it. */
export interface Counted {
  readonly session: StoredSession;
  readonly events: readonly SessionEvent[];
  readonly state: StandState;
  /** What was counted and written; undefined without events. */
  readonly written: SessionProjection | undefined;
  /** Passages of which something is counted otherwise than before the last events. */
  readonly touched: ReadonlySet<string>;
  /** When it began, where that is known already. */
  readonly began?: Date;
}

/** Plays stay the same objects while a session goes on: so does what is counted from them. */
const countedBefore = new WeakMap<Play, CountedRep>();

function countedRep({ plan }: StoredSession, { blocks }: StandState, play: Play): CountedRep {
  const { passageId, ladder } = plan.blocks[play.blockIndex]!;
  // Over several tempi: the share of the full ones besides the tempo of the first.
  const factor = ladder.of === null ? null : play.tempo / ladder.of;
  // Where the ladder names no key, the week's is the one it was played in.
  const key = play.key ?? weeksKey(plan, play.blockIndex);
  // A click that was withdrawn is told like a layer: such plays say nothing of the whole with it.
  const { task } = blocks[play.blockIndex]!.rungs[play.rung]!;
  const layer = play.layer ?? (play.endingWell ? undefined : withdrawnClick(task));
  const known = countedBefore.get(play);
  if (known && known.layer === layer && known.key === key) return known;
  const rep = { ...play, passageId, key, factor, layer };
  countedBefore.set(play, rep);
  return rep;
}

/** What is counted from a session's events. */
function projectionOf(
  studioId: string,
  session: StoredSession,
  { events, state }: Pick<Counted, "events" | "state">,
  { day, began }: { readonly day: Day; readonly began: Date },
): SessionProjection {
  const judged = state.plays.filter(({ verdict }) => verdict !== undefined);
  return {
    studioId,
    sessionId: session.id,
    personId: session.person_id,
    day,
    startedAt: began,
    // How long it took is what the device's own clock says, right or wrong.
    lastAt: new Date(began.getTime() + Math.max(0, events.at(-1)!.at - events[0]!.at)),
    ended: state.ended,
    notes: state.notes,
    questions: state.questions,
    ratings: state.ratings,
    feeling: state.feeling,
    tasks: tasksOf(state),
    blocks: summarise(state),
    reps: judged.map((play) => countedRep(session, state, play)),
  };
}

/** Keeps the questions that some events ask; the same one twice is one. */
async function keepQuestions(
  db: Queries,
  studioId: string,
  personId: string,
  day: Day,
  { events, fresh }: Record<"events" | "fresh", readonly SessionEvent[]>,
) {
  const undone = new Set(
    events.flatMap((each) => (each.kind === "undone" ? each.payload.event : [])),
  );
  for (const { kind, id, payload } of fresh) {
    if (kind !== "asked" || undone.has(id)) continue;
    await insertQuestion(db, studioId, personId, { id, day, text: payload.text });
  }
}

/** What follows from more events of a session whose state is known: only that is counted and written. */
export async function countMore(
  db: Queries,
  studioId: string,
  timeZone: string,
  before: Counted,
  fresh: readonly SessionEvent[],
): Promise<Counted> {
  const events = [...before.events];
  let { state } = before;
  for (const event of fresh) {
    state = advance(state, events, event);
    events.push(event);
  }
  const first = events[0];
  if (!first) return before;
  const { session, written } = before;
  const began =
    written?.startedAt ??
    before.began ??
    (await beganAt(db, studioId, session.id))?.at ??
    new Date(first.at);
  const day = written?.day ?? dayOf(began.getTime(), timeZone);
  await keepQuestions(db, studioId, session.person_id, day, { events, fresh });
  const projection = projectionOf(studioId, session, { events, state }, { day, began });
  const changes = changesSince(projection, written);
  await writeSession(db, projection, changes);
  const touched = touchedBy(changes, written);
  return { session, events, state, written: projection, touched };
}

/** A session of which nothing is counted yet. */
export const uncounted = (session: StoredSession, began?: Date): Counted => ({
  session,
  ...(began ? { began } : {}),
  events: [],
  state: initialState(session.plan),
  written: undefined,
  touched: new Set(),
});
