import { allotted, type Wish } from "./allot";
import { arranged } from "./arrange";
import { forToday, isChosen, weightOf, type Candidate, type ChosenFor } from "./candidate";
import type { Feeling, FittedBlock, FittedSession, LeftOut } from "./fitted";
import {
  endsQuietly,
  isPassageKind,
  type BlockKind,
  USUAL_SHAPE,
  type MinutesSpan,
  type PassageKind,
  type Shape,
  type ShapeBlock,
} from "./shape";

/** Something that the week asks today and that has no passage. */
export interface AskedTask {
  readonly itemId: string;
  readonly kind: BlockKind;
  readonly text: string;
  readonly minutes: number;
}

export interface FitRequest {
  readonly minutes: number;
  readonly shape: Shape;
  readonly candidates: readonly Candidate[];
  readonly tasks?: readonly AskedTask[];
  readonly feeling?: Feeling;
}

/** Up to here there is time for one passage and its slow finish, nothing else. */
const ONE_THING_MINUTES = 7;
const BREAK = { minutes: 5, every: 30, everyWhenTired: 20 } as const;

const slotOf = ({ technique, state }: Candidate): PassageKind => {
  if (technique) return "technique";
  return { raw: "learning", forming: "practising", safe: "performing" }[state] as PassageKind;
};

const clampTo = ({ minimum, maximum }: MinutesSpan, minutes: number): number =>
  Math.min(maximum, Math.max(minimum, Math.round(minutes)));

interface Chosen {
  readonly candidate: Candidate;
  readonly reason: ChosenFor;
}

/** The hardest of what is worked on: raw before forming, then by what speaks for it. */
function hardestOf(chosen: readonly Chosen[]): Chosen | undefined {
  const worked = chosen.filter(
    ({ candidate }) => !candidate.technique && candidate.state !== "safe",
  );
  return byWeight(worked)[0];
}

const byWeight = (chosen: readonly Chosen[]): readonly Chosen[] =>
  chosen.toSorted((a, b) => weightOf(b.candidate) - weightOf(a.candidate));

/** The most of a session that one passage may take, unless more is asked: technique about a sixth. */
const MOST_SHARE = { technique: 1 / 6, other: 1 / 3 } as const;

function mostMinutes(kind: PassageKind, { minimum, maximum }: MinutesSpan, total: number): number {
  const share = kind === "technique" ? MOST_SHARE.technique : MOST_SHARE.other;
  return Math.min(maximum, Math.max(minimum, Math.ceil(total * share)));
}

/** What is wished for a passage: what was asked, else what its ladder costs, within the block's span. */
function passageWish(
  { shape, minutes: total }: Pick<FitRequest, "shape" | "minutes">,
  { candidate, reason }: Chosen,
  kind: PassageKind,
): Wish {
  const place = placeOf(shape, kind);
  const slot = place.slot;
  const asked = reason.why === "asked" ? reason.minutes : undefined;
  // Forming passages are played daily with less: half of what the ladder costs in one go.
  const dose = candidate.state === "raw" ? candidate.costMinutes : candidate.costMinutes / 2;
  const minimum = Math.min(slot.span.minimum, asked ?? slot.span.minimum);
  const maximum = Math.max(mostMinutes(kind, slot.span, total), asked ?? 0);
  const span = { minimum, maximum, ideal: 0 };
  return {
    id: candidate.passageId,
    kind,
    passageId: candidate.passageId,
    text: slot.text,
    span: { ...span, ideal: clampTo(span, asked ?? dose) },
    priority: asked === undefined ? slot.priority : Math.min(slot.priority, 3),
    always: slot.always,
    weight: weightOf(candidate),
    order: place.order,
    reason,
  };
}

/** The slot of the shape for a kind of passage; a shape without one takes it like its usual place. */
function placeOf(shape: Shape, kind: PassageKind): { slot: ShapeBlock; order: number } {
  const own = shape.findIndex((each) => each.kind === kind);
  if (own >= 0) return { slot: shape[own]!, order: own };
  const any = shape.findIndex((each) => isPassageKind(each.kind));
  const usual = USUAL_SHAPE.find((each) => each.kind === kind)!;
  return { slot: usual, order: any >= 0 ? any : shape.length / 2 };
}

