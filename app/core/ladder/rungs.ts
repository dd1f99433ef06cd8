import { goesBack, isByClock, type Gate } from "~/core/gate";
import { err, ok, type Result } from "~/core/result";
import { nearestPlayable, TEMPO_LIMITS, wholeBpm, type Bpm } from "~/core/units";
import { tempoBeyond } from "./beyond";
import { ladderInPercent, rungAtTempo, whereInPercent } from "./full-tempo";
import type { Ladder, Phase } from "./ladder";
import { withTasks } from "./phase-tasks";
import { leadInOf, natureOf, refusalOf, stepsOf } from "./registry";
import type { Step } from "./school";
import type { Rung, Where } from "./rung";
import { spanOf } from "./span";
import { segmentLength } from "./segment";

export const MOST_RUNGS = 5000;
const WARM_UP_SHARE = 0.7;
/** Of the target, where today's start says nothing slower. */
const EASY_SHARE = 0.8;

/** The easy rungs below the start, from 70 % of it, each played once. */
function* warmUp(count: number, start: Bpm): Generator<Step> {
  const gate: Gate = [{ kind: "played", plays: 1 }];
  for (let n = 0; n < count; n++) {
    const share = WARM_UP_SHARE + ((1 - WARM_UP_SHARE) * n) / count;
    yield { tempo: nearestPlayable(wholeBpm(start * share)), gate };
  }
}

function* raw(ladder: Ladder, index: number, from: Bpm, where: Where): Generator<Step> {
  const { school } = ladder.phases[index]!;
  const { target } = spanOf(ladder, ladder.phases[index]!);
  const { bars, place } = where;
  const kept = place?.phase === index ? place.stage : 0;
  if (natureOf(school.name).linked) return yield* fromLink(ladder, index, from, where);
  const path = {
    start: from,
    target,
    bars,
    click: ladder.click,
    ...(where.ceiling === undefined ? {} : { ceiling: where.ceiling }),
    ...(where.beatUnit === undefined ? {} : { beatUnit: where.beatUnit }),
  };
  if (kept === 0 || natureOf(school.name).daily) {
    return yield* stepsOf(school, { ...path, stage: kept });
  }
  const steps = [...stepsOf(school, { ...path, stage: 0 })];
  // A list may have become shorter since: its last stage is the furthest there is.
  const furthest = Math.min(kept, Math.max(...steps.map(({ stage = 0 }) => stage)));
  yield* steps.filter(({ stage = 0 }) => stage >= furthest);
}

/**
 * A chain goes on at its link, from a tempo; each new link begins at the ladder's own start. The
 * furthest link there is, where a list has become shorter; its last rung, where all lie below.
 */
function* fromLink(ladder: Ladder, index: number, from: Bpm, where: Where): Generator<Step> {
  const { school } = ladder.phases[index]!;
  const { place, bars } = where;
  const steps = [...stepsOf(school, { ...spanOf(ladder, ladder.phases[index]!), bars, stage: 0 })];
  if (place?.phase !== undefined && place.phase !== index) return yield* steps;
  const furthest = Math.min(place?.stage ?? 0, Math.max(...steps.map(({ stage = 0 }) => stage)));
  const here = steps.filter(({ stage = 0 }) => stage === furthest);
  const left = here.findIndex(({ tempo }) => tempo >= from);
  yield* here.slice(left);
  yield* steps.filter(({ stage = 0 }) => stage > furthest);
}

/** The steps of a school with the tasks that it carries, if any. */
function* carried(
  ladder: Ladder,
  index: number,
  { from, start }: { readonly from: Bpm; readonly start: Bpm },
  where: Where,
): Generator<Step> {
  const { tasks, school } = ladder.phases[index]!;
  if (!tasks) return yield* raw(ladder, index, from, where);
  const { linked = false, daily = false } = natureOf(school.name);
  const staged = linked || daily;
  const here = where.place?.phase === index ? where.place.stage : 0;
  const kept = staged ? 0 : here;
  // Without stages of its own, the stage that is kept is that of the list.
  const place = staged && where.place ? where.place : { phase: index, stage: 0 };
  const way = (task: number) =>
    raw(ladder, index, task === kept ? from : start, { ...where, place });
  yield* withTasks(tasks, tasks.order === "in-turn" ? way : () => way(kept), { kept, staged });
}

