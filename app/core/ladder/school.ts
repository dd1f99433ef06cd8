import type * as v from "valibot";
import type { ClickProgramme } from "~/core/click";
import type { Gate } from "~/core/gate";
import type { BeatUnit, Bpm } from "~/core/units";
import type { Family } from "./families";
import type { Bar, Segment } from "./segment";

/** The way from where today starts to where it should end; start ≤ target. */
export interface Path {
  readonly start: Bpm;
  readonly target: Bpm;
  /** The bars of the passage; at least one. */
  readonly bars: readonly Bar[];
  /** What the tempo counts; default a quarter note. */
  readonly beatUnit?: BeatUnit;
  /** How far an earlier day has come, in stages; 0 at the beginning. */
  readonly stage: number;
  /** The click that the ladder sets; a plain one without any. */
  readonly click?: Pick<ClickProgramme, "pattern">;
  /** Today's ceiling, where the record knows one. */
  readonly ceiling?: number;
}

/** Links of a chain, both ends included, counted from 1. */
export interface Links {
  readonly from: number;
  readonly to: number;
  readonly of: number;
}

export const TASK_KINDS = ["layer", "key", "note-value", "click", "pace"] as const;

/** What is done on a rung, where it is not simply the playing itself. */
export interface Task {
  readonly kind: (typeof TASK_KINDS)[number];
  /** A layer's own words, a key as it is written, or the name of a note value or a click. */
  readonly name: string;
  /** Whether this is the passage as it should be in the end. */
  readonly full: boolean;
  /** One of a list that is gone through at each rung before the next. */
  readonly listed?: boolean | undefined;
}

/** Slow plays and then fast ones, without a gap; one cycle is one play for the gate. */
export interface Cycle {
  readonly slow: number;
  readonly fast: number;
  readonly fastTempo: Bpm;
}

/** What a school says of a rung; the ladder adds the rest. */
export interface Step {
  readonly tempo: Bpm;
  /** A stage that is kept overnight: a link, a layer, a day. Rising; 0 without stages. */
  readonly stage?: number;
  /** Without one: the whole passage. */
  readonly segment?: Segment;
  readonly links?: Links;
  readonly task?: Task;
  /** Tasks that alternate within the rung, play by play. */
  readonly alternates?: readonly Task[];
  readonly click?: Partial<ClickProgramme>;
  readonly gate?: Gate;
  readonly cycle?: Cycle;
  /** Played beyond what is to be made firm: it may be flawed, and nothing is reached by it. */
  readonly beyond?: boolean;
  /** How fast it really goes, as a share of the tempo: long notes are easier. Default 1. */
  readonly ease?: number;
}

interface FieldBase {
  readonly key: string;
}

/** A number that the teacher moves: what its form needs to know. Words are kept elsewhere. */
export interface NumberField extends FieldBase {
  readonly kind: "number";
  readonly unit:
    | "bpm"
    | "percent"
    | "percent-of-target"
    | "marks"
    | "steps"
    | "seconds"
    | "plays"
    | "times"
    | "links"
    | "units"
    | "days"
    | "days-a-week"
    | "rounds"
    | "rungs"
    /** The unit is what a choice beside it says. */
    | "chosen";
  readonly initial: number;
  readonly min: number;
  readonly max: number;
  /** What one move of the slider changes; default 1. */
  readonly by?: number;
  /** Larger numbers reach the target in fewer rungs. */
  readonly stride?: true;
  /** How long each tempo is held. */
  readonly hold?: true;
}

export interface ChoiceField extends FieldBase {
  readonly kind: "choice";
  readonly options: readonly [string, ...string[]];
  readonly initial: string;
}

/** An item of a list; `clean` is its own count of clean plays in a row, 0 for the ladder's gate. */
export interface ListItem {
  readonly name: string;
  readonly clean: number;
  /** A tempo of its own in bpm; without one, or 0, the ladder's. */
  readonly tempo?: number | undefined;
}

/** A list that the teacher edits, with presets by instrument family. */
export interface ListField extends FieldBase {
  readonly kind: "list";
  /** Its items may have tempi of their own. */
  readonly tempi?: boolean;
  /** Names to choose from; without them the words are the teacher's own. */
  readonly options?: readonly string[];
  readonly initial: readonly ListItem[];
  readonly presets: Readonly<Record<Family, readonly ListItem[]>>;
}

export type SchoolField = NumberField | ChoiceField | ListField;

/** Why numbers can't be followed on a path, and at which field: the start, the target, or a number. */
export interface Refusal {
  readonly field: string;
  readonly sentence: string;
}

/**
 * A school of raising the tempo. `steps` yields lazily, from the start; it is given numbers that
 * its schema has let through. A school that rises begins on the start and ends exactly on the
 * target.
 */
export interface School<Numbers> {
  readonly numbers: v.GenericSchema<unknown, Numbers>;
  readonly fields: readonly SchoolField[];
  /** `rises`: from start to target; `stays`: at the target; `centres`: around the start. */
  readonly tempo: "rises" | "stays" | "centres";
  /** Each stage is a day of its own: today's rungs end with the stage. */
  readonly daily?: boolean;
  /** Each stage is another link: a new one begins at the ladder's own start. */
  readonly linked?: boolean;
  /** It makes a tempo below the target firm. */
  readonly firms?: boolean;
  /** Slow and fast plays alternate without a gap. */
  readonly cycles?: boolean;
  /** Its steps can be told in percent of a full tempo. */
  readonly inPercent?: boolean;
  /**
   * What the easy play is of that leads into it on a later day, at a stage: the whole without this,
   * and no such play where it is undefined.
   */
  readonly leadIn?: (numbers: Numbers, stage: number) => Pick<Step, "task"> | undefined;
  readonly steps: (numbers: Numbers, path: Path) => Generator<Step>;
  /** What its schema can't see: numbers that lead out of the playable tempi on this path. */
  readonly impossible?: (numbers: Numbers, path: Path) => Refusal | undefined;
}

/** Climbs by `step` from tempo to tempo until the target, which is always the last. */
export function* climb(
  { start, target }: Pick<Path, "start" | "target">,
  step: (from: Bpm) => Bpm,
): Generator<Bpm> {
  for (let at = start; at < target; at = step(at)) yield at;
  yield target;
}

/** One rung of the whole passage per tempo. */
export function* eachTempo(tempi: Iterable<Bpm>): Generator<Step> {
  for (const tempo of tempi) yield { tempo };
}
