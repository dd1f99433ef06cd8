import { useMemo, useState } from "react";
import {
  endsQuietly,
  fitSession,
  isPassageKind,
  moved,
  stretched,
  USUAL_SHAPE,
  type AskedTask,
  type Candidate,
  type Feeling,
  type FittedBlock,
  type Shape,
} from "~/core/session";

export interface KeptShape {
  readonly id: string;
  readonly name: string;
  readonly shape: Shape;
}

/** Only what has a ladder, and its slow finish. */
const PASSAGES_ONLY: Shape = USUAL_SHAPE.filter(({ kind }) => isPassageKind(kind));

const shapeOf = (choice: string, kept: readonly KeptShape[]): Shape => {
  if (choice === "passages") return PASSAGES_ONLY;
  return kept.find(({ id }) => id === choice)?.shape ?? USUAL_SHAPE;
};

interface SessionInputs {
  readonly minutes: number;
  readonly feeling: Feeling;
  readonly candidates: readonly Candidate[];
  readonly tasks: readonly AskedTask[];
  readonly shapes: readonly KeptShape[];
}

/** Today's session: fitted at once to what is said, then changed by hand. */
export function useSession(inputs: SessionInputs) {
  const { candidates, tasks, shapes } = inputs;
  const [asked, setAsked] = useState({
    minutes: inputs.minutes,
    feeling: inputs.feeling,
    shape: "usual",
  });
  const [byHand, setByHand] = useState<readonly FittedBlock[] | undefined>(undefined);
  const [wanted, setWanted] = useState<readonly string[]>([]);
  const shape = shapeOf(asked.shape, shapes);
  const fitted = useMemo(() => {
    const { minutes, feeling } = asked;
    const all = candidates.map((each) =>
      wanted.includes(each.passageId) ? { ...each, wanted: true } : each,
    );
    return fitSession({ minutes, feeling, shape, candidates: all, tasks });
  }, [asked, shape, candidates, tasks, wanted]);
  const blocks = byHand ?? fitted.blocks;
  const last = blocks.at(-1);
  return {
    asked,
    ask: (change: Partial<typeof asked>) => {
      setAsked((before) => ({ ...before, ...change }));
      setByHand(undefined);
    },
    blocks,
    leftOut: fitted.leftOut,
    spare: byHand ? 0 : fitted.spare,
    total: blocks.reduce((sum, { minutes }) => sum + minutes, 0),
    changed: byHand !== undefined,
    playable: blocks.some(({ passageId }) => passageId !== undefined),
    endsFast: last !== undefined && !endsQuietly(last.kind),
    takeIn: (passageId: string) => {
      setWanted((before) => [...before, passageId]);
      setByHand(undefined);
    },
    refit: () => setByHand(undefined),
    move: (id: string, to: number) => setByHand(moved(blocks, id, to)),
    stretch: (id: string, minutes: number) => setByHand(stretched(blocks, id, minutes)),
    leave: (id: string) => setByHand(blocks.filter((block) => block.id !== id)),
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
