import type * as v from "valibot";
import type { Bpm } from "~/core/units";

/** The way from where today starts to where it should end; start ≤ target. */
export interface Path {
  readonly start: Bpm;
  readonly target: Bpm;
}

/** A number that the teacher moves: what its form needs to know. Words are kept elsewhere. */
export interface NumberField {
  readonly key: string;
  readonly unit: "bpm" | "percent" | "percent-of-target";
  readonly initial: number;
  readonly min: number;
  readonly max: number;
}

/**
 * A school of raising the tempo. `tempi` yields lazily, from the start, rising, ending exactly on
 * the target; it is given numbers that its schema has let through.
 */
export interface School<Numbers> {
  readonly numbers: v.GenericSchema<unknown, Numbers>;
  readonly fields: readonly NumberField[];
  readonly tempi: (numbers: Numbers, path: Path) => Generator<Bpm>;
}

/** Climbs by `step` from rung to rung until the target, which is always the last rung. */
export function* climb({ start, target }: Path, step: (from: Bpm) => Bpm): Generator<Bpm> {
  for (let at = start; at < target; at = step(at)) yield at;
  yield target;
}
