import { weightOf, type Chosen } from "./candidate";
import type { Feeling, FittedBlock, FittedSession, LeftOut } from "./fitted";
import { slotOf, type AskedTask } from "./wishes";

interface OneThing {
  readonly minutes: number;
  readonly chosen: readonly Chosen[];
  readonly tasks: readonly AskedTask[];
  readonly feeling: Feeling;
}

/** Minutes of warm-up before one short thing, for hands that are tight or tired. */
const WARM_UP_MINUTES = 2;
const MOST_MUSTS = 2;
/** What a passage needs in order to be worth opening. */
const LEAST_MINUTES = 3;

const block = (
  kind: FittedBlock["kind"],
  minutes: number,
  reason: FittedBlock["reason"],
): FittedBlock => ({
  id: kind,
  kind,
  passageId: undefined,
  text: "",
  minutes,
  span: { minimum: 1, ideal: minutes, maximum: Math.max(minutes, 4) },
  reason,
});

/**
 * Five to seven minutes: the passage that gains most, and its slow finish; tight or tired hands are
 * warmed up even here. What falls away is told by name. Undefined without a passage.
 */
export function oneThing({ minutes, chosen, tasks, feeling }: OneThing): FittedSession | undefined {
  const wanted = ({ reason }: Chosen) => Number(reason.why === "wanted");
  const best = chosen.toSorted(
    (a, b) =>
      wanted(b) - wanted(a) ||
      b.candidate.gain - a.candidate.gain ||
      weightOf(b.candidate) - weightOf(a.candidate),
  )[0];
  if (!best) return undefined;
  const gentle = feeling === "tight" || feeling === "tired";
  const warmUp = gentle ? WARM_UP_MINUTES : 0;
  const { passageId, gain } = best.candidate;
  // What is done even on a short day is done here too, a minute of each.
  const musts = tasks.filter((task) => task.in === "must-do").slice(0, MOST_MUSTS);
  const others = tasks.filter((task) => !musts.includes(task));
  const played = minutes - warmUp - musts.length - 1;
  const main: FittedBlock = {
    ...block(
      gentle ? slotOf(best.candidate) : "hard",
      played,
      wanted(best) ? best.reason : { why: "gains-most", gain },
    ),
    id: passageId,
    passageId,
    span: { minimum: 1, ideal: played, maximum: minutes },
  };
  const reason = { why: "no-room", minimum: LEAST_MINUTES, left: 0 } as const;
  const notPlayed = chosen.filter((each) => each !== best);
  const leftOut: LeftOut[] = [
    ...notPlayed.map(({ candidate }) => ({
      kind: slotOf(candidate),
      passageId: candidate.passageId,
      reason,
    })),
    ...others.map(({ kind, text, itemId }) => ({
      kind,
      passageId: undefined,
      itemId,
      text,
      reason,
    })),
  ];
  return {
    blocks: [
      ...(gentle ? [block("warm-up", warmUp, { why: "gentler", feeling })] : []),
      ...musts.map(({ itemId, kind, text }) => ({
        ...block(kind, 1, { why: "must-do" }),
        id: itemId,
        itemId,
        text,
      })),
      main,
      block("slow-finish", 1, { why: "ends-well" }),
    ],
    leftOut,
    minutes,
    spare: 0,
  };
}
