import type { Wish } from "./allot";
import { weightOf, type Candidate, type Chosen } from "./candidate";
import type { Feeling } from "./fitted";
import { NICE_TO_HAVE, scaled } from "./room";
import {
  endsQuietly,
  isPassageKind,
  USUAL_SHAPE,
  type BlockKind,
  type MinutesSpan,
  type PassageKind,
  type Shape,
  type ShapeBlock,
} from "./shape";

/** Something that is asked today and that has no passage. */
export interface AskedTask {
  /** The item of the week; of a player's own list its place there. */
  readonly itemId: string;
  readonly kind: BlockKind;
  readonly text: string;
  readonly minutes: number;
  /** It needs no instrument: theory, reading, listening, in the mind. */
  readonly silent?: boolean;
  /** Put in whatever speaks against it: by the list for every day, or by hand. */
  readonly in?: "must-do" | "own" | "wanted";
}

interface Asked {
  readonly shape: Shape;
  readonly minutes: number;
}

/** What kind of work a passage is. */
export const slotOf = ({ technique, work, state }: Candidate): PassageKind => {
  if (technique) return "technique";
  if (work) return work;
  return { raw: "learning", forming: "practising", safe: "performing" }[state] as PassageKind;
};

const clampTo = ({ minimum, maximum }: MinutesSpan, minutes: number): number =>
  Math.min(maximum, Math.max(minimum, Math.round(minutes)));

/** The most of a session that one passage may take, unless more is asked: technique about a sixth. */
const MOST_SHARE = { technique: 1 / 6, other: 1 / 3 } as const;
/** What a passage takes of a session that has time for it. */
const FREE_SHARE = 1 / 4;
/** What was asked comes before everything that is not. */
const ASKED_PRIORITY = 2;

function mostMinutes(kind: PassageKind, { minimum, maximum }: MinutesSpan, total: number): number {
  const share = kind === "technique" ? MOST_SHARE.technique : MOST_SHARE.other;
  return Math.min(maximum, Math.max(minimum, Math.ceil(total * share)));
}

/** What was asked is given as it was asked; only in a session that is too short for it, less. */
const askedSpan = (minutes: number): MinutesSpan => ({
  minimum: Math.ceil(minutes / 2),
  ideal: minutes,
  maximum: minutes,
});

/** The slot of the shape for a kind of passage; a shape without one takes it like its usual place. */
function placeOf(shape: Shape, kind: PassageKind): { slot: ShapeBlock; order: number } {
  const own = shape.findIndex((each) => each.kind === kind);
  if (own >= 0) return { slot: shape[own]!, order: own };
  const any = shape.findIndex((each) => isPassageKind(each.kind));
  const usual = USUAL_SHAPE.find((each) => each.kind === kind)!;
  return { slot: usual, order: any >= 0 ? any : shape.length / 2 };
}

/** What is wished for a passage: what was asked, else what its ladder costs, within the block's span. */
export function passageWish(
  { shape, minutes: total }: Asked,
  { candidate, reason }: Chosen,
  kind: PassageKind,
): Wish {
  const { slot, order } = placeOf(shape, kind);
  // Forming passages are played daily with less: half of what the ladder costs in one go.
  const dose = candidate.state === "raw" ? candidate.costMinutes : candidate.costMinutes / 2;
  const { minimum } = slot.span;
  const free = { minimum, ideal: 0, maximum: mostMinutes(kind, slot.span, total) };
  const asked = reason.why === "asked" ? reason.minutes : undefined;
  const wanted = reason.why === "wanted";
  return {
    id: candidate.passageId,
    kind,
    passageId: candidate.passageId,
    text: slot.text,
    span: asked === undefined ? { ...free, ideal: clampTo(free, dose) } : askedSpan(asked),
    priority: wanted
      ? 1
      : asked === undefined
        ? slot.priority
        : Math.min(slot.priority, ASKED_PRIORITY),
    always: wanted || slot.always,
    weight: weightOf(candidate),
    order,
    reason,
  };
}

/** What free time goes to: only when everything else has its time, and before what is nice to have. */
export function furtherWish(asked: Asked, candidate: Candidate): Wish {
  const wish = passageWish(asked, { candidate, reason: { why: "more" } }, slotOf(candidate));
  const ideal = clampTo(wish.span, asked.minutes * FREE_SHARE);
  return { ...wish, span: { ...wish.span, ideal }, priority: NICE_TO_HAVE };
}

/** A shape that would end on a passage is given a slow finish. */
export function quietEnd(shape: Shape): Shape {
  const last = shape.findLast(({ always, kind }) => always || isPassageKind(kind));
  if (last && endsQuietly(last.kind)) return shape;
  const finish = USUAL_SHAPE.find(({ kind }) => kind === "slow-finish")!;
  return [...shape.filter(({ kind }) => kind !== "slow-finish"), finish];
}

/** To join or to finish slowly there must be something that was worked on. */
const needsNoPassage = ({ kind }: ShapeBlock): boolean => kind !== "join" && kind !== "slow-finish";

/** The parts of a shape that are no passages. */
export function taskWishes({ shape, minutes }: Asked, withPassages: boolean): Wish[] {
  return shape.flatMap((block, index) =>
    isPassageKind(block.kind) || block.kind === "break" || !(withPassages || needsNoPassage(block))
      ? []
      : {
          id: `${block.kind}-${index}`,
          kind: block.kind,
          passageId: undefined,
          text: block.text,
          span: scaled(block.span, minutes),
          priority: block.priority,
          always: block.always,
          weight: 0,
          order: index,
          reason: { why: block.always ? "always" : "shape" } as const,
        },
  );
}

export const askedWishes = (shape: Shape, tasks: readonly AskedTask[]): Wish[] =>
  tasks.map(({ itemId, kind, text, minutes, in: why }) => {
    const place = shape.findIndex((each) => each.kind === kind);
    const reason = why ? ({ why } as const) : ({ why: "asked", minutes } as const);
    const order = place < 0 ? shape.length / 2 : place;
    const rank = {
      priority: why ? 1 : ASKED_PRIORITY,
      always: why !== undefined,
      weight: 1,
      order,
    };
    const span = askedSpan(minutes);
    return { id: itemId, itemId, kind, passageId: undefined, text, span, ...rank, reason };
  });

/** Tight or tired: more warm-up, and less of what is hard (craft, 8). */
export function gentler(wishes: readonly Wish[], feeling: Feeling, total: number): Wish[] {
  if (feeling === "fine") return [...wishes];
  return wishes.map((wish) => {
    if (wish.kind === "warm-up") {
      const { maximum, ideal } = wish.span;
      // Five minutes at least, a quarter of a short session.
      const minimum = Math.min(5, maximum, Math.ceil(total / 4));
      const span = { minimum, ideal: Math.max(minimum, Math.min(maximum, ideal * 2)), maximum };
      return { ...wish, span, always: true, priority: 1, reason: { why: "gentler", feeling } };
    }
    if (wish.kind !== "hard" && wish.kind !== "learning") return wish;
    const { minimum, ideal } = wish.span;
    const less = Math.max(minimum, Math.round(ideal * 0.6));
    return { ...wish, span: { minimum, ideal: less, maximum: less } };
  });
}
