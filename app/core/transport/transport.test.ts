import { describe, expect, test } from "@jest/globals";
import { progressNow, summarise } from "~/core/session";
import { bpm } from "~/core/units";
import { isOnlyFinished, questionOf } from ".";
import { inTime, planOf } from "~/core/session/test/plans";
import { blockOf, playing, plays, stand } from "./test/begun";
import { World } from "./test/world";

describe("going on in time", () => {
  /** The gate has passed while the next play runs. */
  const decided = () => {
    const world = stand(inTime());
    world.until(plays(1)).does({ kind: "judge", verdict: "clean" });
    world.until(plays(2)).until(playing).does({ kind: "judge", verdict: "clean" });
    expect(isOnlyFinished(world.state)).toBe(true);
    return world;
  };

  test("a play whose rung was decided while it runs can be left: on with the new tempo", () => {
    const world = decided().does({ kind: "back" });
    expect(world.state.stand.plays.at(-1)).toMatchObject({ complete: false, uncounted: true });
    expect(world.state.heard?.tempo).toBe(70);
    expect(world.state.transport).toBe("count-in");
  });

  test("or it is finished, uncounted, and the cue to the new tempo follows it", () => {
    const world = decided().until(plays(3));
    expect(world.state.stand.plays.at(-1)).toMatchObject({ complete: true, uncounted: true });
    world.until(({ heard }) => heard?.tempo === 70);
    expect(world.state.stand.pending).toBeUndefined();
  });

  test("clean says nothing of a play that counts for nothing", () => {
    const world = decided().does({ kind: "forward" });
    expect(world.state.early).toBe(false);
    world.until(plays(3));
    expect(progressNow(blockOf(world)).parts[0]).toMatchObject({ count: 0 });
  });

  test("where and why the last play was flawed is told while the next one runs", () => {
    const world = stand(inTime());
    world.until(plays(1)).until(playing).does({ kind: "back" });
    world.does({ kind: "detail", about: { bar: 4 } });
    expect(world.state.stand.plays[0]).toMatchObject({ verdict: "flawed", bar: 4 });
    expect(world.state.transport).toBe("play");
  });

  test("a verdict belongs to the play before, however often it is pressed", () => {
    const world = stand(inTime());
    world.until(plays(1)).until(playing);
    world.send({ kind: "judge", verdict: "clean" }).send({ kind: "judge", verdict: "flawed" });
    expect(world.state.stand.plays.map(({ verdict }) => verdict)).toEqual(["clean"]);
    expect(world.state.transport).toBe("play");
  });
});

describe("another way on the first rung", () => {
  const twiceFlawed = () => {
    const world = stand(planOf([{ ladder: { afterFlawed: flawedTwice } }]));
    for (let n = 1; n <= 2; n++) world.until(plays(n)).does({ kind: "judge", verdict: "flawed" });
    return world.settles();
  };
  const flawedTwice = { plays: 2, then: "ask", steps: 1, seconds: 60 };

  test("the pedal back goes below the ladder's start: a step, then half, then a rest", () => {
    const world = twiceFlawed();
    expect(questionOf(world.state)).toBe("another-way");
    world.does({ kind: "back" });
    expect(blockOf(world)).toMatchObject({ rung: 0, tempo: 50, flawedOnRung: 0 });
    for (const n of [3, 4]) world.until(plays(n)).does({ kind: "judge", verdict: "flawed" });
    world.settles().does({ kind: "back" });
    expect(blockOf(world).tempo).toBe(30);
    for (const n of [5, 6]) world.until(plays(n)).does({ kind: "judge", verdict: "flawed" });
    world.settles().does({ kind: "back" });
    expect(world.state.transport).toBe("resting");
  });

  test("today begins where yesterday went down to: nothing is slower than half of what was set", () => {
    const afterFlawed = { plays: 2, then: "ask", steps: 1, seconds: 60 };
    const world = stand(planOf([{ start: 30, ladder: { afterFlawed, start: 60 } }]));
    for (const n of [1, 2]) world.until(plays(n)).does({ kind: "judge", verdict: "flawed" });
    world.settles().does({ kind: "back" });
    expect(world.state.transport).toBe("resting");
  });

  test("a ladder that goes lower by itself holds on its first rung", () => {
    const afterFlawed = { plays: 2, then: "lower", steps: 1, seconds: 60 };
    const world = stand(planOf([{ ladder: { afterFlawed } }]));
    for (const n of [1, 2]) world.until(plays(n)).does({ kind: "judge", verdict: "flawed" });
    expect(blockOf(world)).toMatchObject({ rung: 0, tempo: 60, flawedOnRung: 0 });
  });

  test("passed below its start, the ladder begins with its first rung", () => {
    const world = twiceFlawed().does({ kind: "lower" });
    for (const n of [3, 4]) world.until(plays(n)).does({ kind: "judge", verdict: "clean" });
    expect(blockOf(world)).toMatchObject({ rung: 0, tempo: 60 });
  });
});