/** One easy play with the ladder's own click, before a school that stays at its tempo goes on. */
function* easyRung(
  school: Phase["school"],
  { from, target, stage }: { readonly from: Bpm; readonly target: Bpm; readonly stage: number },
): Generator<Step> {
  const tempo = from < target ? from : nearestPlayable(wholeBpm(target * EASY_SHARE));
  const lead = leadInOf(school, stage);
  if (lead) yield { ...lead, tempo, stage, gate: [{ kind: "in-all", plays: 1 }] };
}

function* stepsOfPhase(ladder: Ladder, index: number, where: Where): Generator<Step> {
  const phase = ladder.phases[index]!;
  const { start, target } = spanOf(ladder, phase);
  const first = index === (where.place?.phase ?? 0);
  const nature = natureOf(phase.school.name).tempo;
  // What lies around a tempo has none that it ends at.
  const today = nature === "centres" ? where.start : (Math.min(where.start, target) as Bpm);
  const from = first ? today : start;
  let stage = first ? (where.place?.stage ?? 0) : 0;
  if (first) for (const step of warmUp(ladder.warmUp, from)) yield { ...step, stage };
  const stays = nature === "stays";
  if (first && stays && where.again) {
    yield* easyRung(phase.school, { from, target, stage });
  }
  for (const step of carried(ladder, index, { from, start }, where)) {
    stage = step.stage ?? stage;
    yield step;
  }
  const rises = ({ school }: Phase) => natureOf(school.name).tempo === "rises";
  if (ladder.overspeed && index === ladder.phases.findLastIndex(rises)) {
    yield { tempo: tempoBeyond(ladder.overspeed, target), stage };
    yield { tempo: target, stage };
  }
}

/**
 * The rungs from a place and a start up to the end of the last phase, lazily; by the clock down again
 * where the ladder says so.
 */
export function* unroll(ladder: Ladder, where: Where): Generator<Rung, void> {
  if (!goesBack(ladder.gate)) return yield* upwards(ladder, where);
  const up: Rung[] = [];
  for (const rung of upwards(ladder, where)) {
    up.push(rung);
    yield rung;
    if (up.length > MOST_RUNGS) return;
  }
  yield* wayBack(up);
}

/** The same rungs down again from the one below the last. */
const wayBack = (up: readonly Rung[]): Rung[] =>
  up
    .slice(0, -1)
    .reverse()
    .map((rung, n) => ({ ...rung, index: up.length + n }));

function* upwards(ladder: Ladder, where: Where): Generator<Rung, void> {
  const { of: full } = ladder;
  if (full === null) return yield* unrolled(ladder, where);
  const percents = unrolled(ladderInPercent(ladder, full), whereInPercent(where, full));
  for (const rung of percents) yield rungAtTempo(rung, full);
}

/** By the clock it goes everywhere, whatever a school would ask; one with a clock of its own keeps it. */
function gateOf({ gate }: Ladder, { gate: own }: Step): Gate {
  if (own === undefined) return gate;
  return isByClock(gate) && !isByClock(own) ? gate : own;
}

