import type { Refused } from "~/components/field";
import type { BarRange } from "~/components/use-bar-selection";
import type { MetreRegion, PaperLayout, Score } from "~/core/score";
import type { PartStanding, Stretch } from "~/core/week";
import type { Day } from "~/core/units";
import type { MemoryLine } from "~/features/my-week/memory-lines";

export interface ByHeartPageProps {
  readonly studioId: string;
  readonly role: "teacher" | "student" | "parent";
  readonly person: { readonly id: string; readonly name: string };
  readonly piece: {
    readonly id: string;
    readonly title: string;
    readonly bars: number;
    readonly pickupBeats: number;
    readonly metres: readonly MetreRegion[];
  };
  readonly notation: { readonly score: Score; readonly partId: string } | undefined;
  readonly paper: { readonly layout: PaperLayout } | undefined;
  readonly memory: MemoryLine | undefined;
  readonly stretches: readonly Stretch[];
  /** The lines or pages in which the plan counts; none where it counts in bars. */
  readonly parts: readonly PartStanding[];
  readonly tests: readonly {
    readonly day: Day;
    readonly fromBar: number;
    readonly toBar: number;
    readonly stood: boolean;
    readonly looked: boolean;
  }[];
  /** What would be tested next. */
  readonly next: BarRange | undefined;
  readonly refused: Refused | undefined;
}