/** A shape that would end on a passage is given a slow finish. */
function quietEnd(shape: Shape): Shape {
  const last = shape.findLast(({ always, kind }) => always || isPassageKind(kind));
  if (last && endsQuietly(last.kind)) return shape;
  const finish = USUAL_SHAPE.find(({ kind }) => kind === "slow-finish")!;
  return [...shape.filter(({ kind }) => kind !== "slow-finish"), finish];
}

function taskWishes(shape: Shape): Wish[] {
  return shape.flatMap((block, index) =>
    isPassageKind(block.kind) || block.kind === "break"
      ? []
      : {
          id: `${block.kind}-${index}`,
          kind: block.kind,
          passageId: undefined,
          text: block.text,
          span: block.span,
          priority: block.priority,
          always: block.always,
          weight: 0,
          order: index,
          reason: { why: block.always ? "always" : "shape" } as const,
        },
  );
}

const askedWishes = (shape: Shape, tasks: readonly AskedTask[]): Wish[] =>
  tasks.map(({ itemId, kind, text, minutes }) => {
    const place = shape.findIndex((each) => each.kind === kind);
    const span = { minimum: Math.ceil(minutes / 2), ideal: minutes, maximum: minutes };
    const reason = { why: "asked", minutes } as const;
    const order = place < 0 ? shape.length / 2 : place;
    const rank = { priority: 3, always: false, weight: 1, order };
    return { id: itemId, itemId, kind, passageId: undefined, text, span, ...rank, reason };
  });

/** Tight or tired: more warm-up, and less of what is hard (craft, 8). */
function gentler(wishes: readonly Wish[], feeling: Feeling, total: number): Wish[] {
  if (feeling === "fine") return [...wishes];
  return wishes.map((wish) => {
    if (wish.kind === "warm-up") {
      const { maximum, ideal } = wish.span;
      // Five minutes at least, a quarter of a short session.
      const minimum = Math.min(5, maximum, Math.ceil(total / 4));
      const span = { minimum, ideal: Math.min(maximum, ideal * 2), maximum };
      return { ...wish, span, always: true, priority: 1, reason: { why: "gentler", feeling } };
    }
    if (wish.kind !== "hard" && wish.kind !== "learning") return wish;
    const { minimum, ideal } = wish.span;
    const less = Math.max(minimum, Math.round(ideal * 0.6));
    return { ...wish, span: { minimum, ideal: less, maximum: less } };
  });
}

const withMinutes = ({ id, kind, passageId, text, span, reason }: Wish, minutes: number) => ({
  id,
  kind,
  passageId,
  text,
  span,
  reason,
  minutes,
});

/** So many passages are offered when nothing is asked any more. */
const MORE = 3;

/**
 * Each with its reason. When nothing is for today any more, those that speak most for themselves
 * are in all the same: whoever comes to practise finds something to play.
 */
function judgedForToday(candidates: readonly Candidate[]) {
  const judged = candidates.map((candidate) => ({ candidate, reason: forToday(candidate) }));
  if (judged.some(({ reason }) => isChosen(reason))) return judged;
  const asked = (each: Candidate) => Number(each.asked === "not-today");
  const more = candidates
    .toSorted((a, b) => asked(b) - asked(a) || weightOf(b) - weightOf(a))
    .slice(0, MORE);
  return judged.map(({ candidate, reason }) =>
    more.includes(candidate)
      ? { candidate, reason: { why: "more" } as const }
      : { candidate, reason },
  );
}