function* unrolled(ladder: Ladder, where: Where): Generator<Rung, void> {
  const { bars } = where;
  const whole = segmentLength(bars, {
    fromBar: bars[0]!.number,
    toBar: bars.at(-1)!.number,
    startBeat: 0,
    endBeats: 0,
  });
  let index = 0;
  for (const phase of ladder.phases.keys()) {
    if (phase < (where.place?.phase ?? 0)) continue;
    for (const step of stepsOfPhase(ladder, phase, where)) {
      const { tempo, segment, click } = step;
      yield {
        index: index++,
        phase,
        stage: step.stage ?? 0,
        tempo,
        top: step.cycle?.fastTempo ?? tempo,
        segment,
        links: step.links,
        task: step.task,
        alternates: step.alternates,
        cycle: step.cycle,
        click: click ? { ...ladder.click, ...click } : ladder.click,
        gate: gateOf(ladder, step),
        rest: ladder.rest,
        ease: step.ease ?? 1,
        share: segment ? segmentLength(bars, segment) / whole : 1,
        beyond: step.beyond ?? false,
      };
    }
  }
}

/** The whole staircase at once; never more than {@link MOST_RUNGS} rungs. */
export function staircase(ladder: Ladder, where: Where): Rung[] {
  const rungs: Rung[] = [];
  for (const rung of unroll(ladder, where)) {
    if (rungs.length === MOST_RUNGS) break;
    rungs.push(rung);
  }
  return rungs;
}

/** Why a ladder can't be unrolled over its bars, at which field. */
export interface LadderRefused {
  readonly field: string;
  readonly sentence: string;
}

/** The whole staircase, or what is impossible about it. */
export function checkedStaircase(ladder: Ladder, where: Where): Result<Rung[], LadderRefused> {
  const { of: full } = ladder;
  const refused = full
    ? refusalIn(ladderInPercent(ladder, full), whereInPercent(where, full))
    : refusalIn(ladder, where);
  if (refused) return err(refused);
  const rungs: Rung[] = [];
  for (const rung of unroll(ladder, where)) {
    if (rung.top > TEMPO_LIMITS.highest) {
      const sentence = `This goes beyond the target to ${rung.top} bpm; ${TEMPO_LIMITS.highest} is the fastest.`;
      return err({ field: "target", sentence });
    }
    if (rungs.length === MOST_RUNGS) {
      const sentence = `More than ${MOST_RUNGS} rungs: take larger steps, longer links or fewer bars.`;
      return err({ field: `phases.${rung.phase}.school`, sentence });
    }
    rungs.push(rung);
  }
  return ok(rungs);
}

/** What makes a ladder impossible before it is unrolled. */
function refusalIn(ladder: Ladder, where: Where): LadderRefused | undefined {
  const upsideDown = ladder.phases.findIndex(
    ({ start, target }) => start !== null && start > (target ?? ladder.target),
  );
  if (upsideDown !== -1) {
    const sentence = "This lies above its target: a ladder goes up.";
    return { field: `phases.${upsideDown}.start`, sentence };
  }
  for (const [index, phase] of ladder.phases.entries()) {
    const path = { ...spanOf(ladder, phase), bars: where.bars, stage: 0 };
    const start = index === (where.place?.phase ?? 0) ? where.start : path.start;
    const refused = refusalOf(phase.school, {
      ...path,
      start: start < path.target ? start : path.target,
    });
    if (refused) return refused;
  }
  return undefined;
}

/**
 * What of a staircase is played today: with a ladder by the date, up to the end of today's stage;
 * with a cap, not more rungs than that above the comfortable tempo.
 */
export function rungsToday(ladder: Ladder, where: Where, comfortable: number | undefined): Rung[] {
  const today: Rung[] = [];
  let above = 0;
  for (const rung of upwards(ladder, where)) {
    const before = today.at(-1);
    const daily = before && natureOf(ladder.phases[before.phase]!.school.name).daily;
    const dayIsOver = before && daily && rung.stage !== before.stage;
    if (dayIsOver || today.length === MOST_RUNGS) break;
    if (comfortable !== undefined && rung.top * rung.ease > comfortable) above++;
    if (ladder.mostAbove > 0 && above > ladder.mostAbove && before) break;
    today.push(rung);
  }
  return goesBack(ladder.gate) ? [...today, ...wayBack(today)] : today;
}
