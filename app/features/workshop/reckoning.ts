import { cleanTable, likelyCost, partOfBlock, type CleanAt } from "~/core/cost";
import { roughPlays } from "~/core/gate";
import { whereItFailed, type Ladder } from "~/core/ladder";
import { ceilingIsMet, estimateOf, firstLevel, notAbove, type Level } from "~/core/record";
import { secondsOfRung, type Played } from "~/core/session";
import { seeded } from "~/core/simulate";
import type { Bpm } from "~/core/units";
import type { CostRequest } from "~/workers/client";
import { check, type LadderDraft } from "./draft";

/** What is known of this student on this passage, and how to ask what a ladder costs them. */
export interface Reckoning {
  readonly cleanAt: CleanAt;
  readonly comfortable: number;
  readonly ceiling: number;
  /** Something near the ceiling was tried, or nothing at all; else it is reckoned with, not told. */
  readonly ceilingMet: boolean;
  /** Judged plays behind it. */
  readonly plays: number;
  readonly question: (
    ladder: Ladder,
    from: CostRequest["from"],
    offers: boolean,
  ) => Omit<CostRequest, "id">;
}

/** What is believed of a student on a passage, as of today. */
export interface KnownRecord {
  readonly level: Level;
  /** No tempo above it is called comfortable. */
  readonly most: number | null;
  /** Judged plays behind it. */
  readonly plays: number;
}

interface Known {
  readonly record: KnownRecord | null;
  readonly target: Bpm;
  /** How hard its notes are, where they are known. */
  readonly hardness: number | null;
  readonly block: Played;
  /** Bars of the passage with their flaws. */
  readonly flaws: readonly { readonly bar: number; readonly flawed: number }[];
}

const RUNS = 10_000;
/** Enough to tell whether a first ladder is likely to fit. */
const FIRST_RUNS = 300;
const SEED = 20_261_126;

/** Each tempo is reckoned once. */
function remembered(cleanAt: CleanAt): CleanAt {
  const known = new Map<number, number>();
  return (tempo) => {
    const found = known.get(tempo) ?? cleanAt(tempo);
    known.set(tempo, found);
    return found;
  };
}

/** From the student's own plays of this passage, or what is expected without any. */
export function reckoningFrom({ record, target, hardness, block, flaws }: Known): Reckoning {
  const known = estimateOf(record?.level ?? firstLevel(target, hardness));
  // The table is for the worker only: it is made when first something is asked of it.
  let table: number[] | undefined;
  const { bars, around, fromBar, toBar, pickupBeats, startBeats, endBeats, order, beatUnit } =
    block;
  const comfortable = notAbove(known.comfortable, record?.most ?? null).value;
  return {
    cleanAt: remembered(known.cleanAt),
    comfortable,
    ceiling: known.ceiling.value,
    ceilingMet: ceilingIsMet(known.ceiling, record?.most ?? null),
    plays: record?.plays ?? 0,
    question: (ladder, from, offers) => ({
      ladder,
      from,
      block: {
        bars: [...bars],
        around: { before: [...around.before], after: [...around.after] },
        fromBar,
        toBar,
        pickupBeats,
        startBeats,
        endBeats,
        order: [...order],
        beatUnit,
      },
      clean: (table ??= cleanTable(known.cleanAt)),
      comfortable,
      flawedBars: whereItFailed(flaws, block) ?? null,
      runs: RUNS,
      offers,
    }),
  };
}

/** The chance that a draft fits its minutes; 0 while it can't be drawn. */
export function chanceOfDraft(
  known: Omit<Known, "target">,
  target: Bpm,
): (draft: LadderDraft) => number {
  const { cleanAt, comfortable } = reckoningFrom({ ...known, target });
  return (draft) => {
    const checked = check(draft, known.block);
    if (!checked.ok) return 0;
    const { ladder, rungs, from } = checked;
    const block = { ...partOfBlock(known.block, ladder.part), ladder };
    const least = rungs.reduce((sum, rung) => {
      const seconds = secondsOfRung(block, rung);
      return sum + roughPlays(rung.gate, 1, seconds) * seconds;
    }, 0);
    if (least > ladder.minutes * 60) return 0;
    // Flaws are taken to fall evenly over the bars of the passage.
    const share = block.bars.length / known.block.bars.length;
    const days = ladder.days;
    const random = () => seeded(SEED);
    return likelyCost({
      block,
      rungs,
      cleanAt: (tempo) => cleanAt(tempo) ** share,
      comfortable,
      from,
      days,
      random,
      runs: FIRST_RUNS,
    }).fits;
  };
}
