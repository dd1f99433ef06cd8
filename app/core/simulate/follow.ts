import {
  adviceFor,
  changedLadder,
  shownAdvice,
  type AdviceFacts,
  type LadderChange,
} from "~/core/judge";
import type { Ladder } from "~/core/ladder";
import { advisedStart, estimateOf, mostComfortable, notAbove } from "~/core/record";
import type { BlockSummary, StandState } from "~/core/session";
import type { Day } from "~/core/units";
import type { SoFar } from "./so-far";

type PassageFacts = AdviceFacts["passages"][number];

const PIECE = "piece";

/** A day's practice as the rules of advice look at it. */
export function practiceDay(
  day: Day,
  { plays }: StandState,
  summary: BlockSummary | undefined,
): PassageFacts["days"][number] {
  const tempi = new Map<number, { tempo: number; plays: number; clean: number }>();
  for (const { top: tempo, verdict, layer, cycle, share, endingWell } of plays) {
    if (!verdict || layer !== undefined || cycle || share < 1 || endingWell) continue;
    const before = tempi.get(tempo) ?? { tempo, plays: 0, clean: 0 };
    const clean = before.clean + (verdict === "clean" ? 1 : 0);
    tempi.set(tempo, { tempo, plays: before.plays + 1, clean });
  }
  return {
    day,
    reached: summary?.reachedTempo,
    tempi: [...tempi.values()].toSorted((one, other) => one.tempo - other.tempo),
    tense: 0,
  };
}

/** What this learner can't tell apart, or what is another task: these stay as they are. */
const KEPT: readonly LadderChange["kind"][] = ["target", "part", "whole", "hidden"];

const isLayers = (change: LadderChange): boolean =>
  change.kind === "school" && change.school === "layers";

/** The ladder of today with the first change that is advised, if any is. */
export function asAdvised(
  { ladder: first }: { readonly ladder: Ladder },
  { ladder, level, days, passed }: SoFar,
  {
    today,
    nights,
    start,
    lasts,
  }: {
    readonly today: Day;
    /** Days off before today. */
    readonly nights: number;
    /** Where today would start. */
    readonly start: number;
    readonly lasts: PassageFacts["lasts"];
  },
): Ladder {
  if (days.length === 0) return ladder;
  const { comfortable, ceiling } = estimateOf(level);
  const most = mostComfortable(passed, level, undefined);
  const facts: PassageFacts = {
    id: PIECE,
    pieceId: PIECE,
    fromBar: 1,
    toBar: 4,
    ladder,
    target: first.target,
    start,
    lasts,
    comfortable: notAbove(comfortable, most),
    ceiling: most === null || ceiling.low <= most ? ceiling.value : undefined,
    advised: Math.min(most ?? Infinity, advisedStart(level)),
    safe: false,
    days,
    daysOff: nights + 1,
    daysAtTarget: 0,
    partAtTarget: 0,
    flaws: [],
    concert: undefined,
  };
  const all = adviceFor(
    { today, passages: [facts], lastSitting: undefined, ear: { listened: 0, kind: 0, hard: 0 } },
    new Set(),
  );
  const [change] = shownAdvice(all, new Set())
    .flatMap(({ changes }) => changes)
    .filter((each) => !KEPT.includes(each.kind) && !isLayers(each));
  return (change && changedLadder(ladder, change)) ?? ladder;
}
