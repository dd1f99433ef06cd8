import { useMemo, useState } from "react";
import {
  endsQuietly,
  fitSession,
  isPassageKind,
  moved,
  stretched,
  USUAL_SHAPE,
  type AskedTask,
  type BlockKind,
  type FittedBlock,
  type LeftOut,
  type Shape,
} from "~/core/session";
import type { Asked, KeptShape, TodayPageProps } from "./today-shapes";

/** Only what has a ladder, and its slow finish. */
const PASSAGES_ONLY: Shape = USUAL_SHAPE.filter(({ kind }) => isPassageKind(kind));
/** What is put in by hand is asked for so long, until the player says otherwise. */
const OWN_MINUTES = 5;
/** The first session after something hurt. */
const EASY_MINUTES = 15;

const shapeOf = (choice: string, kept: readonly KeptShape[]): Shape => {
  if (choice === "passages") return PASSAGES_ONLY;
  return kept.find(({ id }) => id === choice)?.shape ?? USUAL_SHAPE;
};

/** What was put in by hand, whatever spoke against it. */
interface PutIn {
  readonly ids: readonly string[];
  readonly kinds: readonly BlockKind[];
  readonly own: readonly AskedTask[];
  /** Parts of the shape that are done even on a short day. */
  readonly pinned: readonly BlockKind[];
}

const NOTHING: PutIn = { ids: [], kinds: [], own: [], pinned: [] };

/** A shape with what was put in or pinned always in it. */
function withPutIn(shape: Shape, { kinds, pinned }: PutIn): Shape {
  const must = new Set([...kinds, ...pinned]);
  const missing = USUAL_SHAPE.filter(
    ({ kind }) => must.has(kind) && !shape.some((each) => each.kind === kind),
  );
  const marked = shape.map((each) =>
    must.has(each.kind) ? { ...each, always: true, priority: 1 } : each,
  );
  return [...marked, ...missing.map((each) => ({ ...each, always: true, priority: 1 }))];
}

type Inputs = Pick<
  TodayPageProps,
  | "minutes"
  | "feeling"
  | "weekShape"
  | "hurt"
  | "playedMinutes"
  | "candidates"
  | "tasks"
  | "shapes"
  | "stretch"
>;

/** Today's session: fitted at once to what is said, then changed by hand. */
export function useSession(inputs: Inputs) {
  const { candidates, tasks, shapes, hurt, stretch, playedMinutes } = inputs;
  const [asked, setAsked] = useState<Asked>({
    minutes: inputs.minutes,
    feeling: hurt ? undefined : (inputs.feeling ?? "fine"),
    shape: shapes.some(({ id }) => id === inputs.weekShape) ? inputs.weekShape! : "usual",
  });
  const [byHand, setByHand] = useState<readonly FittedBlock[] | undefined>(undefined);
  const [putIn, setPutIn] = useState<PutIn>(NOTHING);
  const shape = useMemo(
    () => withPutIn(shapeOf(asked.shape, shapes), putIn),
    [asked.shape, shapes, putIn],
  );
  const fitted = useMemo(() => {
    const { minutes, feeling } = asked;
    const isIn = (id: string) => putIn.ids.includes(id);
    return fitSession({
      minutes,
      feeling: feeling ?? "painful",
      shape,
      stretch,
      easyAgain: hurt !== undefined,
      warm: Math.round(playedMinutes) > 0,
      candidates: candidates.map((each) =>
        isIn(each.passageId) ? { ...each, wanted: true } : each,
      ),
      tasks: [
        ...tasks.map((each) => (isIn(each.itemId) ? { ...each, in: "wanted" as const } : each)),
        ...putIn.own,
      ],
    });
  }, [asked, shape, candidates, tasks, putIn, hurt, stretch, playedMinutes]);
  const blocks = byHand ?? fitted.blocks;
  const last = blocks.at(-1);
  const putting = (change: (before: PutIn) => Partial<PutIn>) => {
    setPutIn((before) => ({ ...before, ...change(before) }));
    setByHand(undefined);
  };
  return {
    asked,
    ask: (change: Partial<Asked>) => {
      setAsked((before) => {
        const saysFine = before.feeling === undefined && change.feeling !== "painful";
        const easy = hurt && change.feeling && saysFine ? EASY_MINUTES : before.minutes;
        return { ...before, minutes: Math.min(before.minutes, easy), ...change };
      });
      setByHand(undefined);
    },
    shape,
    blocks,
    leftOut: fitted.leftOut,
    spare: byHand ? 0 : fitted.spare,
    total: blocks.reduce((sum, { minutes }) => sum + minutes, 0),
    changed: byHand !== undefined,
    pinned: putIn.pinned,
    endsFast: last !== undefined && !endsQuietly(last.kind) && !putIn.kinds.includes(last.kind),
    /** Puts in what was left out. */
    takeIn: ({ passageId, itemId, kind }: LeftOut) =>
      putting(({ ids, kinds }) => {
        const id = passageId ?? itemId;
        return id ? { ids: [...ids, id] } : { kinds: [...kinds, kind] };
      }),
    /** Puts in something of one's own. */
    add: (kind: BlockKind, text: string) =>
      putting(({ own }) => {
        const task = { itemId: crypto.randomUUID(), kind, text, minutes: OWN_MINUTES };
        return { own: [...own, { ...task, in: "own" as const }] };
      }),
    pin: (kind: BlockKind) =>
      putting(({ pinned }) => ({
        pinned: pinned.includes(kind) ? pinned.filter((each) => each !== kind) : [...pinned, kind],
      })),
    refit: () => setByHand(undefined),
    move: (id: string, to: number) => setByHand(moved(blocks, id, to)),
    stretch: (id: string, minutes: number) => setByHand(stretched(blocks, id, minutes)),
    leave: (id: string) => setByHand(blocks.filter((block) => block.id !== id)),
    say: (id: string, text: string) =>
      setByHand(blocks.map((block) => (block.id === id ? { ...block, text } : block))),
    endSlowly: () => {
      const finish = blocks.find(({ kind }) => kind === "slow-finish");
      const usual = USUAL_SHAPE.find(({ kind }) => kind === "slow-finish")!;
      const made: FittedBlock = {
        id: "slow-finish-last",
        kind: "slow-finish",
        passageId: undefined,
        text: "",
        minutes: usual.span.ideal,
        span: usual.span,
        reason: { why: "ends-well" },
      };
      setByHand([...blocks.filter((block) => block !== finish), finish ?? made]);
    },
  };
}
