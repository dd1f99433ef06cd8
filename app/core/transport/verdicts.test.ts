import { describe, expect, test } from "@jest/globals";
import { progressNow } from "~/core/session";
import { aLadder } from "~/core/ladder/test/fixtures";
import { EVEN, inTime, planOf } from "~/core/session/test/plans";
import { blockOf, playing, plays, stand } from "./test/begun";
import { World } from "./test/world";

describe("taking back", () => {
  test("a rest that is taken back is over: the playing goes on", () => {
    const world = stand().until(playing).does({ kind: "rest", seconds: 60 }, { kind: "undo" });
    expect(world.state.transport).toBe("count-in");
    expect(world.state.stand.resting).toBeUndefined();
  });

  test("two verdicts taken back are both asked for again, the earlier one first", () => {
    const world = stand(planOf([{ ladder: { gate: [{ kind: "in-all", plays: 5 }] } }]));
    world.until(plays(1)).does({ kind: "judge", verdict: "clean" });
    world.until(plays(2)).does({ kind: "judge", verdict: "clean" });
    world.does({ kind: "pause" }, { kind: "undo" }, { kind: "undo" });
    const [first, second] = world.state.stand.plays;
    expect(world.state.stand).toMatchObject({ pending: first!.id, alsoPending: [second!.id] });
    world.does({ kind: "judge", verdict: "flawed" });
    expect(world.state.stand).toMatchObject({ pending: second!.id });
    expect(world.state.transport).toBe("asking");
    world.does({ kind: "judge", verdict: "clean" });
    const verdicts = world.state.stand.plays.map(({ verdict }) => verdict);
    expect(verdicts).toEqual(["flawed", "clean"]);
    expect(world.state.stand.pending).toBeUndefined();
    expect(world.state.stand).toEqual(world.replayed());
  });

  test("a note that is taken back leaves the play alone", () => {
    const world = stand().until(playing).does({ kind: "note", text: "Left hand" });
    const { heard } = world.state;
    world.does({ kind: "undo" });
    expect(world.state.stand.notes).toEqual([]);
    expect(world.state.heard).toBe(heard);
  });
});

describe("an answer", () => {
  const flawedTwice = { plays: 2, then: "ask", steps: 1, seconds: 60 };

  test("that is pressed twice counts once, and one to nothing asked counts nothing", () => {
    const world = stand(planOf([{ start: 80, ladder: { afterFlawed: flawedTwice, start: 60 } }]));
    for (let n = 1; n <= 2; n++) world.until(plays(n)).does({ kind: "judge", verdict: "flawed" });
    world.settles().send({ kind: "lower" });
    const { state } = world;
    world.send({ kind: "lower" }).send({ kind: "decline" }).send({ kind: "again" });
    expect(world.state).toBe(state);
  });

  test("leaves a moment before the next count-in", () => {
    const world = stand(planOf([{ ladder: { afterFlawed: flawedTwice } }]));
    for (let n = 1; n <= 2; n++) world.until(plays(n)).does({ kind: "judge", verdict: "flawed" });
    world.settles().send({ kind: "decline" });
    expect(world.state.heard!.start - world.clock).toBeCloseTo(0.8);
  });
});

