import * as v from "valibot";
import { aLadder, barsOf } from "~/core/ladder/test/fixtures";
import { sessionPlanSchema, type SessionPlan } from "..";

const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, "9")}`;
export const EVEN = { name: "even-steps", numbers: { step: 10 } };

export const IN_TIME = { kind: "in-time" } as const;

interface BlockWish {
  readonly school?: { readonly name: string; readonly numbers: object };
  readonly start?: number;
  readonly target?: number;
  readonly ladder?: object;
  readonly block?: object;
}

const blockOf = (
  { school = EVEN, start = 60, target = 80, ladder, block }: BlockWish,
  n: number,
) => {
  const all = barsOf(7);
  return {
    passageId: uuid(n + 1),
    pieceTitle: `Piece ${n + 1}`,
    passageName: "",
    focus: "",
    fromBar: 3,
    toBar: 4,
    pickupBeats: 0,
    endBeats: 0,
    bars: all.slice(2, 4),
    around: { before: all.slice(0, 2), after: all.slice(4, 6) },
    beatUnit: "quarter",
    start,
    ladder: aLadder(school, start, target, {
      gate: [{ kind: "in-a-row", plays: 2, afterFlawed: "reset" }],
      ...ladder,
    }),
    ...block,
  };
};

/** A session of some passages, by today's rules. */
export const planOf = (blocks: readonly BlockWish[], plan: object = {}): SessionPlan =>
  v.parse(sessionPlanSchema, {
    version: 1,
    rules: 2,
    noVerdict: "wait",
    ...plan,
    blocks: blocks.map(blockOf),
  });

/** One passage that goes on in time, unless something else is said. */
export const inTime = (wish: BlockWish = {}, plan: object = {}): SessionPlan => {
  const { click } = aLadder(EVEN, 60, 80);
  const click_ = { ...click, breather: IN_TIME, ...(wish.ladder as { click?: object })?.click };
  return planOf([{ ...wish, ladder: { ...wish.ladder, click: click_ } }], plan);
};
