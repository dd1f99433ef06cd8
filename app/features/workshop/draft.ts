import * as v from "valibot";
import {
  carriesTasks,
  checkedStaircase,
  initialNumbers,
  ladderSchema,
  natureOf,
  ordersFor,
  type Ladder,
  type Place,
  type Rung,
  type SchoolName,
} from "~/core/ladder";
import { partOfBlock } from "~/core/cost";
import { sentences } from "~/core/result";
import type { Played } from "~/core/session";
import type { Bpm } from "~/core/units";
import { draftTasks, type DraftTasks } from "./draft-tasks";

export type Numbers = Readonly<Record<string, unknown>>;

/** A school in the row while it is drawn. */
export interface DraftPhase {
  /** For the row only: it stays with the phase while it is moved. */
  readonly id: string;
  readonly school: { readonly name: SchoolName; readonly numbers: Numbers };
  readonly start: number | null;
  readonly target: number | null;
  readonly tasks: DraftTasks | null;
}

/** A ladder while it is drawn: any number may still be missing or wrong. */
export interface LadderDraft extends Omit<Ladder, "phases" | "start" | "target"> {
  readonly phases: readonly DraftPhase[];
  readonly start: number;
  readonly target: number;
}

let lastId = 0;
export const newPhase = (name: SchoolName): DraftPhase => ({
  id: `phase-${++lastId}`,
  school: { name, numbers: initialNumbers(name) },
  start: null,
  target: null,
  tasks: null,
});

/** Another school in the row, with what it can carry of the list that is gone through. */
export function withSchool(phase: DraftPhase, school: DraftPhase["school"]): DraftPhase {
  const { tasks } = phase;
  if (!tasks || !carriesTasks(school.name)) return { ...phase, school, tasks: null };
  const [first, ...others] = ordersFor(school.name);
  const order = [first!, ...others].includes(tasks.order) ? tasks.order : first!;
  return { ...phase, school, tasks: { ...tasks, order } };
}

/** A stored ladder as a draft. */
export const draftOf = (ladder: Ladder): LadderDraft => ({
  ...ladder,
  phases: ladder.phases.map((phase, i) => ({
    ...phase,
    tasks: draftTasks(phase.tasks),
    id: `kept-${i}`,
  })),
});

/** A kept ladder for another target: every tempo moves in proportion, to whole bpm. */
export function fitted(ladder: Ladder, target: number): LadderDraft {
  const moved = (tempo: number) =>
    Math.min(target, Math.max(10, Math.round((tempo * target) / ladder.target)));
  return {
    ...draftOf(ladder),
    start: moved(ladder.start),
    target,
    phases: ladder.phases.map((phase) => ({
      ...newPhase(phase.school.name),
      school: phase.school,
      start: phase.start && moved(phase.start),
      target: phase.target && moved(phase.target),
      tasks: draftTasks(phase.tasks),
    })),
    of: null,
    part: null,
    setOn: null,
  };
}

/** Where a ladder stands for this student today. */
export interface Standing {
  /** The ladder that is set. */
  readonly ladder: Ladder;
  readonly start: Bpm;
  readonly place: Place;
}

export type Checked =
  | {
      readonly ok: true;
      readonly ladder: Ladder;
      readonly rungs: readonly Rung[];
      readonly from: { readonly start: Bpm; readonly place: Place; readonly ceiling?: number };
    }
  | { readonly ok: false; readonly errors: Readonly<Record<string, string>> };

const BEGINNING: Place = { phase: 0, stage: 0 };

/** A ladder by the date that is set already is drawn from where it stands; any other as a whole. */
function fromWhere(ladder: Ladder, standing: Standing | undefined) {
  const whole = { start: ladder.start, place: BEGINNING };
  if (!standing || standing.place.stage === 0 || standing.start > ladder.target) return whole;
  const same = JSON.stringify(standing.ladder.phases) === JSON.stringify(ladder.phases);
  const daily = natureOf(ladder.phases[standing.place.phase]!.school.name).daily;
  return same && daily ? { start: standing.start, place: standing.place } : whole;
}

/**
 * The draft read by the same schema as on the server and unrolled over its bars; a sentence per
 * field otherwise.
 */
export function check(
  draft: LadderDraft,
  block: Played,
  {
    standing,
    ceiling,
  }: { readonly standing?: Standing | undefined; readonly ceiling?: number | undefined } = {},
): Checked {
  const read = v.safeParse(ladderSchema, draft);
  if (!read.success) return { ok: false, errors: sentences(read.issues) };
  const ladder = read.output;
  const { bars, beatUnit } = partOfBlock(block, ladder.part);
  const known = ceiling === undefined ? {} : { ceiling };
  const from = { ...fromWhere(ladder, standing), ...known };
  const unrolled = checkedStaircase(ladder, { ...from, bars, beatUnit });
  if (unrolled.ok) return { ok: true, ladder, rungs: unrolled.value, from };
  return { ok: false, errors: { [unrolled.error.field]: unrolled.error.sentence } };
}
