import { ladderAtFull } from "~/core/ladder";
import { barsOf, barsWithTempo } from "~/core/score";
import type { Played } from "~/core/session";
import type { LadderDraft } from "./draft";
import { offeredDraft } from "./first-offer";
import type { WorkshopPageProps } from "./workshop-page-props";

const MOST_AROUND = 4;

/** The passage as the core plays it, with the bars around it. */
type BlockShown = Pick<WorkshopPageProps, "range" | "order" | "piece" | "course" | "tempo"> & {
  readonly steady: boolean;
};

export function blockOf({ range, order, piece, course, tempo, steady }: BlockShown): Played {
  const between = (fromBar: number, toBar: number) => {
    const bars = toBar < fromBar ? [] : barsOf(piece.metres, { fromBar, toBar });
    return course ? barsWithTempo(course, range.fromBar, bars, steady) : bars;
  };
  return {
    ...range,
    order: [...order],
    bars: between(range.fromBar, range.toBar),
    around: {
      before: between(Math.max(1, range.fromBar - MOST_AROUND), range.fromBar - 1),
      after: between(range.toBar + 1, Math.min(piece.bars, range.toBar + MOST_AROUND)),
    },
    beatUnit: tempo.unit,
  };
}

/** The first ladder that is offered: in round bpm, or in round percents over several tempi. */
export function offeredFor(
  { tempo, passage, range }: WorkshopPageProps,
  fits: (draft: LadderDraft) => number,
) {
  const { full, across, subdivision } = tempo;
  const { comfortable } = passage;
  const offered =
    across.length > 0
      ? ladderAtFull(
          offeredDraft(100, comfortable && (100 * comfortable) / full, range, (draft) =>
            fits(ladderAtFull(draft, full)),
          ),
          full,
        )
      : offeredDraft(full, comfortable, range, fits);
  if (subdivision === 1) return offered;
  return {
    ...offered,
    click: { ...offered.click, pattern: { kind: "beats", subdivision } },
  } as const;
}