test("on to the next part, tapped twice, is one part", () => {
  const world = new World(planOf([{}, {}, {}]));
  world.send({ kind: "start" }).send({ kind: "move-on" }).send({ kind: "move-on" });
  expect(world.state.stand.part).toBe(1);
  expect(world.does({ kind: "move-on" }).state.stand.part).toBe(2);
});

describe("by the clock", () => {
  const clock = (plays: number, back = false) => [{ kind: "clock-plays", plays, back }];
  const tempi = (world: World) => world.state.stand.plays.map(({ tempo }) => tempo + 0);

  test("with breathers it goes on by itself to the top, and nothing is passed", () => {
    const world = stand(planOf([{ ladder: { gate: clock(2) } }]));
    world.settles();
    expect(tempi(world)).toEqual([60, 60, 70, 70, 80, 80]);
    expect(questionOf(world.state)).toBe("top");
    expect(blockOf(world).passed).toEqual([]);
    expect(summarise(world.state.stand)).toMatchObject([
      { byClock: 80, plays: 0, endTempo: 60, toppedOut: false, passed: [] },
    ]);
  });

  test("in time the next tempo follows with its cue, and no play is asked about", () => {
    const world = new World(inTime({ ladder: { gate: clock(2) } })).does({ kind: "start" });
    world.settles();
    expect(tempi(world)).toEqual([60, 60, 70, 70, 80, 80]);
    expect(world.kept.filter(({ kind }) => kind === "judged")).toEqual([]);
    expect(world.kept.some((each) => each.kind === "played" && each.payload.uncounted)).toBe(false);
  });

  test("up and down again; so many minutes", () => {
    const world = stand(planOf([{ ladder: { gate: clock(1, true) } }]));
    world.settles();
    expect(tempi(world)).toEqual([60, 70, 80, 70, 60]);
    const gate = [{ kind: "clock-minutes", minutes: 0.5, back: false }];
    const minutes = stand(planOf([{ ladder: { gate } }]));
    minutes.settles();
    // Two bars of common time take 8 s at 60: four of them fill half a minute.
    expect(tempi(minutes).filter((tempo) => tempo === 60)).toHaveLength(4);
  });

  test("a verdict that is given is kept, and holds nothing up", () => {
    const world = stand(planOf([{ ladder: { gate: clock(2) } }])).until(plays(1));
    world.does({ kind: "judge", verdict: "flawed" });
    expect(world.state.stand.plays[0]).toMatchObject({ verdict: "flawed" });
    expect(world.settles() && tempi(world)).toEqual([60, 60, 70, 70, 80, 80]);
    expect(summarise(world.state.stand)).toMatchObject([{ plays: 1, clean: 0, passed: [] }]);
    // Taken back, it is not asked for.
    world.does({ kind: "undo" });
    expect(world.state.stand.pending).toBeUndefined();
  });

  test("a comfort span needs no verdict: each tempo is held by the clock", () => {
    const school = { name: "comfort-span", numbers: { step: 6, steps: 1, hold: 16 } };
    const world = stand(planOf([{ school }])).until((state) => questionOf(state) === "top");
    const held = tempi(world).filter((tempo, n, all) => tempo !== all[n - 1]);
    expect(held).toEqual([60, 54, 60, 66, 60]);
  });
});

describe("just trying", () => {
  test.each([
    ["with breathers", planOf([{}])],
    ["in time", inTime()],
  ])("%s: at any tempo and for any bars, the count stays where it is", (_, plan) => {
    const world = stand(plan).until(plays(1)).does({ kind: "judge", verdict: "clean" });
    const { counted } = blockOf(world);
    world.send({ kind: "try", on: true }).send({ kind: "nudge", by: 1 });
    world.send({ kind: "try-bars", fromBar: 4, toBar: 4 });
    expect(world.state.trying).toEqual({ tempo: bpm(62), fromBar: 4, toBar: 4 });
    const before = world.state.stand.plays.length;
    world.until(({ stand: now }) =>
      now.plays.some(({ fromBar, tempo }) => fromBar === 4 && tempo === bpm(62)),
    );
    const tried = world.state.stand.plays.slice(before).filter(({ fromBar }) => fromBar === 4);
    expect(tried.every(({ uncounted }) => uncounted)).toBe(true);
    expect(blockOf(world)).toMatchObject({ counted, tempo: 60, segment: { fromBar: 3, toBar: 4 } });
    expect(world.state.stand.pending).toBeUndefined();
    // Nothing is asked, and it goes on by itself.
    world.until(plays(before + 3));
    world.does({ kind: "try", on: false }).until(({ heard }) => heard?.tempo === 60);
    world.until(({ stand: now }) => now.pending !== undefined);
    expect(world.state.stand.plays.at(-1)).toMatchObject({ tempo: 60, fromBar: 3 });
  });

  test("is over with anything else that is decided about what is played", () => {
    const world = stand().send({ kind: "try", on: true }).send({ kind: "repeat" });
    expect(world.state.trying).toBeUndefined();
    expect(
      stand().send({ kind: "try", on: true }).send({ kind: "try-bars", fromBar: 1, toBar: 9 }).state
        .trying,
    ).toMatchObject({ fromBar: 3, toBar: 4 });
  });
});