/** Five minutes: the passage that gains most, and its slow finish. */
function oneThing(
  minutes: number,
  chosen: readonly Chosen[],
  shape: Shape,
): FittedSession | undefined {
  const best = chosen.toSorted(
    (a, b) => b.candidate.gain - a.candidate.gain || weightOf(b.candidate) - weightOf(a.candidate),
  )[0];
  if (!best) return undefined;
  const finish = taskWishes(shape).find(({ kind }) => kind === "slow-finish");
  const { passageId, gain } = best.candidate;
  const least = { minimum: 1, ideal: minutes - 1, maximum: minutes };
  const main: FittedBlock = {
    id: passageId,
    kind: "hard",
    passageId,
    text: "",
    minutes: minutes - 1,
    span: least,
    reason: { why: "gains-most", gain },
  };
  const slow: FittedBlock = {
    ...(finish ? withMinutes(finish, 1) : { ...main, id: "slow-finish", passageId: undefined }),
    kind: "slow-finish",
    minutes: 1,
    span: { minimum: 1, ideal: 1, maximum: 4 },
    reason: { why: "ends-well" },
  };
  const left = chosen.filter((each) => each !== best);
  return {
    blocks: [main, slow],
    leftOut: left.map(({ candidate }) => ({
      kind: slotOf(candidate),
      passageId: candidate.passageId,
      reason: { why: "no-room", minimum: 3, left: 0 },
    })),
    minutes,
    spare: 0,
  };
}

/**
 * A session of so many whole minutes, 5–240: passages chosen by what the week asks and by their
 * state, minutes allotted by what their ladders cost, breaks counted, the hardest early, a quiet
 * end. The same request gives the same session.
 */
export function fitSession({
  minutes,
  shape: wanted,
  candidates,
  tasks = [],
  feeling = "fine",
}: FitRequest): FittedSession {
  const shape = quietEnd(wanted);
  const judged = judgedForToday(candidates);
  const chosen = judged.filter((each): each is Chosen => isChosen(each.reason));
  const notToday = judged.flatMap(({ candidate, reason }): LeftOut[] =>
    isChosen(reason) ? [] : [{ kind: slotOf(candidate), passageId: candidate.passageId, reason }],
  );
  if (minutes <= ONE_THING_MINUTES) {
    const one = oneThing(minutes, chosen, shape);
    if (one) return { ...one, leftOut: [...one.leftOut, ...notToday] };
  }
  const hardest = hardestOf(chosen);
  const kept = hardest ?? byWeight(chosen)[0];
  const passages = chosen.map((each) => {
    const first = each === hardest && shape.some((slot) => slot.kind === "hard");
    const kind = first ? "hard" : slotOf(each.candidate);
    const wish = passageWish({ shape, minutes }, each, kind);
    // Whatever else is dropped, one passage is played.
    return each === kept ? { ...wish, always: true, priority: 0 } : wish;
  });
  const needed = passages.length > 0 ? taskWishes(shape) : taskWishes(shape).filter(needsNoPassage);
  const every = feeling === "fine" ? BREAK.every : BREAK.everyWhenTired;
  const asked = askedWishes(shape, tasks);
  const wishes = gentler([...passages, ...asked, ...needed], feeling, minutes);
  const breaks = Math.max(0, Math.floor((minutes - BREAK.minutes) / every));
  const { blocks, dropped } = withBreaks(wishes, minutes, every, breaks);
  const used = blocks.reduce((sum, each) => sum + each.minutes, 0);
  return {
    blocks,
    leftOut: [
      ...dropped.map(({ wish: { kind, passageId }, reason }) => ({ kind, passageId, reason })),
      ...notToday,
    ],
    minutes: used,
    spare: minutes - used,
  };
}

/** Minutes kept back for a break that turns out not to be needed go to the blocks after all. */
function withBreaks(wishes: readonly Wish[], minutes: number, every: number, breaks: number) {
  const { given, dropped } = allotted(wishes, minutes - breaks * BREAK.minutes);
  const playing = every - BREAK.minutes;
  const blocks = arranged(given, { every: playing, minutes: BREAK.minutes, breaks });
  const set = blocks.filter(({ kind }) => kind === "break").length;
  if (set === breaks) return { blocks, dropped };
  return withBreaks(wishes, minutes, every, breaks - 1);
}

/** To join or to finish slowly there must be something that was worked on. */
const needsNoPassage = ({ kind }: Wish): boolean => kind !== "join" && kind !== "slow-finish";
