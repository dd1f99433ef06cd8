import { checkedStaircase, spanOf, type Ladder } from "~/core/ladder";
import { barsOf } from "~/core/score";
import { err, ok, type Result } from "~/core/result";
import type { Day } from "~/core/units";
import type { Passage } from "~/db/queries";

/**
 * A ladder of the library for a passage: its ways and gates, with the start and target that the
 * passage has, or else its own. A sentence when it can't be climbed there.
 */
export function ladderForPassage(
  kept: Ladder,
  passage: Passage,
  today: Day,
): Result<Ladder, string> {
  const { ladder: before, piece } = passage;
  const ladder: Ladder = {
    ...kept,
    start: before?.start ?? kept.start,
    target: before?.target ?? kept.target,
    minutes: before?.minutes ?? kept.minutes,
    part: null,
    setOn: today,
  };
  const { start } = spanOf(ladder, ladder.phases[0]!);
  const unrolled = checkedStaircase(ladder, { start, bars: barsOf(piece.metres, passage) });
  return unrolled.ok
    ? ok(ladder)
    : err(`This ladder doesn't fit here: ${unrolled.error.sentence} Choose another one.`);
}