describe("the sound", () => {
  test("is not opened by a rest that ends by itself: browsers want a press for that", () => {
    const world = new World(planOf([{}])).does({ kind: "rest", seconds: 10 });
    world.until(({ transport }) => transport === "stopped");
    expect(world.state).toMatchObject({ sound: "closed" });
    expect(world.state.stand.resting).toBeUndefined();
  });

  test("that doesn't open says so, and a second press tries again", () => {
    const world = new World(planOf([{}]));
    world.send({ kind: "start" }).send({ kind: "sound-failed" });
    expect(world.state).toMatchObject({ sound: "failed", transport: "stopped" });
    world.does({ kind: "start" }).until(playing);
  });

  test("a marker of a loop that is not heard any more says nothing", () => {
    const world = stand().until(playing);
    const old = world.state.heard!.id;
    world.does({ kind: "nudge", by: 1 });
    const { state } = world;
    world.send({ kind: "marker", loop: old, name: "play-ended" });
    expect(world.state).toBe(state);
  });

  test("pressed while it opens, start begins one loop and no second", () => {
    const world = new World(planOf([{}]));
    world.send({ kind: "start" }).send({ kind: "start" }).send({ kind: "toggle" });
    world.until(playing);
    expect(world.state.sent).toBe(1);
  });
});

describe("the end", () => {
  test("it hurts: silence and the end at once, whatever is on", () => {
    const world = stand().until(playing).does({ kind: "hurts" });
    expect(world.state).toMatchObject({ transport: "stopped", heard: undefined });
    expect(world.state.stand.ended).toBe("pain");
    expect(world.comes()).toBe(false);
  });

  test("a wrong touch of it is taken back, as long as nothing else has happened", () => {
    const world = stand().until(plays(1)).does({ kind: "hurts" }, { kind: "slip" });
    expect(world.state.stand).toMatchObject({ plays: [expect.anything()] });
    expect(world.state.stand.ended).toBeUndefined();
    world.does({ kind: "start" }, { kind: "judge", verdict: "clean" }).until(playing);
    const over = stand().until(plays(1)).does({ kind: "end", how: "finished" }, { kind: "slip" });
    expect(over.state.stand.ended).toBe("finished");
  });

  test("the last passage left after a flawed play: one slow play first, then the end", () => {
    const world = stand().until(plays(1)).does({ kind: "judge", verdict: "flawed" });
    world.does({ kind: "move-on" });
    expect(questionOf(world.state)).toBe("slow-end");
    world.does({ kind: "forward" }).until(plays(2)).does({ kind: "judge", verdict: "clean" });
    expect(world.state.stand.ended).toBe("ended-well");
  });

  test("an event of another window that moves the tempo starts the play anew", () => {
    const world = stand().until(playing);
    const id = "00000000-0000-4000-8000-000000009999";
    const set = { kind: "tempo-set", payload: { tempo: bpm(72) } } as const;
    world.kept.push({ ...set, id, seq: world.kept.length, at: world.at });
    world.send({ kind: "events", events: world.kept });
    expect(world.state).toMatchObject({ transport: "count-in", heard: { tempo: 72 } });
  });

  test("an event of another window comes in: what sounds follows it", () => {
    const world = stand().until(playing);
    const ended = { kind: "ended", payload: { how: "finished" } } as const;
    const id = "00000000-0000-4000-8000-000000009999";
    const event = { ...ended, id, seq: world.kept.length, at: world.at };
    world.kept.push(event);
    world.send({ kind: "events", events: world.kept });
    expect(world.state).toMatchObject({ transport: "stopped", heard: undefined });
  });
});

test("a session of tasks alone needs no sound", () => {
  const part = { kind: "listening", minutes: 5, text: "", block: null };
  const world = new World(planOf([], { parts: [part, part] }));
  world.does({ kind: "forward" }, { kind: "forward" }, { kind: "forward" });
  expect(world.state.stand.ended).toBe("finished");
  expect(world.state.sound).toBe("closed");
});

describe("a ladder that helps by itself", () => {
  test("goes lower after two flawed plays, and asks for the bars around at the top", () => {
    const ladder = {
      gate: [{ kind: "in-a-row", plays: 1, afterFlawed: "reset" }],
      afterFlawed: { plays: 2, then: "lower", steps: 1, seconds: 60 },
      inContext: { bars: 1, at: "top" },
    };
    const world = stand(planOf([{ target: 70, ladder }]));
    const judges = (n: number, verdict: "clean" | "flawed") =>
      world.until(plays(n)).does({ kind: "judge", verdict });
    judges(1, "clean");
    expect(blockOf(world).tempo).toBe(70);
    judges(2, "flawed");
    judges(3, "flawed");
    expect(blockOf(world).tempo).toBe(60);
    judges(4, "clean");
    judges(5, "clean");
    expect(blockOf(world)).toMatchObject({ extent: "context", segment: { fromBar: 2, toBar: 5 } });
    judges(6, "clean");
    expect(questionOf(world.state)).toBe("top");
  });
});
