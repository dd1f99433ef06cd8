import { allotted, type Dropped, type Wish } from "./allot";
import { arranged } from "./arrange";
import {
  easiest,
  furtherBest,
  judged,
  weightOf,
  type Candidate,
  type Chosen,
  type LeftFor,
} from "./candidate";
import type { Feeling, FittedSession, LeftOut } from "./fitted";
import { oneThing } from "./one-thing";
import { NICE_TO_HAVE, ONE_THING_MINUTES } from "./room";
import { isMusic, type Shape } from "./shape";
import { leastBefore, longestStretch, minutesOfBreaks } from "./stretch";
import {
  askedWishes,
  furtherWish,
  gentler,
  passageWish,
  quietEnd,
  slotOf,
  taskWishes,
  type AskedTask,
} from "./wishes";

export interface FitRequest {
  readonly minutes: number;
  readonly shape: Shape;
  readonly candidates: readonly Candidate[];
  readonly tasks?: readonly AskedTask[];
  /** Painful: nothing is played, only what needs no instrument. */
  readonly feeling?: Feeling;
  /** The first session after a stop for pain: little, and what goes most easily. */
  readonly easyAgain?: boolean;
  /** Something was played today already: a warm-up only where there is time for it. */
  readonly warm?: boolean;
  /** Minutes that this player may play without a break, where it is less than usual. */
  readonly stretch?: number | undefined;
}

/** So many passages come in when nothing is asked any more; others only for time that is left. */
const MORE = 3;
const LEAST_PLAYED = 3;

/** The hardest of what is worked on: raw before forming, then by what speaks for it. */
function hardestOf(chosen: readonly Chosen[]): Chosen | undefined {
  const worked = chosen.filter(
    ({ candidate }) => !candidate.technique && candidate.state !== "safe",
  );
  return byWeight(worked)[0];
}

const byWeight = (chosen: readonly Chosen[]): readonly Chosen[] =>
  chosen.toSorted((a, b) => weightOf(b.candidate) - weightOf(a.candidate));

interface ForToday {
  readonly chosen: readonly Chosen[];
  /** For time that is left, best first. */
  readonly further: readonly Candidate[];
  readonly reasonOf: ReadonlyMap<Candidate, LeftFor>;
}

/**
 * Each with its reason. When nothing is for today any more, those that speak most for themselves
 * are in all the same: whoever comes to practise finds something to play. While something is, only
 * what the week leaves open may fill free time: what has its turn on another day keeps its rest.
 */
function forThisSession(candidates: readonly Candidate[], easyAgain: boolean): ForToday {
  if (easyAgain) {
    const easy = easiest(candidates);
    const reason = { why: "easy-again" } as const;
    return {
      chosen: easy.map((candidate) => ({ candidate, reason })),
      further: [],
      reasonOf: new Map(candidates.map((each) => [each, reason])),
    };
  }
  const { chosen, left } = judged(candidates);
  const open = ({ reason }: (typeof left)[number]) =>
    chosen.length === 0 || ["not-asked", "reached", "done"].includes(reason.why);
  const best = furtherBest(left.filter(open).map(({ candidate }) => candidate));
  const more = chosen.length > 0 ? [] : best.slice(0, MORE);
  return {
    chosen: [
      ...chosen,
      ...more.map((candidate) => ({ candidate, reason: { why: "more" } as const })),
    ],
    further: best.filter((each) => !more.includes(each)),
    reasonOf: new Map(left.map(({ candidate, reason }) => [candidate, reason])),
  };
}

/** While something hurts: listening, in the mind, reading and theory. */
function withoutInstrument({ shape, minutes, tasks = [], candidates }: FitRequest): FittedSession {
  const silent = new Set(["mental", "listening"]);
  const own = taskWishes({ shape, minutes }, false).filter(({ kind }) => silent.has(kind));
  const asked = askedWishes(
    shape,
    tasks.filter((task) => task.silent),
  );
  const why = { why: "silent" } as const;
  const wishes = [...asked, ...own.map((wish): Wish => ({ ...wish, reason: why }))];
  const { given, dropped } = allotted(wishes, minutes);
  const blocks = arranged(given, { count: 0, most: Number.POSITIVE_INFINITY, least: 0 })!;
  const used = blocks.reduce((sum, each) => sum + each.minutes, 0);
  const leftOut = candidates.map((each) => leftOf(each, { why: "hurts" }));
  return { blocks, leftOut: [...leftOut, ...toldOf(dropped)], minutes: used, spare: 0 };
}

const leftOf = (candidate: Candidate, reason: LeftFor): LeftOut => ({
  kind: slotOf(candidate),
  passageId: candidate.passageId,
  reason,
});

const toldOf = (dropped: readonly Dropped[]): LeftOut[] =>
  dropped.map(({ wish: { kind, passageId, itemId, text }, reason }) => ({
    kind,
    passageId,
    ...(itemId === undefined ? {} : { itemId, text }),
    reason,
  }));

/**
 * A session of so many whole minutes, 5–240: passages chosen by what the week asks and by their
 * state, minutes as they were asked or by what their ladders cost, breaks counted, the hardest
 * early, a quiet end. Free time goes to what would do most good. The same request gives the same
 * session.
 */
