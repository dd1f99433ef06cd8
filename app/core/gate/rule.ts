import type * as v from "valibot";

export type Verdict = "clean" | "flawed";

/** A judged play of the rung, as a gate looks at it. */
export interface JudgedPlay {
  readonly verdict: Verdict;
  /** What the play took, count-in and breather included. */
  readonly seconds: number;
  /** The playing in it, without count-in and breather, where it is known. */
  readonly playing?: number | undefined;
  /** Spread of the measured asynchronies in milliseconds, when something was measured. */
  readonly spread?: number | undefined;
}

/** How far plays have come towards one rule. */
export interface Counter {
  /** In plays, in minutes, or 0 and 1 where there is only yes and no. */
  readonly count: number;
  /** Whether the rule holds just now. */
  readonly holds: boolean;
  /** One more judged play; whether the rule holds with it. */
  play(play: JudgedPlay): boolean;
  /** From the beginning of a rung again. */
  reset(): void;
  /** The player says that it feels easy. */
  easy?(): void;
}

/** Plays that a gate takes. */
export interface GateCost {
  readonly mean: number;
  readonly variance: number;
}

/** A kind of rule by which a gate opens, with everything that depends on it. */
export interface GateRule<R> {
  /** Read from outside, with sentences. */
  readonly schema: v.GenericSchema<unknown, R>;
  /** As it is when it is chosen, with so many plays where it counts plays. */
  readonly first: (plays: number) => R;
  /** How much of it has to come together. */
  readonly needed: (rule: R) => number;
  /** Counts the plays of a rung from its beginning; the stand and the cost count by the same. */
  readonly counter: (rule: R) => Counter;
  /** Plays that it takes at a clean probability p, each of so many seconds; where there is a formula. */
  readonly cost?: (rule: R, p: number, seconds: number) => GateCost | undefined;
  /** A quick mean of them, by the nearest rule that has a closed form. */
  readonly rough: (rule: R, p: number, seconds: number) => number;
}

export const ALMOST = 1e-9;

export const isClean = ({ verdict }: JudgedPlay): boolean => verdict === "clean";
