import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import * as v from "valibot";
import { aLadder, barsOf } from "~/core/ladder/test/fixtures";
import {
  advance,
  initialState,
  isLastPart,
  partsOf,
  plannedTake,
  replay,
  sessionEventSchema,
  taskNow,
  tasksOf,
  type EventKind,
  type SessionEvent,
  type SessionPlan,
} from "./index";
import { planFrom } from "./test/plans";

const START = Date.UTC(2026, 4, 4, 16);
const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, "0")}`;

const block = (n: number) => ({
  passageId: uuid(n),
  pieceTitle: "The Ferry at Low Water",
  passageName: "",
  focus: "",
  fromBar: 1,
  toBar: 2,
  pickupBeats: 0,
  endBeats: 0,
  bars: barsOf(2),
  beatUnit: "quarter",
  ladder: aLadder({ name: "even-steps", numbers: { step: 10 } }, 60, 80, {
    gate: [{ kind: "in-a-row", plays: 1, afterFlawed: "reset" }],
  }),
  start: 60,
});

const task = (kind: string, minutes: number) => ({ kind, minutes, text: "", block: null });
const ladder = (index: number) => ({ kind: "hard", minutes: 8, text: "", block: index });

const planOf = (parts?: readonly object[]): SessionPlan =>
  planFrom([block(1), block(2)], parts ? { parts } : {});

const PLAN = planOf([
  task("warm-up", 2),
  ladder(0),
  task("break", 5),
  ladder(1),
  task("slow-finish", 1),
]);

type Step = readonly [number, EventKind, object?];

/** Events with seconds between them. */
function written(...steps: readonly Step[]): SessionEvent[] {
  let at = START;
  return steps.map(([seconds, kind, payload = {}], seq) => {
    at += seconds * 1000;
    return v.parse(sessionEventSchema, { id: uuid(100 + seq), seq, at, kind, payload });
  });
}

describe("the parts of a session", () => {
  test("a plan without parts is its blocks one after the other", () => {
    const plan = planOf();
    expect(partsOf(plan).map((part) => part.block)).toEqual([0, 1]);
    expect(taskNow(initialState(plan))).toBeUndefined();
  });

  test("a run that the week has recorded is counted over breaks, task and other passages left out", () => {
    const said = { listenFor: "", note: "", focuses: [], goalTempo: null, key: null, recordRun: 2 };
    const blocks = [block(1), block(2), block(1)];
    const parts = [task("warm-up", 2), { ...ladder(0), said }, ladder(1), { ...ladder(2), said }];
    const plan = planFrom(blocks, { parts });
    const done: Step = [120, "part-ended", { part: 0 }];
    const next: Step = [5, "moved-on"];
    const payload = { tempo: 60, seconds: 4, fromBar: 1, toBar: 2, complete: true };
    const played: Step = [8, "played", payload];
    const after = (...steps: readonly Step[]) =>
      plannedTake(replay(plan, written([0, "opened"], ...steps)));
    expect(after()).toBeUndefined();
    expect(after(done)).toEqual({ run: 2, before: 1 });
    expect(after(done, played)).toEqual({ run: 2, before: 0 });
    expect(after(done, played, played)).toBeUndefined();
    expect(after(done, played, next)).toBeUndefined();
    expect(after(done, played, next, next)).toEqual({ run: 2, before: 0 });
  });

  test("name every block once and in order, or the plan is refused", () => {
    expect(() => planOf([ladder(1), ladder(0)])).toThrow(/in their order/);
    expect(() => planOf([ladder(0)])).toThrow(/in their order/);
    expect(() => planOf([ladder(0), ladder(1), ladder(1)])).toThrow(/in their order/);
  });

  test("follow one another: a task is ended, a block is moved on from", () => {
    const events = written(
      [0, "opened"],
      [30, "part-ended", { part: 0 }],
      [60, "moved-on"],
      [90, "part-ended", { part: 2 }],
    );
    const at = (count: number) => {
      const { part, blockIndex } = replay(PLAN, events.slice(0, count));
      return [part, blockIndex];
    };
    expect([1, 2, 3, 4].map(at)).toEqual([
      [0, 0],
      [1, 0],
      [2, 0],
      [3, 1],
    ]);
  });

  test("a task that is ended twice is ended once, and one that isn't on can't be ended", () => {
    const twice = written(
      [0, "opened"],
      [30, "part-ended", { part: 0 }],
      [1, "part-ended", { part: 0 }],
      [1, "part-ended", { part: 2 }],
    );
    expect(replay(PLAN, twice).part).toBe(1);
  });

  test("a task counts as long as it took, at most as planned; an hour away counts for nothing", () => {
    const seconds = (gap: number) =>
      tasksOf(replay(PLAN, written([0, "opened"], [gap, "part-ended", { part: 0 }])));
    expect(seconds(45)).toEqual([{ kind: "warm-up", itemId: undefined, seconds: 45 }]);
    expect(seconds(200)).toEqual([{ kind: "warm-up", itemId: undefined, seconds: 120 }]);
    expect(seconds(3600)).toEqual([]);
  });

  test("a break is no practice", () => {
    const events = written(
      [0, "opened"],
      [30, "part-ended", { part: 0 }],
      [9, "moved-on"],
      [300, "part-ended", { part: 2 }],
    );
    expect(tasksOf(replay(PLAN, events)).map(({ kind }) => kind)).toEqual(["warm-up"]);
  });

  test("undo brings a task back", () => {
    const [opened, ended, undone] = written(
      [0, "opened"],
      [30, "part-ended", { part: 0 }],
      [5, "undone", { event: uuid(101) }],
    );
    const state = replay(PLAN, [opened!, ended!, undone!]);
    expect(state.part).toBe(0);
    expect(taskNow(state)?.kind).toBe("warm-up");
  });

  test("what is said afterwards is kept: the latest answer, every question, how it felt", () => {
    const state = replay(
      PLAN,
      written(
        [0, "opened"],
        [9, "ended", { how: "left" }],
        [9, "rated", { what: "tone", answer: "no" }],
        [9, "rated", { what: "tone", answer: "partly" }],
        [9, "asked", { text: " Which finger? " }],
        [9, "asked", { text: "And how soft?" }],
        [9, "felt", { feeling: "tight" }],
      ),
    );
    expect(state.ratings).toEqual({ tone: "partly" });
    expect(state.questions).toEqual(["Which finger?", "And how soft?"]);
    expect(state.feeling).toBe("tight");
    expect(tasksOf(state)).toEqual([{ kind: "warm-up", itemId: undefined, seconds: 9 }]);
  });

  test("step by step is the same as all at once, and never past the last part", () => {
    const steps = fc.array(
      fc.tuple(
        fc.integer({ min: 0, max: 400 }),
        fc.oneof(
          fc.constant(["moved-on", {}] as const),
          fc.nat(5).map((part) => ["part-ended", { part }] as const),
          fc.constant(["noted", { text: "x" }] as const),
        ),
      ),
      { maxLength: 30 },
    );
    fc.assert(
      fc.property(steps, (made) => {
        const events = written(
          [0, "opened"],
          ...made.map(([seconds, [kind, payload]]) => [seconds, kind, payload] as const),
        );
        let state = initialState(PLAN);
        events.forEach((event, n) => (state = advance(state, events.slice(0, n), event)));
        expect(state).toEqual(replay(PLAN, events));
        expect(state.part).toBeLessThan(partsOf(PLAN).length);
        if (state.part === 4) expect(isLastPart(state)).toBe(true);
        for (const { seconds } of tasksOf(state)) expect(seconds).toBeLessThanOrEqual(300);
      }),
    );
  });
});
