import { isDeepStrictEqual } from "node:util";
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import {
  NO_VERDICT_CHOICES,
  type Payload,
  taskNow,
  type SessionPlan,
  type StandState,
} from "~/core/session";
import { AFTER_FLAWED } from "~/core/ladder";
import { possible, questionOf, TOOLS, type PlayersInput, type Tool } from ".";
import { IN_TIME, planOf } from "~/core/session/test/plans";
import { touched, untilTheEnd } from "./test/players";
import { World } from "./test/world";

const RUNS = process.env.FIDUS_WHOLE === "1" ? 10_000 : 1000;

const gates = [
  [{ kind: "in-a-row", plays: 2, afterFlawed: "reset" }],
  [{ kind: "in-all", plays: 1 }],
  [{ kind: "played", plays: 2 }],
  [{ kind: "of-last", plays: 1, window: 2 }],
  [{ kind: "clock-plays", plays: 2, back: true }],
  [{ kind: "clock-minutes", minutes: 0.5, back: false }],
] as const;
const schools = [{ name: "even-steps", numbers: { step: 10 } }] as const;

const blocks = fc.record({
  school: fc.constantFrom(schools[0]),
  ladder: fc.record({
    gate: fc.constantFrom(...gates),
    rest: fc.constantFrom(0, 10),
    afterFlawed: fc.record({
      plays: fc.constantFrom(2, 3),
      then: fc.constantFrom(...AFTER_FLAWED),
      steps: fc.constant(1),
      seconds: fc.constant(10),
    }),
    breather: fc.constantFrom(IN_TIME, { kind: "seconds", seconds: 2 } as const),
  }),
});
const task = { kind: "warm-up", minutes: 3, text: "", block: null };

/** Sessions of one or two passages, in time or with breathers, with a task before them or not. */
const wishes = fc.record({
  blocks: fc.array(blocks, { minLength: 1, maxLength: 2 }),
  noVerdict: fc.constantFrom(...NO_VERDICT_CHOICES),
  withTask: fc.boolean(),
});
type Wish = typeof wishes extends fc.Arbitrary<infer T> ? T : never;

function planFor({ blocks: wished, noVerdict, withTask }: Wish): SessionPlan {
  const plain = planOf([{}]).blocks[0]!.ladder.click;
  const made = wished.map(({ school, ladder: { breather, ...ladder } }) => ({
    school,
    ladder: { ...ladder, click: { ...plain, breather } },
  }));
  const parts = made.map((_, block) => ({ kind: "practising", minutes: 5, text: "", block }));
  return planOf(made, { noVerdict, parts: withTask ? [task, ...parts] : parts });
}

type Step = PlayersInput | { readonly kind: "comes" } | { readonly kind: "passes"; ms: number };

const plain = (kind: string) => fc.constant({ kind } as Step);
/** What may happen, in any order. */
const steps: fc.Arbitrary<Step> = fc.oneof(
  { weight: 12, arbitrary: plain("comes") },
  { weight: 4, arbitrary: fc.constantFrom<Step>({ kind: "forward" }, { kind: "back" }) },
  {
    weight: 2,
    arbitrary: fc.integer({ min: 1, max: 6000 }).map((ms): Step => ({ kind: "passes", ms })),
  },
  ...["start", "pause", "toggle", "undo", "undo", "ease", "repeat", "skip", "again"].map(plain),
  ...["lower", "decline", "heed", "decline-advice", "end-rest", "move-on"].map(plain),
  ...["task-done", "end-well", "stay"].map(plain),
  fc.constantFrom<Step>({ kind: "nudge", by: 1 }, { kind: "nudge", by: -1 }),
  fc.constantFrom<Step>({ kind: "judge", verdict: "clean" }, { kind: "judge", verdict: "flawed" }),
  fc.integer({ min: 40, max: 120 }).map((bpm): Step => ({ kind: "tempo", bpm })),
  fc.integer({ min: 3, max: 4 }).map((bar): Step => ({ kind: "detail", about: { bar } })),
  fc.constant<Step>({ kind: "detail", about: { what: "tension" } }),
  fc.constant<Step>({ kind: "rest", seconds: 10 }),
  fc.constant<Step>({ kind: "narrow", range: { fromBar: 3, toBar: 3 } }),
  fc.constant<Step>({ kind: "note", text: "Left hand" }),
  fc.boolean().map((on): Step => ({ kind: "try", on })),
  fc.constant<Step>({ kind: "try-bars", fromBar: 4, toBar: 4 }),
);

function goes(world: World, step: Step): void {
  if (step.kind === "comes") return void world.comes();
  if (step.kind === "passes") return world.pass(step.ms);
  world.send(step);
}

const evenly = (play: string): Payload<"measured"> => ({
  ...{ play, source: "sound", bias: 0, spread: 12, met: 8 },
  offsets: [],
});

