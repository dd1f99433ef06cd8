import type { Bar } from "~/core/ladder";
import { barsOf, type PassageRange } from "~/core/score";
import { keptPace, type RolledBlock } from "~/core/session";
import { barLength, type Day } from "~/core/units";
import type { Passage } from "~/db/queries";
import { barsPlayed, passageTempo } from "./passage-tempo";
import { standingOf } from "./standing";
import { partOf, wayInto, type WithLadder } from "./way-into";

/** The bars of the piece before and after a part, as many as are played in context. */
function barsAround(
  passage: WithLadder,
  { fromBar, toBar }: Pick<PassageRange, "fromBar" | "toBar">,
) {
  const { piece, ladder } = passage;
  const { bars } = ladder.inContext;
  const range = (from: number, to: number) =>
    to < from ? [] : barsPlayed(passage, { fromBar: from, toBar: to });
  return {
    before: range(Math.max(1, fromBar - bars), fromBar - 1),
    after: range(toBar + 1, Math.min(piece.bars, toBar + bars)),
  };
}

/** How much of a passage some of its bars are. */
function shareOfPassage({ piece, ...range }: Passage, bars: readonly Bar[]): number {
  const length = (of: readonly Bar[]) => of.reduce((sum, { metre }) => sum + barLength(metre), 0);
  return Math.min(1, length(bars) / length(barsOf(piece.metres, range)));
}

/** A passage with its ladder as a block of today's session; undefined without a ladder. */
export function blockOf(passage: Passage, today: Day): RolledBlock | undefined {
  const { ladder, piece } = passage;
  if (!ladder) return undefined;
  const withLadder = { ...passage, ladder };
  const { start, place, bars, again, passedTempi } = wayInto(withLadder, today);
  const part = partOf(passage, ladder);
  const pace = keptPace(passage.pace, ladder);
  const standing = standingOf(passage, today);
  return {
    passageId: passage.id,
    pieceTitle: piece.title,
    passageName: passage.name,
    focus: passage.focus,
    ...part,
    // A ladder for some of its bars plays them once.
    order: part.fromBar === passage.fromBar && part.toBar === passage.toBar ? passage.order : [],
    bars: [...bars],
    shareOfPassage: shareOfPassage(passage, bars),
    around: barsAround(withLadder, part),
    beatUnit: passage.beatUnit,
    ...(ladder.of === null ? {} : { tempi: [...passageTempo(passage).across] }),
    ladder,
    start,
    place,
    again,
    passedTempi: [...passedTempi],
    comfortable: standing?.comfortable.value ?? null,
    ceiling: standing?.ceilingMet ? standing.ceiling.value : null,
    ...(pace ? { pace } : {}),
  };
}
