import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import * as v from "valibot";
import { aLadder } from "~/core/ladder/test/fixtures";
import {
  advance,
  barsWhereItFailed,
  betweenPlays,
  currentBlock,
  initialState,
  lastUndoable,
  nextTempo,
  offersAnotherWay,
  replay,
  sessionEventSchema,
  summarise,
  type EventKind,
  type SessionEvent,
  type StandState,
} from ".";
import { planFrom } from "./test/plans";

const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, "0")}`;
const block = (passage: number, change: object = {}) => ({
  passageId: uuid(passage),
  pieceTitle: "The Ferry at Low Water",
  passageName: "",
  focus: "",
  fromBar: 5,
  toBar: 8,
  pickupBeats: 0,
  endBeats: 0,
  bars: [5, 6, 7, 8].map((number) => ({ number, metre: { beats: 3, unit: 4 } })),
  beatUnit: "quarter",
  start: 60,
  ladder: aLadder({ name: "even-steps", numbers: { step: 10 } }, 60, 80, {
    gate: [{ kind: "in-a-row", plays: 2, afterFlawed: "reset" }],
    afterFlawed: { plays: 3, then: "ask", steps: 1, seconds: 60 },
    ...change,
  }),
});
const planOf = (...blocks: object[]) => planFrom(blocks);
const plan = planOf(block(1), block(2));

/** Speaks the player's verbs and checks, at every step, that replaying gives the same state. */
class Player {
  events: SessionEvent[] = [];
  state: StandState;
  private at = Date.UTC(2026, 4, 4);

  constructor(
    which = plan,
    private readonly checks = true,
  ) {
    this.state = initialState(which);
  }

  does(kind: EventKind, payload: object = {}): string {
    const id = uuid(1000 + this.events.length);
    this.at += 10_000;
    const seq = this.events.length;
    const event = v.parse(sessionEventSchema, { id, seq, at: this.at, kind, payload });
    this.state = advance(this.state, this.events, event);
    this.events.push(event);
    if (this.checks) expect(this.state).toEqual(replay(this.state.plan, this.events));
    return id;
  }

  plays(): string {
    const { fromBar, toBar } = currentBlock(this.state).state.segment;
    const tempo = nextTempo(this.state);
    return this.does("played", { tempo, seconds: 6, fromBar, toBar, complete: true });
  }

  playsAndJudges(verdicts: string, bar?: number): void {
    for (const letter of verdicts) {
      const play = this.plays();
      this.does("judged", { play, verdict: letter === "c" ? "clean" : "flawed" });
      if (letter === "f" && bar !== undefined) this.does("detailed", { play, bar });
    }
  }

  undoes(): void {
    this.does("undone", { event: lastUndoable(this.events)!.id });
  }

  get block() {
    const block = currentBlock(this.state).state;
    return {
      ...block,
      verdicts: block.counted.map(({ verdict }) => verdict),
      passed: block.passed.map(({ tempo }) => tempo + 0),
    };
  }
}

describe("at the stand", () => {
  test("the tempo moves when the gate passes, and not before", () => {
    const player = new Player();
    player.playsAndJudges("cfc");
    expect(player.block).toMatchObject({ tempo: 60, verdicts: ["clean", "flawed", "clean"] });
    player.playsAndJudges("c");
    expect(player.block).toMatchObject({ tempo: 70, verdicts: [], passed: [60] });
    player.playsAndJudges("cccc");
    expect(player.block).toMatchObject({ tempo: 80, toppedOut: true, passed: [60, 70, 80] });
  });

  test("a play without a verdict does not count", () => {
    const player = new Player();
    player.plays();
    player.plays();
    player.playsAndJudges("c");
    expect(player.block.verdicts).toEqual(["clean"]);
    expect(summarise(player.state)[0]).toMatchObject({ plays: 1, clean: 1 });
  });

  test("undo takes a verdict back and the play waits for it again", () => {
    const player = new Player();
    player.playsAndJudges("c");
    const play = player.plays();
    player.does("judged", { play, verdict: "clean" });
    expect(player.block.tempo).toBe(70);
    player.undoes();
    expect(player.block).toMatchObject({ tempo: 60, verdicts: ["clean"] });
    expect(player.state.pending).toBe(play);
    player.does("judged", { play, verdict: "flawed" });
    expect(player.block.verdicts).toEqual(["clean", "flawed"]);
  });

  test("undoing an undo brings back what was undone", () => {
    const player = new Player();
    player.playsAndJudges("c");
    player.undoes();
    expect(player.block.verdicts).toEqual([]);
    player.does("undone", { event: player.events.at(-1)!.id });
    expect(player.block.verdicts).toEqual(["clean"]);
  });

  test("after three flawed plays another way is offered, with the bars where it failed", () => {
    const player = new Player();
    player.playsAndJudges("f", 6);
    player.playsAndJudges("f", 7);
    expect(offersAnotherWay(player.state)).toBe(false);
    player.playsAndJudges("f", 6);
    expect(offersAnotherWay(player.state)).toBe(true);
    expect(barsWhereItFailed(player.state)).toMatchObject({ fromBar: 6, toBar: 7 });
    player.does("narrowed", { fromBar: 6, toBar: 7 });
    expect(offersAnotherWay(player.state)).toBe(false);
    player.playsAndJudges("cc");
    expect(player.block).toMatchObject({ extent: "rung", tempo: 60, passed: [] });
  });

  test("slower, faster, lower and skip move the tempo and begin the count again", () => {
    const player = new Player();
    player.playsAndJudges("c");
    player.does("tempo-set", { tempo: 64 });
    expect(player.block).toMatchObject({ tempo: 64, verdicts: [] });
    player.playsAndJudges("cc");
    expect(player.block.tempo).toBe(70);
    player.does("lowered", { steps: 1 });
    expect(player.block.tempo).toBe(60);
    player.does("skipped");
    expect(player.block.tempo).toBe(70);
  });

  test("a rest stands between rungs where the ladder says so", () => {
    const player = new Player(planOf(block(1, { rest: 30 })));
    player.playsAndJudges("cc");
    expect(player.state.resting).toMatchObject({ seconds: 30 });
    player.does("rest-ended");
    expect(player.state.resting).toBeUndefined();
  });

  test("the slow play at the end opens no gate and says where the passage ended", () => {
    const player = new Player();
    player.playsAndJudges("cc");
    player.does("end-well-began", { tempo: 49 });
    expect(nextTempo(player.state)).toBe(49);
    player.playsAndJudges("c");
    player.does("ended", { how: "ended-well" });
    expect(summarise(player.state)).toEqual([
      expect.objectContaining({ endTempo: 70, reachedTempo: 60, plays: 2, clean: 2 }),
    ]);
  });

  test("time away from the stand is not time played", () => {
    const player = new Player();
    player.playsAndJudges("cc");
    const before = player.block.activeSeconds;
    const late = player.events.at(-1)!.at + 3_600_000;
    const event = { id: uuid(9), seq: 4, at: late, kind: "repeated" as const, payload: {} };
    const state = advance(player.state, player.events, event);
    expect(currentBlock(state).state.activeSeconds).toBe(before);
  });
});

describe("advice between plays", () => {
  const advised = (player: Player) => betweenPlays(player.state)?.kind;

  test("a break after half an hour, again only after another", () => {
    const player = new Player(planOf(block(1)), false);
    for (let n = 0; n < 90; n++) player.playsAndJudges("f");
    expect(advised(player)).toBeUndefined();
    player.playsAndJudges("f");
    expect(advised(player)).toBe("break");
    player.does("offer-declined", { of: "break" });
    expect(advised(player)).toBeUndefined();
    for (let n = 0; n < 91; n++) player.playsAndJudges("f");
    expect(advised(player)).toBe("break");
    player.undoes();
    expect(advised(player)).toBeUndefined();
  });

  test("lower where much of it lies near the ceiling and breaks, until it was answered", () => {
    const near = { ...block(1, { offerAfter: 9 }), ceiling: 75 };
    const player = new Player(planOf(near));
    player.playsAndJudges("cc");
    player.playsAndJudges("cfcfcfcf");
    // The plays at 60 are none near the limit; those at 70 are 8 of 10.
    expect(advised(player)).toBe("near-limit");
    player.does("lowered", { steps: 1 });
    expect(advised(player)).toBeUndefined();
    const far = new Player(planOf({ ...near, ceiling: 100 }));
    far.playsAndJudges("cccfcfcfcf");
    expect(advised(far)).toBeUndefined();
  });

  test("once more where it went on after one clean play of many", () => {
    const gate = { kind: "in-all", plays: 1 };
    const player = new Player(planOf(block(1, { gate, offerAfter: 9, start: 60 })));
    player.playsAndJudges("cfff");
    expect(advised(player)).toBeUndefined();
    player.playsAndJudges("c");
    expect(betweenPlays(player.state)).toEqual({ kind: "one-clean", tempo: 70, plays: 4 });
    player.does("offer-declined", { of: "one-clean" });
    expect(advised(player)).toBeUndefined();
  });
});

describe("events from outside", () => {
  test("a malformed event is refused with its kind in the sentence", () => {
    const event = { id: uuid(1), seq: 0, at: Date.UTC(2026, 1), kind: "judged", payload: {} };
    const read = v.safeParse(sessionEventSchema, event);
    expect(read.success).toBe(false);
    expect(read.issues?.[0].message).toContain('"judged"');
  });

  test("whatever happens in whatever order, going on event by event equals replaying", () => {
    const verb = fc.constantFrom<(player: Player) => void>(
      (p) => p.playsAndJudges("c"),
      (p) => p.playsAndJudges("c"),
      (p) => p.playsAndJudges("f", 6),
      (p) => void p.plays(),
      (p) => p.does("tempo-set", { tempo: 67 }),
      (p) => p.does("lowered", { steps: 2 }),
      (p) => p.does("narrowed", { fromBar: 6, toBar: 6 }),
      (p) => p.does("skipped"),
      (p) => p.does("repeated"),
      (p) => p.does("offer-declined", { of: "near-limit" }),
      (p) => p.does("rest-began", { seconds: 60 }),
      (p) => p.does("rest-ended"),
      (p) => p.does("moved-on"),
      (p) => p.does("end-well-began", { tempo: 50 }),
      (p) => lastUndoable(p.events) && p.undoes(),
      (p) => p.events.length && p.does("undone", { event: p.events[p.events.length >> 1]!.id }),
    );
    fc.assert(
      fc.property(fc.array(verb, { maxLength: 40 }), (verbs) => {
        const player = new Player();
        for (const each of verbs) each(player);
        expect(nextTempo(player.state)).toBeGreaterThanOrEqual(10);
      }),
    );
  });
});
