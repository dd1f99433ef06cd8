import { likelyCost } from "~/core/cost";
import { fastTempo, whereOf, withPace } from "~/core/session";
import { rungsToday } from "~/core/ladder";
import { seeded } from "~/core/simulate";
import { estimateOf, firstLevel } from "~/core/record";
import type { Candidate } from "~/core/session";
import type { StageWork } from "~/core/score";
import { reviewIn } from "~/core/week";
import { daysBetween, type Bpm, type Day } from "~/core/units";
import type { Passage, PlayedDay } from "~/db/queries";
import { blockOf } from "./block-of";
import { standingOf } from "./standing";
import { stateOf } from "./passage-line";

/** What is looked at for "what five minutes would move". */
const SHORT_MINUTES = 4;
/** Simulated climbs of a ladder that has no formula: its mean within a few percent. */
const RUNS = 100;
const SEED = 20_261_126;

/** P(clean) by tempo as of today, or what is expected before anything was played. */
const cleanAtOf = (passage: Passage, target: Bpm, today: Day) =>
  (standingOf(passage, today) ?? estimateOf(firstLevel(target, passage.hardness))).cleanAt;

/** Minutes of today's ladder, and the share of the target that the first minutes gain. */
function costOf(passage: Passage, today: Day): { costMinutes: number; gain: number } | undefined {
  const block = blockOf(passage, today);
  if (!block) return undefined;
  const ladder = withPace(block.ladder, block.pace);
  const rungs = rungsToday(ladder, whereOf(block), block.comfortable ?? undefined);
  const { minutes, rungs: costs } = likelyCost({
    block: { ...block, ladder },
    rungs,
    cleanAt: cleanAtOf(passage, ladder.target, today),
    comfortable: block.comfortable ?? undefined,
    from: whereOf(block),
    // What is fitted is today's part of it.
    days: 1,
    random: () => seeded(SEED),
    runs: RUNS,
  });
  let left = SHORT_MINUTES;
  let reached = rungs[0]?.tempo ?? 0;
  for (const [index, cost] of costs.entries()) {
    left -= cost.minutes;
    if (left < 0) break;
    reached = Math.max(reached, fastTempo(rungs[index]!, rungs[index]!.tempo));
  }
  const from = rungs[0]?.tempo ?? reached;
  // A rung that takes longer than there is still gains its part of the way.
  const part = left < 0 && reached === from ? SHORT_MINUTES / Math.max(SHORT_MINUTES, minutes) : 0;
  const gain = (reached - from) / ladder.target + part * (1 - from / ladder.target);
  return { costMinutes: minutes, gain: Math.max(0, Math.min(1, gain)) };
}

export interface CandidateInputs {
  readonly passages: readonly Passage[];
  readonly played: readonly PlayedDay[];
  readonly today: Day;
  readonly concert: Day | null;
  /** The work that the stage of a piece asks for. */
  readonly workOf: (pieceId: string) => StageWork | undefined;
  /** What the week asks today, by passage; undefined when no week is set. */
  readonly asked: ReadonlyMap<string, number> | undefined;
  /** Passages that are done for today. */
  readonly done: ReadonlySet<string>;
  /** Passages that the week names at all. */
  readonly named: ReadonlySet<string>;
  /** Of these, whose tempo of the week was passed. */
  readonly reached: ReadonlySet<string>;
}

function askedOf(id: string, { asked, done, named, reached }: CandidateInputs): Candidate["asked"] {
  if (asked === undefined) return undefined;
  const minutes = asked.get(id);
  if (minutes !== undefined) return { minutes };
  if (done.has(id)) return "done";
  if (reached.has(id)) return "reached";
  return named.has(id) ? "not-today" : "not-asked";
}

/** The passages that could be played today, with what the fitter needs to know of each. */
export function candidatesFor(inputs: CandidateInputs): Candidate[] {
  const { passages, played, today, concert } = inputs;
  const left = concert === null ? -1 : daysBetween(today, concert);
  return passages.flatMap((passage): Candidate[] => {
    const cost = costOf(passage, today);
    if (!cost) return [];
    const state = stateOf(passage, today);
    return [
      {
        passageId: passage.id,
        state,
        technique: passage.piece.kind !== "piece",
        work: inputs.workOf(passage.pieceId),
        ...cost,
        daysSince: passage.lastDay ? daysBetween(passage.lastDay, today) : undefined,
        daysLeft: left >= 0 ? left : undefined,
        asked: askedOf(passage.id, inputs),
        reviewIn:
          state === "safe"
            ? reviewIn(
                played.filter(({ passage_id }) => passage_id === passage.id),
                today,
              )
            : undefined,
      },
    ];
  });
}
