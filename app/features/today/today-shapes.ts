import type { AdviceShown, ForToday } from "~/features/advice/advice-shapes";
import type { Refused } from "~/components/field";
import type {
  AskedTask,
  Candidate,
  Feeling,
  MustDo,
  NoVerdict,
  Shape,
  WeekNote,
} from "~/core/session";
import type { AskedItem, WeekChange } from "~/core/week";
import type { Day } from "~/core/units";
import type { PassageLine } from "~/features/shapes";

export interface KeptShape {
  readonly id: string;
  readonly name: string;
  readonly shape: Shape;
  readonly shared: boolean;
}

/** A passage as today has it. */
export interface PassageToday extends PassageLine {
  readonly said: WeekNote | undefined;
  /** The tempo that the week was for, where it was passed. */
  readonly goalReached: number | undefined;
  /** The tempi of today's rungs, each once in its order. */
  readonly tempi: readonly number[];
  /** At which the stand begins: slower than the first of them where slow and fast runs alternate. */
  readonly begins: number | undefined;
  readonly pickup: boolean;
  /** Where its piece stands, when somebody has said so. */
  readonly stage: string | undefined;
}

export interface Asking {
  readonly id: string;
  readonly text: string;
  readonly answer: string;
}

export interface TodayPageProps {
  readonly studioId: string;
  readonly teaches: boolean;
  /** A parent, who changes nothing. */
  readonly looksOnly: boolean;
  readonly hurts: boolean;
  readonly advice: readonly AdviceShown[];
  readonly forToday: readonly ForToday[];
  /** What is to be handed in by tomorrow, or should have been. */
  readonly takesDue: readonly {
    readonly itemId: string;
    readonly passageId: string;
    readonly title: string;
    readonly due: Day;
  }[];
  /** Takes that are deleted by the end of tomorrow. */
  readonly takesLeaving: number;
  /** What was said lately of takes that were handed in. */
  readonly takesAnswered: readonly {
    readonly takeId: string;
    readonly title: string;
    readonly answer: "heard" | "again";
  }[];
  /** What was changed in the week, as long as nobody has said that it was seen. */
  readonly changes: readonly WeekChange[];
  /** The plan of the session that the week asks for. */
  readonly weekShape: string | null;
  readonly today: Day;
  readonly person: { readonly id: string; readonly name: string; readonly no_verdict: NoVerdict };
  readonly passages: readonly PassageToday[];
  readonly candidates: readonly Candidate[];
  readonly tasks: readonly AskedTask[];
  /** What the week says of the tasks. */
  /** The lesson is today: what was asked until now is asked no more. */
  readonly lessonToday: boolean;
  readonly said: readonly ({ readonly itemId: string } & Partial<WeekNote>)[];
  readonly asked: readonly AskedItem[];
  readonly mustDo: readonly MustDo[];
  readonly shapes: readonly KeptShape[];
  readonly minutes: number;
  /** Minutes that there are today in all. */
  readonly there: number;
  readonly stretch: number | undefined;
  readonly timesSaid: boolean;
  readonly free: boolean;
  readonly playedMinutes: number;
  readonly word: string;
  readonly feeling: "tight" | "tired" | undefined;
  /** The day on which something hurt, when nothing was played since. */
  readonly hurt: Day | undefined;
  readonly withoutLadder: number;
  readonly hurtLately: boolean;
  /** Pieces of which something stands by heart and is to be tested. */
  readonly heartDue: readonly {
    readonly pieceId: string;
    readonly title: string;
    readonly fromBar: number;
    readonly toBar: number;
  }[];
  readonly questions: {
    readonly waiting: readonly Asking[];
    readonly answered: readonly Asking[];
  };
  readonly openSession: { readonly id: string } | undefined;
  readonly refused: Refused | undefined;
}

export type Asked = {
  readonly minutes: number;
  /** Unsaid after a stop for pain, until it is asked. */
  readonly feeling: Feeling | undefined;
  readonly shape: string;
};
