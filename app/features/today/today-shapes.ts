import type { Refused } from "~/components/field";
import type { AskedTask, Candidate, Feeling, NoVerdict } from "~/core/session";
import type { Day } from "~/core/units";
import type { PassageLine } from "~/features/shapes";
import type { KeptShape } from "./use-session";

export interface TodayPageProps {
  readonly studioId: string;
  readonly today: Day;
  readonly person: { readonly id: string; readonly name: string; readonly no_verdict: NoVerdict };
  readonly passages: readonly PassageLine[];
  readonly candidates: readonly Candidate[];
  readonly tasks: readonly AskedTask[];
  readonly shapes: readonly KeptShape[];
  readonly minutes: number;
  readonly timesSaid: boolean;
  readonly free: boolean;
  readonly playedMinutes: number;
  readonly word: string;
  readonly feeling: Feeling | undefined;
  readonly withoutLadder: number;
  readonly hurtLately: boolean;
  readonly openSession: { readonly id: string } | undefined;
  readonly refused: Refused | undefined;
}
