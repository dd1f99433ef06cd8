import type { Bpm } from "~/core/units";
import { datedPhase } from "./dated";
import type { Ladder } from "./ladder";
import { materialOf } from "./material";
import { natureOf } from "./registry";
import type { Place, Where } from "./rung";
import { staircase } from "./rungs";
import { spanOf, wayOf } from "./span";
import { todaysStart } from "./start-rule";

/** What earlier days have left of a ladder. */
export interface Left {
  /** Where the latest session ended, and in which row of schools that is a place. */
  readonly ended: { readonly tempo: Bpm; readonly place: Place; readonly way: string } | null;
  /** The fastest tempo ever passed on a material; undefined where nothing was. */
  readonly fastest: (material: string) => number | undefined;
  /** The estimated comfortable tempo, if anything was played. */
  readonly comfortable: number | undefined;
  /** The highest tempo that surely goes clean, if anything was played. */
  readonly advised?: number | undefined;
  /** Practice days since the ladder was set; undefined where nobody counts them. */
  readonly daysGone: number | undefined;
}

/** Where today begins. */
export interface WayIn {
  readonly start: Bpm;
  readonly place: Place;
  /** What today begins with is practice of. */
  readonly material: string;
  /** The fastest tempo passed on it, where a planned start lies above it. */
  readonly startsAbove: number | undefined;
}

/** Where in the row of phases and stages today goes on. */
function placeToday(ladder: Ladder, { ended, daysGone }: Left): Place {
  const sameWay = ended !== null && ended.way === wayOf(ladder);
  const kept = sameWay ? ended.place : { phase: 0, stage: 0 };
  const dated = datedPhase({ phases: [ladder.phases[kept.phase] ?? ladder.phases[0]!] });
  if (!dated || daysGone === undefined) return kept;
  return { ...kept, stage: Math.min(daysGone, dated.numbers.days - 1) };
}

/** Today's start and place, by the ladder's start rule and what earlier days have left. */
export function wayIn(
  ladder: Ladder,
  part: { readonly fromBar: number; readonly toBar: number },
  music: Pick<Where, "bars" | "beatUnit">,
  left: Left,
): WayIn {
  const place = placeToday(ladder, left);
  const phase = ladder.phases[place.phase]!;
  const span = spanOf(ladder, phase);
  const { tempo: goes, daily: planned = false } = natureOf(phase.school.name);
  const rungs = staircase(ladder, { ...music, start: span.start, place });
  // Warm-up rungs are of the whole; what today is practice of is the link that they lead to.
  const link = rungs.find((rung) => rung.phase === place.phase && rung.links);
  const material = materialOf(link ?? rungs[0]!, part);
  const passed = left.fastest(material);
  const start = todaysStart(ladder.startRule, {
    first: span.start,
    target: span.target,
    // A school that stays at a tempo has ended at it; only those that rise go on from there.
    ended: goes === "rises" ? left.ended?.tempo : undefined,
    comfortable: left.comfortable,
    advised: left.advised,
    passed,
    planned,
    of: ladder.of,
    tempi: rungs.filter(({ stage }) => stage === rungs[0]!.stage).map(({ tempo }) => tempo),
  });
  const startsAbove = planned && passed !== undefined && start > passed ? passed : undefined;
  return { start, place, material, startsAbove };
}
