import * as v from "valibot";
import { clickProgrammeSchema } from "~/core/click";
import { gateSchema } from "~/core/gate";
import { bpm, TEMPO_LIMITS } from "~/core/units";
import type { Ladder } from "./ladder";
import type { Rung } from "./rung";
import { TASK_KINDS } from "./school";

const whole = v.pipe(v.number(), v.integer(), v.minValue(0));
const tempo = v.pipe(
  v.number(),
  v.minValue(TEMPO_LIMITS.lowest),
  v.maxValue(TEMPO_LIMITS.highest),
  v.transform(bpm),
);

const task = v.object({
  kind: v.picklist(TASK_KINDS),
  name: v.string(),
  full: v.boolean(),
  listed: v.optional(v.boolean()),
});

/** A rung as a session's plan keeps it: what is the ladder's own, or the usual, is left out. */
export const storedRungSchema = v.object({
  tempo,
  phase: v.optional(whole),
  stage: v.optional(whole),
  segment: v.optional(
    v.object({ fromBar: whole, toBar: whole, startBeat: whole, endBeats: whole }),
  ),
  links: v.optional(v.object({ from: whole, to: whole, of: whole })),
  task: v.optional(task),
  alternates: v.optional(v.array(task)),
  cycle: v.optional(v.object({ slow: whole, fast: whole, fastTempo: tempo })),
  click: v.optional(clickProgrammeSchema),
  gate: v.optional(gateSchema),
  rest: v.optional(v.pipe(v.number(), v.minValue(0))),
  ease: v.optional(v.pipe(v.number(), v.minValue(0))),
  share: v.optional(v.pipe(v.number(), v.minValue(0))),
  beyond: v.optional(v.boolean()),
});
export type StoredRung = v.InferOutput<typeof storedRungSchema>;

type Own = Pick<Ladder, "click" | "gate" | "rest">;

/** Rungs as a plan keeps them; they must have been unrolled from this ladder. */
export const storedRungs = (rungs: readonly Rung[], ladder: Own): StoredRung[] =>
  rungs.map((rung) => ({
    tempo: rung.tempo,
    ...(rung.phase ? { phase: rung.phase } : {}),
    ...(rung.stage ? { stage: rung.stage } : {}),
    ...(rung.segment ? { segment: rung.segment } : {}),
    ...(rung.links ? { links: rung.links } : {}),
    ...(rung.task ? { task: rung.task } : {}),
    ...(rung.alternates ? { alternates: [...rung.alternates] } : {}),
    ...(rung.cycle ? { cycle: rung.cycle } : {}),
    ...(rung.click === ladder.click ? {} : { click: rung.click }),
    ...(rung.gate === ladder.gate ? {} : { gate: rung.gate }),
    ...(rung.rest === ladder.rest ? {} : { rest: rung.rest }),
    ...(rung.ease === 1 ? {} : { ease: rung.ease }),
    ...(rung.share === 1 ? {} : { share: rung.share }),
    ...(rung.beyond ? { beyond: true } : {}),
  }));

/** The same rungs again; the inverse of {@link storedRungs}. */
export const rungsFrom = (stored: readonly StoredRung[], ladder: Own): Rung[] =>
  stored.map((rung, index) => ({
    index,
    phase: rung.phase ?? 0,
    stage: rung.stage ?? 0,
    tempo: rung.tempo,
    top: rung.cycle?.fastTempo ?? rung.tempo,
    segment: rung.segment,
    links: rung.links,
    task: rung.task,
    alternates: rung.alternates,
    cycle: rung.cycle,
    click: rung.click ?? ladder.click,
    gate: rung.gate ?? ladder.gate,
    rest: rung.rest ?? ladder.rest,
    ease: rung.ease ?? 1,
    share: rung.share ?? 1,
    beyond: rung.beyond ?? false,
  }));
