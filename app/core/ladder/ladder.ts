import * as v from "valibot";
import { clickProgrammeSchema, clicksPerBeat } from "~/core/click";
import { gateSchema } from "~/core/gate";
import { MOST_CLICKS_A_MINUTE } from "~/core/units";
import { afterFlawedSchema } from "./after-flawed";
import { overspeedSchema } from "./beyond";
import { percentRefused } from "./percent-schools";
import { playableTempo, wholeBetween } from "./number-schema";
import { carriesTasks, ordersFor } from "./phase-tasks";
import { phaseTasksSchema } from "./phase-tasks-schema";
import { chosenSchoolSchema } from "./registry";
import { startRuleSchema } from "./start-rule";

/** A row is limited by its rungs; this only keeps what is stored within bounds. */
const MOST_PHASES = 64;
const wholeTempo = (what: string) => `The ${what} is a whole number of bpm.`;
const isWhole = (tempo: number | null): boolean => tempo === null || Number.isInteger(tempo);
const BELOW = "The target lies below the start: a ladder goes up.";

/** One school in the row; without a start or target of its own it has the ladder's. */
const phaseSchema = v.pipe(
  v.object({
    school: chosenSchoolSchema,
    start: v.nullable(playableTempo),
    target: v.nullable(playableTempo),
    /** Tasks or keys that are gone through besides the tempi. */
    tasks: v.optional(v.nullable(phaseTasksSchema), null),
  }),
  v.forward(
    v.check(
      ({ school, tasks }) => !tasks || ordersFor(school.name).includes(tasks.order),
      "Its links or days are gone through one after the other already.",
    ),
    ["tasks"],
  ),
  v.forward(
    v.check(
      ({ school, tasks }) => !tasks || carriesTasks(school.name),
      "A school that stays at its tempo has a list of its own.",
    ),
    ["tasks"],
  ),
  v.forward(
    v.check(({ start, target }) => !start || !target || target >= start, BELOW),
    ["target"],
  ),
);
export type Phase = v.InferOutput<typeof phaseSchema>;

/**
 * What a teacher sets for a passage: a school or several in a row, with start, target, gate,
 * click and options.
 */
export const ladderSchema = v.pipe(
  v.object({
    /** Schools in order: one, or a programme of several. */
    phases: v.pipe(
      v.array(phaseSchema),
      v.minLength(1, "A ladder has at least one school."),
      v.maxLength(MOST_PHASES, `At most ${MOST_PHASES} schools in a row.`),
    ),
    start: playableTempo,
    target: playableTempo,
    /**
     * The full tempo of a passage over several tempi, in bpm of its first region: the ladder climbs
     * in percent of it. Null for a passage of one tempo, where tempi are whole bpm.
     */
    of: v.optional(v.nullable(playableTempo), null),
    /** The full tempo of its passage when it was set, where its piece told one. */
    mark: v.optional(v.nullable(playableTempo), null),
    /** Without what bends the time: no ritardando, fermata or breath; default false. */
    steady: v.optional(v.boolean(), false),
    startRule: startRuleSchema,
    gate: gateSchema,
    afterFlawed: afterFlawedSchema,
    /** Bars before and after that are played with it before it counts; 0: none. */
    inContext: v.object({
      bars: wholeBetween(0, 4, "bars"),
      at: v.picklist(["top", "each-rung"], "Choose where it is played in context."),
    }),
    /** Rest between rungs in seconds; default 0, 0–600. */
    rest: wholeBetween(0, 600, "seconds"),
    /** Shown where the tempo goes up, to breathe with; default none, at most 40 letters. */
    breathe: v.optional(v.pipe(v.string(), v.trim(), v.maxLength(40, "At most 40 letters.")), ""),
    /** Minutes meant for it in a day; default 10, 1–240. */
    minutes: wholeBetween(1, 240, "minutes"),
    /** Over so many days; default 1, 1–60. */
    days: wholeBetween(1, 60, "days"),
    /** The number is concealed until the end. */
    hidden: v.boolean(),
    /** Once more beyond the target, then confirmed at it. */
    overspeed: v.nullable(overspeedSchema),
    /** Easy rungs below the start, played once each; default 0, 0–3. */
    warmUp: wholeBetween(0, 3, "rungs"),
    /** At most so many rungs above the comfortable tempo in a day; 0: no cap. */
    mostAbove: wholeBetween(0, 50, "rungs"),
    click: clickProgrammeSchema,
    /** For now only these bars of the passage. */
    part: v.nullable(v.object({ fromBar: v.number(), toBar: v.number() })),
    /** The day on which it was set; a ladder by the date counts from it. */
    setOn: v.nullable(v.pipe(v.string(), v.isoDate())),
  }),
  v.forward(
    v.check(({ start, target }) => target >= start, BELOW),
    ["target"],
  ),
  v.forward(
    v.check(({ of, start }) => of !== null || Number.isInteger(start), wholeTempo("start")),
    ["start"],
  ),
  v.forward(
    v.check(({ of, target }) => of !== null || Number.isInteger(target), wholeTempo("target")),
    ["target"],
  ),
  v.forward(
    v.check(
      ({ of, phases }) =>
        of !== null ||
        phases.every((phase) => [phase.start, phase.target].every((tempo) => isWhole(tempo))),
      wholeTempo("tempo of a school"),
    ),
    ["phases"],
  ),
  v.forward(
    v.check(
      ({ of, phases }) => of === null || phases.every(({ school }) => !percentRefused(school)),
      ({ input: { phases } }) => phases.flatMap(({ school }) => percentRefused(school) ?? [])[0]!,
    ),
    ["phases"],
  ),
  v.forward(
    v.check(
      ({ target, click }) => target * clicksPerBeat(click) <= MOST_CLICKS_A_MINUTE,
      ({ input: { target, click } }) =>
        `At ${target} bpm, ${clicksPerBeat(click)} clicks a beat are ${target * clicksPerBeat(click)} a minute; ${MOST_CLICKS_A_MINUTE} is the most.`,
    ),
    ["click", "pattern"],
  ),
);
export type Ladder = v.InferOutput<typeof ladderSchema>;