export function fitSession(request: FitRequest): FittedSession {
  const { minutes, candidates, tasks = [], feeling = "fine", easyAgain = false } = request;
  if (feeling === "painful") return withoutInstrument(request);
  const shape = quietEnd(request.shape);
  const { chosen, further, reasonOf } = forThisSession(candidates, easyAgain);
  const inIt = new Set(chosen.map(({ candidate }) => candidate));
  const byHand = tasks.some(isByHand);
  if (minutes <= ONE_THING_MINUTES && !byHand) {
    const one = oneThing({ minutes, chosen, tasks, feeling });
    const others = candidates.filter((each) => !inIt.has(each));
    const left = others.map((each) => leftOf(each, reasonOf.get(each)!));
    if (one) return { ...one, leftOut: [...one.leftOut, ...left] };
  }
  const hardest = easyAgain ? undefined : hardestOf(chosen);
  const kept = hardest ?? byWeight(chosen)[0];
  const of = { shape, minutes };
  const passages = chosen.map((each) => {
    const first = each === hardest && shape.some((slot) => slot.kind === "hard");
    const wish = passageWish(of, each, first ? "hard" : slotOf(each.candidate));
    // Whatever else is dropped, one passage is played.
    return each === kept ? mustStay(wish) : wish;
  });
  const more = further.map((each) => furtherWish(of, each));
  const tasksOfShape = taskWishes(of, passages.length + more.length > 0);
  const own = request.warm ? tasksOfShape.map(onceWarm) : tasksOfShape;
  const asked = askedWishes(shape, easyAgain ? tasks.filter(({ silent }) => silent) : tasks);
  const { blocks, dropped } = withBreaks({
    own: gentler([...passages, ...more, ...own], feeling, minutes),
    ...{ asked, minutes },
    most: longestStretch(feeling, request.stretch),
  });
  const used = blocks.reduce((sum, each) => sum + each.minutes, 0);
  const inBlocks = new Set(blocks.map(({ passageId }) => passageId));
  const notIn = candidates.filter((each) => !inIt.has(each) && !inBlocks.has(each.passageId));
  const isFurther = ({ wish }: Dropped) => more.includes(wish);
  return {
    blocks,
    leftOut: [
      ...toldOf(dropped.filter((each) => !isFurther(each))),
      ...notIn.map((each) => leftOf(each, reasonOf.get(each)!)),
    ],
    minutes: used,
    spare: minutes - used,
  };
}

const isByHand = ({ in: why }: AskedTask): boolean => why === "own" || why === "wanted";

const onceWarm = (wish: Wish): Wish =>
  wish.kind === "warm-up" ? { ...wish, priority: NICE_TO_HAVE } : wish;

/** So short that even a very short session has its quiet end besides. */
const mustStay = (wish: Wish): Wish => ({
  ...wish,
  always: true,
  priority: 0,
  span: { ...wish.span, minimum: Math.min(LEAST_PLAYED, wish.span.minimum) },
});

/** Parts that are no music take a third at most, breaks included. */
const MUSIC_SHARE = 2 / 3;
/** In a shorter session everything is short. */
const MUSIC_FROM_MINUTES = 15;

/** The parts of a shape with so many breaks, so that most of the session is music. */
function aroundMusic(wishes: readonly Wish[], minutes: number, breaks: number) {
  const around = wishes.filter(({ kind }) => !isMusic(kind));
  const available = Math.floor(minutes * (1 - MUSIC_SHARE)) - minutesOfBreaks(breaks);
  const { given, dropped } = allotted(around, Math.max(0, available));
  const longest = new Map(given.map((each) => [each.wish.id, each.minutes]));
  const kept = wishes.flatMap((wish) => {
    if (isMusic(wish.kind)) return wish;
    const maximum = longest.get(wish.id);
    if (maximum === undefined) return [];
    const { minimum, ideal } = wish.span;
    return { ...wish, span: { minimum, ideal: Math.min(ideal, maximum), maximum } };
  });
  return { kept, dropped };
}

interface Wished {
  /** Passages, and the parts of the shape. */
  readonly own: readonly Wish[];
  /** What is asked besides, and by hand: as long as it is asked. */
  readonly asked: readonly Wish[];
  readonly minutes: number;
  readonly most: number;
}

function blocksWith({ own, asked, minutes, most }: Wished, count: number, least: number) {
  const mostly =
    minutes < MUSIC_FROM_MINUTES ? { kept: own, dropped: [] } : aroundMusic(own, minutes, count);
  const wishes = [...mostly.kept, ...asked];
  const { given, dropped } = allotted(wishes, minutes - minutesOfBreaks(count));
  // A long block is gone on with after a break rather than that there is one more.
  const cuts = count === 0 ? [1] : [1, 2, 4, 8];
  for (const cut of cuts) {
    const blocks = arranged(given, { count, most, least, longestBlock: most / cut });
    if (blocks) return { blocks, dropped: [...dropped, ...mostly.dropped] };
  }
  return undefined;
}

/** No day needs more. */
const MOST_BREAKS = 20;

/**
 * As few breaks as leave no stretch too long; their minutes are kept back from the blocks. Where it
 * can't be otherwise, a break comes sooner than it should.
 */
function withBreaks(wished: Wished) {
  for (const least of [leastBefore(wished.most), 0]) {
    for (let count = 0; count <= MOST_BREAKS; count++) {
      const laid = blocksWith(wished, count, least);
      if (laid) return laid;
    }
  }
  throw new Error("A session of parts that are short enough can always be laid out.");
}
