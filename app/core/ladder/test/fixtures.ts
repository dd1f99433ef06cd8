import * as v from "valibot";
import { LADDER_DEFAULTS, ladderSchema, type Ladder } from "..";

/** A ladder of one school with everything else as usual. */
export const aLadder = (
  school: { readonly name: string; readonly numbers: object },
  start: number,
  target: number,
  change: object = {},
): Ladder =>
  v.parse(ladderSchema, {
    ...LADDER_DEFAULTS,
    phases: [{ school, start: null, target: null }],
    start,
    target,
    startRule: { kind: "where-ended" },
    gate: [{ kind: "in-a-row", plays: 3, afterFlawed: "reset" }],
    rest: 0,
    minutes: 10,
    hidden: false,
    ...change,
  });

/** So many bars of common time, from bar 1. */
export const barsOf = (count: number) =>
  Array.from({ length: count }, (_, i) => ({
    number: i + 1,
    metre: { beats: 4, unit: 4 } as const,
  }));