const arrives = (wish: Wish, before: readonly Step[]): World => {
  const world = new World(planFor(wish));
  // Every other play is measured, some of them only when others are on.
  world.ear = (_, play) =>
    Number(play.at(-1)) % 2 === 0
      ? { after: Number(play.at(-2)) * 500, measured: evenly(play) }
      : undefined;
  for (const step of before) goes(world, step);
  return world;
};

const BY_TOOL: Readonly<Partial<Record<Tool, PlayersInput>>> = {
  undo: { kind: "undo" },
  slower: { kind: "nudge", by: -1 },
  faster: { kind: "nudge", by: 1 },
  repeat: { kind: "repeat" },
  skip: { kind: "skip" },
  try: { kind: "try", on: true },
  rest: { kind: "rest", seconds: 10 },
  "end-well": { kind: "end-well" },
  pause: { kind: "pause" },
};

/** What holds wherever the stand has come to; each is tried from places of its own. */
const HOLDS: Readonly<Record<string, (world: World) => void>> = {
  "the pedal forward alone leads to the end": (world) =>
    untilTheEnd(world, () => ({ kind: "forward" })),
  "touch alone leads to the end": (world) => untilTheEnd(world, touched),
  "the space bar alone goes on playing, or to the end": (world) => {
    const { plays, part } = world.settles().state.stand;
    for (let n = 0; n < 8; n++) {
      const { stand } = world.state;
      if (stand.ended || stand.plays.length > plays.length || stand.part > part) return;
      world.does({ kind: "toggle" }).settles();
      if (world.state.trying) world.pass(30_000);
    }
    throw new Error(`Still ${world.state.transport}, ${questionOf(world.state)}`);
  },
  "the pedal back alone never ends in silence that asks nothing": (world) => {
    for (let n = 0; n < 12; n++) world.does({ kind: "back" }).settles();
    const { stand, transport, trying } = world.state;
    const goesOn = trying !== undefined || transport === "stopped";
    const asks = questionOf(world.state) !== undefined || goesOn;
    expect(asks || stand.ended !== undefined).toBe(true);
  },
  "a reload goes on where it was": (world) => {
    const again = world.reloads();
    same(again.state.stand, world.state.stand);
    untilTheEnd(again, () => ({ kind: "forward" }));
  },
  "what can be pressed does something": (world) => {
    if (world.state.stand.ended) return;
    const can = possible(world.state);
    const tool = TOOLS.find((each) => can[each] && BY_TOOL[each]);
    if (tool === undefined) return;
    const before = world.state;
    world.send(BY_TOOL[tool]!);
    expect({ tool, changed: world.state !== before }).toEqual({ tool, changed: true });
  },
  "during a task nothing that is about playing does anything": (world) => {
    if (!taskNow(world.state.stand) || world.state.stand.endingWell) return;
    const before = world.state;
    for (const kind of ["repeat", "skip", "ease", "again", "lower", "decline"] as const) {
      world.send({ kind });
    }
    expect(world.state).toBe(before);
  },
};

/** Compared by Node, which is ten times as quick; Jest says what differs. */
function same(one: unknown, other: unknown): void {
  if (!isDeepStrictEqual(one, other)) expect(one).toEqual(other);
}

/** Each play was told once and written once, and the session is what its events say. */
function nothingIsLost(world: World): void {
  same(world.state.stand, world.replayed());
  const played = world.kept.filter(({ kind }) => kind === "played").map(({ id }) => id);
  same(world.told, played);
  theCountsAreTrue(world.state.stand);
}

/** What is kept up with each play is what all plays say when they are gone through. */
function theCountsAreTrue({ blocks, plays }: StandState): void {
  blocks.forEach(({ done }, index) => {
    const own = plays.filter(({ blockIndex }) => blockIndex === index);
    const judged = own.filter(({ verdict, endingWell }) => verdict && !endingWell);
    const clocked = own.filter(({ byClock, complete }) => byClock && complete);
    expect(done).toMatchObject({
      begun: own.length > 0,
      plays: judged.length,
      clean: judged.filter(({ verdict }) => verdict === "clean").length,
      byClock: clocked.length > 0 ? Math.max(...clocked.map(({ top }) => top)) : undefined,
    });
    for (const { rung, tempo } of judged) {
      const here = judged.filter((play) => play.rung === rung && play.tempo === tempo);
      same(done.at.get(`${rung} ${tempo}`)?.plays, here.length);
    }
  });
}

describe("from anywhere", () => {
  test.each(Object.entries(HOLDS))("%s", (_, holds) => {
    fc.assert(
      fc.property(wishes, fc.array(steps, { maxLength: 80, size: "max" }), (wish, before) => {
        const world = arrives(wish, before);
        nothingIsLost(world);
        holds(world);
      }),
      { numRuns: Math.ceil(RUNS / Object.keys(HOLDS).length) },
    );
  });
});
