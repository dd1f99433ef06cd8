import {
  datedPhase,
  practiceDaysGone,
  wayIn,
  type Bar,
  type Ladder,
  type Place,
} from "~/core/ladder";
import { rangeOf, type PassageRange } from "~/core/score";
import { daysBetween, type Bpm, type Day } from "~/core/units";
import type { Passage } from "~/db/queries";
import { standingOf } from "./standing";
import { barsPlayed } from "./passage-tempo";

export type WithLadder = Passage & { readonly ladder: Ladder };

/** The bars that the ladder is for: the passage, or the part of it that it names. */
export function partOf(passage: PassageRange, { part }: Pick<Ladder, "part">): PassageRange {
  const { fromBar, toBar, pickupBeats, startBeats, endBeats } = passage;
  // A part may be left over from a passage that was cut anew.
  if (!part || part.fromBar < fromBar || part.toBar > toBar || part.toBar < part.fromBar) {
    return rangeOf(passage);
  }
  return {
    ...part,
    pickupBeats: part.fromBar === fromBar ? pickupBeats : 0,
    startBeats: part.fromBar === fromBar ? startBeats : 0,
    endBeats: part.toBar === toBar ? endBeats : 0,
  };
}

/** The fastest tempo ever passed on a material; undefined where nothing was. */
const fastestPassed = ({ passed }: Pick<Passage, "passed">, material: string): number | undefined =>
  passed.reduce<number | undefined>(
    (most, each) => (each.material === material ? Math.max(most ?? 0, each.tempo) : most),
    undefined,
  );

/** What earlier days have left of the ladders of a passage, for whichever is drawn. */
export function leftOf(passage: Passage, today: Day) {
  const standing = standingOf(passage, today);
  const materials = [...new Set(passage.passed.map(({ material }) => material))];
  return {
    ended: passage.ended,
    comfortable: standing?.comfortable.value,
    advised: standing?.advised,
    daysGone: passage.ladder ? daysGone(passage.ladder, today) : undefined,
    passed: Object.fromEntries(
      materials.map((material) => [material, fastestPassed(passage, material)!]),
    ),
  };
}

/** Practice days since a ladder by the date was set. */
function daysGone(ladder: Ladder, today: Day): number | undefined {
  const { setOn } = ladder;
  const dated = datedPhase(ladder);
  if (!dated || setOn === null) return undefined;
  return practiceDaysGone(dated.numbers, daysBetween(setOn, today));
}

export interface WayInto {
  readonly start: Bpm;
  readonly place: Place;
  readonly bars: readonly Bar[];
  /** It was practised before. */
  readonly again: boolean;
  /** Tempi that were passed on what today begins with. */
  readonly passedTempi: readonly Bpm[];
  /** The fastest of them, where a planned start lies above it. */
  readonly startsAbove: number | undefined;
}

/** Today's start and place of a passage with a ladder, by its start rule and its record. */
export function wayInto(passage: WithLadder, today: Day): WayInto {
  const { ladder } = passage;
  const { passed, ...left } = leftOf(passage, today);
  const part = partOf(passage, ladder);
  const bars = barsPlayed(passage, part);
  const { material, ...way } = wayIn(
    ladder,
    part,
    { bars, beatUnit: passage.beatUnit },
    {
      ...left,
      fastest: (each) => passed[each],
    },
  );
  return {
    ...way,
    bars,
    again: left.ended !== null,
    passedTempi: passage.passed.flatMap((each) => (each.material === material ? each.tempo : [])),
  };
}
