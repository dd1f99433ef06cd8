import type { Advice, LadderChange, RuleName } from "~/core/judge";
import { words } from "~/words";

/** A passage as advice names it. */
export interface AdvisedPassage {
  readonly title: string;
  readonly name: string;
  readonly fromBar: number;
  readonly toBar: number;
  readonly pieceId: string;
  /** The full tempo in percent of which its ladder climbs, if it does. */
  readonly of: number | null;
}

export type AdviceShown = Advice & {
  readonly key: string;
  readonly passage: AdvisedPassage | null;
};

/** What is changed for today of a passage. */
export interface ForToday {
  readonly passageId: string;
  readonly rule: RuleName;
  readonly change: LadderChange;
  readonly passage: AdvisedPassage;
}

export const placeNamed = ({ title, name, fromBar, toBar }: AdvisedPassage): string =>
  `${title}, ${name || words.bars(fromBar, toBar)}`;

/** A tempo as the passage's ladder tells it: in bpm, or in percent of the full tempo. */
export const tempoOf = (passage: AdvisedPassage | null) => (bpm: number) =>
  passage?.of ? words.staircase.tempo(bpm, passage.of) : words.bpm(Math.round(bpm));
