import { describe, expect, test } from "@jest/globals";
import {
  initialNumbers,
  natureOf,
  SCHOOL_NAMES,
  wayIn,
  type Place,
  type SchoolName,
} from "~/core/ladder";
import { summarise, type BlockSummary, type StandState } from "~/core/session";
import { IN_TIME, planOf } from "~/core/session/test/plans";
import { aLadder, barsOf } from "~/core/ladder/test/fixtures";
import { bpm } from "~/core/units";
import { questionOf, type PlayersInput } from ".";
import { touched, untilTheEnd } from "./test/players";
import { World } from "./test/world";

const BARS = barsOf(7).slice(2, 4);
const DAYS = 3;
const FLAWED_EACH = 5;

interface Practised {
  readonly ended: BlockSummary | undefined;
  readonly passed: ReadonlyMap<string, number>;
}

const BREATHERS = {
  "with breathers": { kind: "seconds", seconds: 1 },
  "in time": IN_TIME,
} as const;
const GATES = {
  judged: [{ kind: "in-a-row", plays: 2, afterFlawed: "reset" }],
  "by the clock": [{ kind: "clock-plays", plays: 2, back: false }],
} as const;

/** A ladder of a school with the numbers that it starts with. */
function ladderOf(name: SchoolName, breather: keyof typeof BREATHERS, gate: keyof typeof GATES) {
  const school = { name, numbers: initialNumbers(name) };
  const click = { ...aLadder(school, 60, 80).click, breather: BREATHERS[breather] };
  return aLadder(school, name === "burst" ? 40 : 60, 80, {
    ...{ click, gate: GATES[gate], startRule: { kind: "where-ended-less", steps: 1 } },
    setOn: "2026-05-04",
  });
}
type Ladder = ReturnType<typeof ladderOf>;

/** Today's plan, from what the days before have left. */
function planToday(ladder: Ladder, { ended, passed }: Practised, daysGone: number) {
  const left = ended && { tempo: bpm(ended.endTempo), place: ended.place, way: ended.way };
  const { start, place } = wayIn(
    ladder,
    { fromBar: 3, toBar: 4 },
    { bars: BARS },
    {
      ended: left ?? null,
      fastest: (material) => passed.get(material),
      ...{ comfortable: undefined, daysGone },
    },
  );
  const again = ended !== undefined;
  const [{ phases, ...others }] = [ladder];
  const [{ school }] = phases as [(typeof phases)[0]];
  const { start: first, target } = others;
  return planOf([{ school, start: first, target, ladder: others, block: { start, place, again } }]);
}

/** Whoever plays: by the pedal, by touch, by keys; every so often a play is flawed. */
const PLAYERS: Readonly<Record<string, (world: World) => PlayersInput>> = {
  "the pedal": ({ state }) =>
    isFlawed(state.stand) && questionOf(state) === "verdict"
      ? { kind: "back" }
      : { kind: "forward" },
  touch: (world) => {
    const input = touched(world);
    const { stand } = world.state;
    return input.kind === "judge" && isFlawed(stand) ? { ...input, verdict: "flawed" } : input;
  },
  keys: ({ state }) => {
    if (state.transport === "stopped" && questionOf(state) === undefined) return { kind: "toggle" };
    return isFlawed(state.stand) && questionOf(state) === "verdict"
      ? { kind: "back" }
      : { kind: "forward" };
  },
};
const isFlawed = ({ plays }: StandState) => plays.length % FLAWED_EACH === FLAWED_EACH - 1;

/** Practises on a day to the end of the session. */
function practises(
  ladder: Ladder,
  before: Practised,
  day: number,
  by: keyof typeof PLAYERS,
): { readonly world: World; readonly after: Practised } {
  const world = new World(planToday(ladder, before, day));
  untilTheEnd(world, PLAYERS[by]!);
  const [ended] = summarise(world.state.stand);
  const passed = new Map(before.passed);
  for (const { material, tempo } of ended?.passed ?? []) {
    passed.set(material, Math.max(tempo, passed.get(material) ?? 0));
  }
  return { world, after: { ended, passed } };
}

const NOTHING: Practised = { ended: undefined, passed: new Map() };
const isFurther = (now: Place, then: Place) =>
  now.phase > then.phase || (now.phase === then.phase && now.stage >= then.stage);

/** Each play that counts was one of a rung of the day's plan, at that rung's tempo. */
function playsAreOfTheirRungs({ plays, blocks }: StandState): void {
  const { rungs } = blocks[0]!;
  for (const { rung, tempo, endingWell, uncounted } of plays) {
    if (endingWell || uncounted) continue;
    expect([rung, tempo + 0]).toEqual([rung, rungs[rung]!.tempo + 0]);
  }
}

describe.each(SCHOOL_NAMES)("%s over three days", (name) => {
  for (const breather of Object.keys(BREATHERS) as (keyof typeof BREATHERS)[]) {
    for (const by of Object.keys(PLAYERS)) {
      test(`${breather}, by ${by} alone`, () => {
        const ladder = ladderOf(name, breather, "judged");
        let before = NOTHING;
        for (let day = 0; day < DAYS; day++) {
          const { world, after } = practises(ladder, before, day, by);
          const { stand } = world.state;
          playsAreOfTheirRungs(stand);
          expect(stand.plays.length).toBeGreaterThan(0);
          // The school that goes by a clock of its own passes nothing.
          const passes = natureOf(name).tempo !== "centres";
          expect(stand.blocks[0]!.passed.length > 0).toBe(passes);
          // What is kept overnight never falls back while the ladder is not through.
          const [now, then] = [after.ended!, before.ended];
          if (then && !then.toppedOut) expect(isFurther(now.place, then.place)).toBe(true);
          before = after;
        }
      });
    }

    test(`${breather}, by the clock: nothing is asked, nothing is passed, tomorrow is as today`, () => {
      const ladder = ladderOf(name, breather, "by the clock");
      const first = practises(ladder, NOTHING, 0, "the pedal");
      const { stand } = first.world.state;
      playsAreOfTheirRungs(stand);
      expect(stand.blocks[0]!.passed).toEqual([]);
      expect(first.after.ended).toMatchObject({ reachedTempo: undefined, passed: [] });
      const next = planToday(ladder, first.after, natureOf(name).daily ? 0 : 1).blocks[0]!;
      const today = planToday(ladder, NOTHING, 0).blocks[0]!;
      expect([next.start, next.place]).toEqual([today.start, today.place]);
    });
  }
});
