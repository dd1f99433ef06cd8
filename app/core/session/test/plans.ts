import * as v from "valibot";
import { aLadder, barsOf } from "~/core/ladder/test/fixtures";
import { planOf as unrolled, rolledBlockSchema, sessionPlanSchema, type SessionPlan } from "..";

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

interface PlanWish extends Partial<
  Pick<Parameters<typeof unrolled>[0], "noVerdict" | "opening" | "easyAgain">
> {
  readonly parts?: readonly object[];
}

/** A plan of blocks and parts as they are read from outside. */
export const planFrom = (
  blocks: readonly object[],
  { parts, ...plan }: PlanWish = {},
): SessionPlan => {
  const rolled = v.parse(v.array(rolledBlockSchema), blocks);
  const whole = unrolled({ noVerdict: "wait", ...plan, blocks: rolled });
  return v.parse(sessionPlanSchema, { ...whole, ...(parts ? { parts } : {}) });
};

/** A session of some passages. */
export const planOf = (blocks: readonly BlockWish[], plan: PlanWish = {}): SessionPlan =>
  planFrom(blocks.map(blockOf), plan);

/** One passage that goes on in time, unless something else is said. */
export const inTime = (wish: BlockWish = {}, plan: PlanWish = {}): SessionPlan => {
  const { click } = aLadder(EVEN, 60, 80);
  const click_ = { ...click, breather: IN_TIME, ...(wish.ladder as { click?: object })?.click };
  return planOf([{ ...wish, ladder: { ...wish.ladder, click: click_ } }], plan);
};