describe("what is known of a play", () => {
  test("hidden notes chosen before the stand is there", () => {
    const world = new World(planOf([{}]), [], [{ kind: "from-memory", on: true }]);
    world.does({ kind: "start" }).until(plays(1));
    expect(world.state.stand.plays[0]).toMatchObject({ fromMemory: true });
  });

  const within =
    (spread: number, after: number): NonNullable<World["ear"]> =>
    (_, play) => ({
      after,
      measured: { play, source: "taps", bias: 0, spread, met: 8, offsets: [] },
    });
  const evenEnough = [
    { kind: "in-a-row", plays: 1, afterFlawed: "reset" },
    { kind: "timing", within: 20 },
  ];

  test("how it lay may be heard before the verdict: then its gate knows", () => {
    const world = stand(planOf([{ ladder: { gate: evenEnough } }]));
    world.ear = within(15, 100);
    world.until(plays(1)).does({ kind: "judge", verdict: "clean" });
    expect(world.state.stand.plays[0]!.measured).toMatchObject({ source: "taps", spread: 15 });
    expect(blockOf(world).rung).toBe(1);
  });

  test("or after it: the gate passes by it, and the next play goes at the next tempo", () => {
    const world = stand(planOf([{ ladder: { gate: evenEnough } }]));
    world.ear = within(15, 2000);
    world.until(plays(1)).does({ kind: "judge", verdict: "clean" });
    expect(blockOf(world).rung).toBe(0);
    world.until(({ events }) => events.at(-1)!.kind === "measured");
    expect(blockOf(world).rung).toBe(1);
    expect(world.until(playing).state.heard!.tempo).toBe(70);
  });

  test("uneven, or of another rung by then, it passes nothing", () => {
    const uneven = stand(planOf([{ ladder: { gate: evenEnough } }]));
    uneven.ear = within(40, 100);
    uneven.until(plays(1)).does({ kind: "judge", verdict: "clean" });
    expect(blockOf(uneven).rung).toBe(0);
    const late = stand(planOf([{ ladder: { gate: evenEnough } }]));
    late.ear = within(15, 1500);
    late.until(plays(1)).does({ kind: "judge", verdict: "clean" }).send({ kind: "nudge", by: 1 });
    late.until(({ events }) => events.at(-1)!.kind === "measured");
    expect(blockOf(late).passed).toEqual([]);
  });
});

describe("a verdict at another moment", () => {
  const GATE = { gate: [{ kind: "in-a-row", plays: 6, afterFlawed: "reset" }] };
  const counted = (world: World) => progressNow(blockOf(world)).parts[0]!.count;

  test("clean on the last note counts at the end of the run, and flawed takes it back", () => {
    const world = stand(planOf([{ ladder: GATE }])).until(playing);
    world.send({ kind: "forward" });
    expect([world.state.early, counted(world)]).toEqual([true, 0]);
    world.until(plays(1));
    expect([world.state.early, counted(world)]).toEqual([false, 1]);
    world.until(playing).does({ kind: "forward" }, { kind: "back" });
    expect(world.state.stand.plays.map(({ verdict }) => verdict)).toEqual(["clean", "flawed"]);
    expect(counted(world)).toBe(0);
  });

  test("forward again in the breather goes on at the next bar line", () => {
    const { click } = aLadder(EVEN, 60, 80);
    const breather = { kind: "seconds", seconds: 8 };
    const world = stand(planOf([{ ladder: { ...GATE, click: { ...click, breather } } }]));
    world.until(plays(1)).does({ kind: "forward" });
    const { clock } = world;
    world.does({ kind: "forward" }).until(({ transport }) => transport === "count-in");
    // A bar of four beats at 60 lasts four seconds; the breather would have lasted eight.
    expect(world.clock - clock).toBeLessThan(6);
  });

  test.each([
    ["wait", "asking", 0],
    ["again", "count-in", 0],
  ] as const)("without one, as chosen: %s", (noVerdict, next, count) => {
    const world = stand(planOf([{ ladder: GATE }], { noVerdict }));
    world
      .until(plays(1))
      .until(({ transport }) => transport !== "breather" && transport !== "play");
    expect([world.state.transport, counted(world)]).toEqual([next, count]);
    if (next === "asking") world.does({ kind: "forward" });
    expect(counted(world)).toBe(next === "asking" ? 1 : 0);
  });

  test("without one in time, the play that goes on meanwhile counts for nothing", () => {
    const world = stand(inTime({ ladder: GATE }));
    world.until(({ transport }) => transport === "asking");
    world.does({ kind: "back" });
    const told = world.state.stand.plays.map(({ verdict, uncounted }) => verdict ?? uncounted);
    expect(told).toEqual(["flawed", true]);
  });
});
