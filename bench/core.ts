import * as v from "valibot";
import { LADDER_DEFAULTS, ladderSchema, staircase } from "~/core/ladder";
import { afterDay, daysLater, estimateOf, firstLevel } from "~/core/record";
import { planOf, replay, rolledBlockSchema, type SessionEvent } from "~/core/session";
import { bpm } from "~/core/units";

export interface Figure {
  what: string;
  readonly value: string;
}

export const ms = (value: number) => `${value.toFixed(value < 10 ? 2 : 0)} ms`;

/** Median of several runs, in milliseconds. */
export function median(runs: number, work: () => unknown): number {
  const times = Array.from({ length: runs }, () => {
    const begun = performance.now();
    work();
    return performance.now() - begun;
  });
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)]!;
}

const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, "0")}`;

const ladder = v.parse(ladderSchema, {
  ...LADDER_DEFAULTS,
  phases: [{ school: { name: "even-steps", numbers: { step: 1 } }, start: null, target: null }],
  start: 10,
  target: 400,
  startRule: { kind: "where-ended" },
  gate: [{ kind: "in-a-row", plays: 10, afterFlawed: "reset" }],
  rest: 0,
  minutes: 10,
  hidden: false,
});
const bars = [1, 2, 3, 4].map((number) => ({ number, metre: { beats: 4, unit: 4 } as const }));
const plan = planOf({
  noVerdict: "wait",
  blocks: v.parse(v.array(rolledBlockSchema), [
    {
      passageId: uuid(1),
      pieceTitle: "Bench",
      passageName: "",
      focus: "",
      fromBar: 1,
      toBar: 4,
      pickupBeats: 0,
      endBeats: 0,
      bars,
      beatUnit: "quarter",
      start: 10,
      ladder,
    },
  ]),
});

/** Ten thousand events: plays with verdicts, now and then an undo. */
function manyEvents(): SessionEvent[] {
  const events: SessionEvent[] = [];
  const add = (kind: SessionEvent["kind"], payload: object) => {
    const seq = events.length;
    const event = { id: uuid(seq + 10), seq, at: 1_770_000_000_000 + seq * 5000, kind, payload };
    events.push(event as SessionEvent);
    return event.id;
  };
  while (events.length < 10_000) {
    const range = { fromBar: 1, toBar: 4, complete: true };
    const play = add("played", { tempo: bpm(60), seconds: 12, ...range });
    const verdict = events.length % 7 === 0 ? "flawed" : "clean";
    const judged = add("judged", { play, verdict });
    if (events.length % 40 < 2) add("undone", { event: judged });
  }
  return events.slice(0, 10_000);
}

/** What the core costs on this machine. */
export function coreFigures(): Figure[] {
  const where = { start: bpm(10), bars };
  const rungs = staircase(ladder, where).length;
  const rounds = Math.ceil(10_000 / rungs);
  const unrolling = median(15, () => {
    for (let n = 0; n < rounds; n++) staircase(ladder, where);
  });
  const events = manyEvents();
  const replaying = median(7, () => replay(plan, events));
  const reps = Array.from({ length: 1000 }, (_, n) => ({
    tempo: bpm(60 + (n % 40)),
    verdict: n % 5 === 0 ? ("flawed" as const) : ("clean" as const),
  }));
  const level = firstLevel(120);
  const twenty = reps.slice(0, 20);
  const estimating = median(51, () => estimateOf(afterDay(daysLater(level, 1), twenty)));
  return [
    { what: `unrolling ${rounds * rungs} rungs`, value: ms(unrolling) },
    { what: "replaying 10,000 events", value: ms(replaying) },
    { what: "a level after a day of 20 plays, with its spans", value: ms(estimating) },
  ];
}
