import { gateProgress, type Gate } from "~/core/gate";
import {
  belowFirst,
  rungAfter,
  rungBefore,
  rungsFrom,
  rungsToday,
  storedRungs,
  type Rung,
} from "~/core/ladder";
import type { Bpm } from "~/core/units";
import { NOTHING_DONE } from "./done";
import type { Payload } from "./events";
import { firmed } from "./firming";
import { inContext, narrowedTo, needsContext, segmentOf } from "./extent";
import type { Block } from "./plan";
import { rungNow, type BlockState, type CountedPlay, type Extent } from "./state";
import { whereOf } from "./where";

const freshCount = { counted: [], easy: false, flawedOnRung: 0, tense: 0 } as const;

/** A block before anything was played. */
export const openBlock = (plan: Block): BlockState =>
  atTheBeginning(plan, { start: plan.start, rungs: rungsFrom(plan.rungs, plan.ladder) });

type Beginning = Pick<BlockState, "start" | "rungs">;

function atTheBeginning(plan: Block, { start, rungs }: Beginning): BlockState {
  const first = rungs[0]!;
  return {
    start,
    rungs,
    rung: 0,
    tempo: first.tempo,
    extent: "rung",
    segment: segmentOf(plan, first),
    ...freshCount,
    passed: [],
    done: NOTHING_DONE,
    toppedOut: false,
    left: false,
    activeSeconds: 0,
    tension: false,
    firming: false,
    ...(plan.pace ? { pace: plan.pace } : {}),
  };
}

/** Other rungs, from a start that was tapped before anything was played. */
export const redrawn = (
  plan: Block,
  block: BlockState,
  { tempo, rungs }: Payload<"redrawn">,
): BlockState => ({
  ...atTheBeginning(plan, { ...block, start: tempo, rungs: rungsFrom(rungs, plan.ladder) }),
  activeSeconds: block.activeSeconds,
  done: block.done,
  ...(block.pace ? { pace: block.pace } : {}),
});

/** The rungs of a block from another start, as an event keeps them. */
export function redrawnFrom(plan: Block, tempo: Bpm): Payload<"redrawn"> {
  const { ladder, comfortable } = plan;
  const where = whereOf({ ...plan, start: tempo });
  return { tempo, rungs: storedRungs(rungsToday(ladder, where, comfortable ?? undefined), ladder) };
}

/** A rung from its beginning. */
const toRung = (plan: Block, block: BlockState, rung: Rung): BlockState => ({
  ...block,
  ...freshCount,
  rung: rung.index,
  tempo: rung.tempo,
  extent: "rung",
  segment: segmentOf(plan, rung),
  left: false,
});

const extended = (block: BlockState, extent: Extent, segment: BlockState["segment"]) => ({
  ...block,
  ...freshCount,
  extent,
  segment,
});

/** In context it has to go well once. */
const CONTEXT_GATE: Gate = [{ kind: "in-all", plays: 1 }];

/** The gate of what is played now. */
const gateNow = (block: BlockState): Gate =>
  block.extent === "context" ? CONTEXT_GATE : rungNow(block).gate;

/** How far the plays of the present rung have come towards its gate. */
export const progressNow = (block: BlockState) =>
  gateProgress(gateNow(block), block.counted, block.easy);

/** Where tension was noted, nothing is played beyond what is to be made firm. */
function pastBeyond({ rungs, tension }: BlockState, next: Rung | undefined) {
  if (!tension) return next;
  return next && rungs.slice(next.index).find(({ beyond }) => !beyond);
}

/** The ceiling was hit: on with rungs that make it firm. */
export function firming(plan: Block, block: BlockState, event: Payload<"firmed">): BlockState {
  const rungs = firmed(plan, block, event);
  return toRung(plan, { ...block, rungs, firming: true }, rungs[block.rung]!);
}

/**
 * The gate has passed: from fewer bars back to the rung's own, from those into context where the
 * ladder asks for it, and then on up the staircase.
 */
export function gatePassed(plan: Block, block: BlockState): BlockState {
  if (block.extent === "narrowed") return extended(block, "rung", segmentOf(plan, rungNow(block)));
  if (block.extent === "rung" && needsContext(plan, block.rungs, block.rung)) {
    return extended(block, "context", inContext(plan));
  }
  const passed = [...block.passed, { rung: block.rung, tempo: block.tempo }];
  const done = new Set(passed.map(({ rung }) => rung));
  const next = pastBeyond(block, rungAfter(block.rungs, block.rung, block.tempo, done));
  return next
    ? toRung(plan, { ...block, passed }, next)
    : { ...block, ...freshCount, passed, toppedOut: true };
}

/** The time has come: on to the next rung, or it is over; nothing was passed by it. */
export function clockMovedOn(plan: Block, block: BlockState): BlockState {
  const next = rungAfter(block.rungs, block.rung, block.tempo);
  return next ? toRung(plan, block, next) : { ...block, ...freshCount, toppedOut: true };
}

/** One more judged play; the gate may pass by it. */
export function counting(block: BlockState, play: CountedPlay): BlockState {
  const flawed = play.verdict === "flawed" ? 1 : 0;
  return {
    ...block,
    counted: [...block.counted, play],
    flawedOnRung: block.flawedOnRung + flawed,
  };
}

export const again = (block: BlockState): BlockState => ({
  ...block,
  ...freshCount,
  toppedOut: false,
  left: false,
});

export const atTempo = (block: BlockState, tempo: Bpm): BlockState => ({
  ...again(block),
  tempo,
});

export function skipping(plan: Block, block: BlockState): BlockState {
  const next = rungAfter(block.rungs, block.rung, block.tempo);
  return next ? toRung(plan, block, next) : block;
}

/** Where so many rungs lower lies: a rung before, or below the first a tempo of its own. */
function lowerThan(plan: Block, block: BlockState, steps: number): Rung | Bpm | undefined {
  const { rungs, rung: index, tempo } = block;
  const rung = rungBefore(rungs, index, tempo, steps);
  const isBefore = rung !== undefined && (rung.index < index || rung.tempo < tempo);
  return isBefore ? rung : belowFirst(rungs, tempo, plan.ladder.start);
}

export function lowering(plan: Block, block: BlockState, steps: number): BlockState {
  const lower = lowerThan(plan, block, steps);
  if (lower === undefined) return block;
  if (typeof lower === "number") return atTempo(block, lower);
  return toRung(plan, { ...block, toppedOut: false }, lower);
}

/** Lowered by the ladder itself, not by the player: on the first rung it holds, counted afresh. */
export function falling(plan: Block, block: BlockState, steps: number): BlockState {
  const holds = typeof lowerThan(plan, block, steps) !== "object";
  return holds ? atTempo(block, block.tempo) : lowering(plan, block, steps);
}

/** The tempo of the play that comes after one step lower, in bpm; undefined at the lowest. */
export function tempoBelow(plan: Block, block: BlockState): Bpm | undefined {
  const lower = lowerThan(plan, block, 1);
  return typeof lower === "object" ? lower.tempo : lower;
}

export function narrowing(
  plan: Block,
  block: BlockState,
  { fromBar, toBar }: { readonly fromBar: number; readonly toBar: number },
): BlockState {
  const own = segmentOf(plan, rungNow(block));
  const inside = fromBar >= own.fromBar && toBar <= own.toBar && fromBar <= toBar;
  return inside ? extended(block, "narrowed", narrowedTo(fromBar, toBar)) : block;
}
