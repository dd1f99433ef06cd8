import type { ClickProgramme } from "~/core/click";
import type { Gate } from "~/core/gate";
import type { BeatUnit, Bpm } from "~/core/units";
import type { Cycle, Links, Task } from "./school";
import type { Bar, Segment } from "./segment";

/** One step of the ladder: what to play × tempo × click × gate × rest. */
export interface Rung {
  readonly index: number;
  readonly phase: number;
  readonly stage: number;
  readonly tempo: Bpm;
  /** The fastest tempo that is played on it; the tempo itself but for cycles. */
  readonly top: Bpm;
  /** Without one: the whole passage. */
  readonly segment: Segment | undefined;
  readonly links: Links | undefined;
  readonly task: Task | undefined;
  /** Tasks that alternate within it, play by play. */
  readonly alternates: readonly Task[] | undefined;
  readonly cycle: Cycle | undefined;
  readonly click: ClickProgramme;
  readonly gate: Gate;
  /** Seconds of rest after it. */
  readonly rest: number;
  /** The share of the tempo at which it really goes. */
  readonly ease: number;
  /** The share of the passage that is played. */
  readonly share: number;
  /** It may be flawed, and nothing is reached by it. */
  readonly beyond: boolean;
}

/** A place in the row of phases and stages that is kept overnight. */
export interface Place {
  readonly phase: number;
  readonly stage: number;
}

/** From where, and on which bars, a ladder is unrolled. */
export interface Where {
  readonly start: Bpm;
  readonly bars: readonly Bar[];
  /** What the tempo counts; default a quarter note. */
  readonly beatUnit?: BeatUnit;
  readonly place?: Place;
  /** It was practised on an earlier day. */
  readonly again?: boolean;
  /** Today's ceiling, where the record knows one. */
  readonly ceiling?: number;
}
