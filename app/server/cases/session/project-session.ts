import type { Verdict } from "~/core/gate";
import { withdrawnClick } from "~/core/ladder";
import {
  afterDay,
  daysLater,
  estimateOf,
  firstLevel,
  mostComfortable,
  notAbove,
  type RecordedRep,
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
  type CountedMeasure,
  type CountedRep,
  type EstimatedDay,
  type SessionProjection,
} from "~/db/queries";
import { changedKinds, playsOf, type PlayKinds } from "./play-kinds";

/** A session that has just been counted, with its plays by kind. */
export interface CountedDay {
  readonly written: SessionProjection;
  readonly kinds: PlayKinds;
}

/**
 * Estimates a passage anew from a day on: from what was believed before it, day by day through what
 * was played. What lies before costs nothing, however long it is. The plays of a session that has
 * just been counted need not be read again.
 */
export async function estimateDays(
  db: Queries,
  studioId: string,
  passageId: string,
  from: Day,
  counted?: CountedDay,
): Promise<void> {
  const {
    days: played,
    reps: others,
    before: last,
  } = await recordFrom(db, studioId, passageId, from, counted?.written.sessionId);
  if (played.length === 0) return;
  const reps = new Map<Day, RecordedRep[]>(played.map(({ day }) => [day, []]));
  for (const rep of others) reps.get(rep.day)?.push(rep);
  if (counted) reps.get(counted.written.day)?.push(...playsOf(counted.kinds, passageId));
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
  /** Its judged plays by kind. */
  readonly kinds: PlayKinds;
  /** Passages of which something is counted otherwise than before the last events. */
  readonly touched: ReadonlySet<string>;
  /** When it began, where that is known already. */
  readonly began?: Date;
}

const fourDigits = (share: number): number => Math.round(share * 10_000) / 10_000;

function countedRep(
  { plan }: StoredSession,
  { blocks }: StandState,
  play: Play,
  verdict: Verdict,
): CountedRep {
  const { blockIndex, endingWell } = play;
  const { task } = blocks[blockIndex]!.rungs[play.rung]!;
  const { passageId, ladder } = plan.blocks[blockIndex]!;
  const { id, at, top, fromBar, toBar, bar, beat, what, fromMemory, cycle } = play;
  return {
    ...{ id, passageId, at, top, verdict, fromBar, toBar, bar, beat, what, fromMemory, cycle },
    share: fourDigits(play.share),
    // Over several tempi: the share of the full ones besides the tempo of the first.
    factor: ladder.of === null ? null : fourDigits(play.tempo / ladder.of),
    // A click that was withdrawn is told like a layer: such plays say nothing of the whole with it.
    layer: play.layer ?? (endingWell ? undefined : withdrawnClick(task)),
    // Where the ladder names no key, the week's is the one it was played in.
    key: play.key ?? weeksKey(plan, blockIndex),
  };
}

/** What is counted of plays, one by one. */
const countedOf = (session: StoredSession, state: StandState, plays: readonly Play[]) => ({
  reps: plays.flatMap((play) =>
    play.verdict ? [countedRep(session, state, play, play.verdict)] : [],
  ),
  measures: plays.flatMap(({ id, blockIndex, measured }): CountedMeasure[] =>
    measured ? [{ id, passageId: session.plan.blocks[blockIndex]!.passageId, ...measured }] : [],
  ),
});

type CountedPlays = ReturnType<typeof countedOf>;

/**
 * What is counted of all plays: of those that are the very same as before it stands as it was, so
 * that one more costs the same however many there are; and what of it is new, and is gone.
 */
function playsCounted(before: Counted, state: StandState) {
  const { session, written } = before;
  const { plays, blocks } = before.state;
  const sameRungs = blocks.every(({ rungs }, i) => rungs === state.blocks[i]!.rungs);
  let from = 0;
  while (sameRungs && from < plays.length && plays[from] === state.plays[from]) from++;
  const gone = {
    reps: plays.slice(from).filter(({ verdict }) => verdict).length,
    measures: plays.slice(from).filter(({ measured }) => measured).length,
  };
  const fresh = countedOf(session, state, state.plays.slice(from));
  const old = <K extends keyof CountedPlays>(key: K): CountedPlays[K] =>
    (written?.[key] ?? []) as CountedPlays[K];
  const [reps, measures] = [old("reps"), old("measures")];
  const keptReps = reps.length - gone.reps;
  return {
    reps: [...reps.slice(0, keptReps), ...fresh.reps],
    measures: [...measures.slice(0, measures.length - gone.measures), ...fresh.measures],
    kinds: changedKinds(before.kinds, reps.slice(keptReps), fresh.reps),
  };
}

/** What is counted from a session's events. */
function projectionOf(
  studioId: string,
  session: StoredSession,
  {
    events,
    state,
    reps,
    measures,
  }: Pick<Counted, "events" | "state"> & Omit<CountedPlays, "kinds">,
  { day, began }: { readonly day: Day; readonly began: Date },
): SessionProjection {
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
    reps,
    measures,
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
  const asked = fresh.filter((each) => each.kind === "asked");
  if (asked.length === 0) return;
  const undone = new Set(
    events.flatMap((each) => (each.kind === "undone" ? each.payload.event : [])),
  );
  for (const { id, payload } of asked) {
    if (undone.has(id)) continue;
    await insertQuestion(db, studioId, personId, { id, day, text: payload.text });
  }
}

/** What was counted, and its writing, which has been asked for. */
export interface CountedAndWriting {
  readonly counted: Counted;
  readonly writing: Promise<void>;
}

/**
 * What follows from more events of a session whose state is known: only that is counted and
 * written. Whoever has more to ask of the database need not wait until it is written.
 */
export async function countMore(
  db: Queries,
  studioId: string,
  timeZone: string,
  before: Counted,
  fresh: readonly SessionEvent[],
): Promise<CountedAndWriting> {
  const events = [...before.events];
  let { state } = before;
  for (const event of fresh) {
    state = advance(state, events, event);
    events.push(event);
  }
  const first = events[0];
  if (!first) return { counted: before, writing: Promise.resolve() };
  const { session, written } = before;
  const began =
    written?.startedAt ??
    before.began ??
    (await beganAt(db, studioId, session.id))?.at ??
    new Date(first.at);
  const day = written?.day ?? dayOf(began.getTime(), timeZone);
  await keepQuestions(db, studioId, session.person_id, day, { events, fresh });
  const { kinds, ...plays } = playsCounted(before, state);
  const projection = projectionOf(studioId, session, { events, state, ...plays }, { day, began });
  const changes = changesSince(projection, written);
  const writing = writeSession(db, projection, changes);
  // Whether it failed is asked later.
  writing.catch(() => undefined);
  const touched = touchedBy(changes, written);
  return { counted: { session, events, state, written: projection, kinds, touched }, writing };
}

/** A session of which nothing is counted yet. */
export const uncounted = (session: StoredSession, began?: Date): Counted => ({
  session,
  ...(began ? { began } : {}),
  events: [],
  state: initialState(session.plan),
  written: undefined,
  kinds: new Map(),
  touched: new Set(),
});
