import { describe, expect, test } from "@jest/globals";
import * as v from "valibot";
import { aLadder, barsOf } from "~/core/ladder/test/fixtures";
import { bpm } from "~/core/units";
import {
  advance,
  breatheNow,
  currentBlock,
  firmingOffered,
  initialState,
  layerNow,
  nextLoop,
  nextTempo,
  progressNow,
  redrawnFrom,
  replay,
  rungNow,
  sessionEventSchema,
  summarise,
  type EventKind,
  type SessionEvent,
} from ".";
import { planFrom } from "./test/plans";

const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, "0")}`;
const even = { name: "even-steps", numbers: { step: 10 } };

/** At the stand with one ladder over bars 3–6 of a longer piece; every step is checked by replay. */
class Stand {
  private readonly plan;
  private events: SessionEvent[] = [];
  state;

  constructor(school: object, change: object = {}, block: object = {}) {
    const all = barsOf(9);
    this.plan = planFrom([
      {
        passageId: uuid(1),
        pieceTitle: "Two Ducks",
        passageName: "",
        focus: "",
        fromBar: 3,
        toBar: 6,
        pickupBeats: 0,
        endBeats: 0,
        bars: all.slice(2, 6),
        around: { before: all.slice(0, 2), after: all.slice(6, 8) },
        beatUnit: "quarter",
        start: 60,
        ladder: aLadder(school as never, 60, 80, {
          gate: [{ kind: "in-a-row", plays: 2, afterFlawed: "reset" }],
          ...change,
        }),
        ...block,
      },
    ]);
    this.state = initialState(this.plan);
  }

  does(kind: EventKind, payload: object = {}): string {
    const seq = this.events.length;
    const at = Date.UTC(2026, 4, 4) + seq * 9000;
    const event = v.parse(sessionEventSchema, { id: uuid(seq + 10), seq, at, kind, payload });
    this.state = advance(this.state, this.events, event);
    this.events.push(event);
    expect(this.state).toEqual(replay(this.plan, this.events));
    return event.id;
  }

  plays(verdicts: string, bar?: number): this {
    for (const letter of verdicts) {
      const { fromBar, toBar } = this.block.segment;
      const tempo = nextTempo(this.state);
      const range = { fromBar, toBar, complete: true };
      const play = this.does("played", { tempo, seconds: 8, ...range });
      this.does("judged", { play, verdict: letter === "c" ? "clean" : "flawed" });
      if (letter === "f" && bar) this.does("detailed", { play, bar });
    }
    return this;
  }

  get block() {
    return currentBlock(this.state).state;
  }

  get rung() {
    return rungNow(this.block);
  }
}

const after = (then: string, more: object = {}) => ({
  afterFlawed: { plays: 2, then, steps: 1, seconds: 45, ...more },
});

describe("what was passed", () => {
  const passed = ({ state }: Stand) => summarise(state)[0]!.passed.map(({ tempo }) => tempo + 0);
  const reached = ({ state }: Stand) => summarise(state)[0]!.reachedTempo;

  test("is a rung whose gate passed with a clean play at that tempo; skipping is not", () => {
    const stand = new Stand(even).plays("cc");
    stand.does("skipped");
    expect([passed(stand), reached(stand)]).toEqual([[60], 60]);
  });

  test("a verdict counts for the tempo at which it was played, and for no other", () => {
    const stand = new Stand(even);
    const range = { fromBar: 3, toBar: 6, complete: true };
    const play = stand.does("played", { tempo: 60, seconds: 8, ...range });
    stand.does("tempo-set", { tempo: 64 });
    stand.does("judged", { play, verdict: "clean" });
    expect(stand.block.counted).toEqual([]);
    expect(stand.plays("cc").block.passed).toEqual([{ rung: 0, tempo: 64 }]);
  });

  test("a word to breathe with is shown where the tempo goes up, until that was played once", () => {
    const said = (stand: Stand) => breatheNow(stand.state);
    const stand = new Stand(even, { breathe: "shoulders, jaw, breath" });
    expect(said(stand)).toBeUndefined();
    expect(said(stand.plays("cc"))).toBe("shoulders, jaw, breath");
    expect(said(stand.plays("f"))).toBeUndefined();
    expect(said(new Stand(even).plays("cc"))).toBeUndefined();
    // Lower again, nothing is said.
    const lowered = new Stand(even, { breathe: "jaw" }).plays("cc");
    lowered.does("lowered", { steps: 1 });
    expect(said(lowered)).toBeUndefined();
  });

  test("whatever comes of it, half of the plays must have been clean", () => {
    const gate = { gate: [{ kind: "played", plays: 3 }] };
    expect(reached(new Stand(even, gate).plays("fff"))).toBeUndefined();
    expect(reached(new Stand(even, gate).plays("cff"))).toBeUndefined();
    expect(reached(new Stand(even, gate).plays("ccf"))).toBe(60);
  });

  test("a tempo tapped before anything was played draws the ladder anew, and undo takes it back", () => {
    const span = { name: "comfort-span", numbers: { step: 6, steps: 1, hold: 60 } };
    const stand = new Stand(span);
    const [plan] = stand.state.plan.blocks;
    const event = stand.does("redrawn", redrawnFrom(plan!, bpm(70)));
    expect(stand.block.rungs.map(({ tempo }) => tempo + 0)).toEqual([70, 64, 70, 76, 70]);
    stand.does("undone", { event });
    expect(stand.block.rungs[0]!.tempo).toBe(60);
  });
});

describe("at the ceiling", () => {
  const marks = { in: "marks", below: 1, plays: 2, above: 1, over: 1 };
  const consolidate = { name: "consolidate", numbers: marks };

  test("it is made firm at one press: many a little below, then at it, nothing faster", () => {
    const stand = new Stand(even, after("ask")).plays("ff");
    // Nothing was passed yet: that is no ceiling.
    expect(firmingOffered(stand.state)).toBeUndefined();
    stand.does("offer-declined");
    stand.plays("cc").plays("ff");
    const offered = firmingOffered(stand.state)!;
    stand.does("firmed", offered);
    expect([stand.block.tempo, stand.rung.gate]).toEqual([66, [{ kind: "played", plays: 12 }]]);
    stand.plays("cccccccccccc");
    expect(stand.block.tempo).toBe(70);
    stand.plays("cc");
    expect(stand.block).toMatchObject({ toppedOut: true, firming: true });
    expect(summarise(stand.state)[0]!.reachedTempo).toBe(70);
  });

  test("after tension nothing is played beyond what is to be made firm", () => {
    const eased = new Stand(consolidate).plays("cc");
    expect(eased.rung.beyond).toBe(true);
    const tense = new Stand(consolidate).plays("f");
    const play = tense.state.plays.at(-1)!.id;
    tense.does("detailed", { play, what: "tension" });
    expect([tense.plays("c").rung.beyond, tense.block.tempo]).toEqual([false, 80]);
  });
});

describe("tasks that alternate", () => {
  test("take turns from play to play, and only what is as it should be enters the record", () => {
    const items = [
      { name: "left hand", full: false },
      { name: "both hands", full: true },
    ];
    const tasks = { of: "tasks", order: "by-play", items };
    const phases = [{ school: even, start: null, target: null, tasks }];
    const stand = new Stand(even, { phases });
    expect(layerNow(stand.state)?.name).toBe("left hand");
    stand.plays("c");
    expect(layerNow(stand.state)?.name).toBe("both hands");
    stand.plays("c");
    expect(stand.state.plays.map(({ layer }) => layer)).toEqual(["left hand", undefined]);
    expect(stand.block.tempo).toBe(70);
    expect(summarise(stand.state)[0]!.reachedTempo).toBeUndefined();
  });
});

describe("after so many flawed plays, by itself", () => {
  test("goes lower by so many rungs", () => {
    const stand = new Stand(even, after("lower", { steps: 2 })).plays("cccc");
    expect(stand.block.tempo).toBe(80);
    expect(stand.plays("ff").block).toMatchObject({ tempo: 60, rung: 0, flawedOnRung: 0 });
  });

  test("takes a rest of so many seconds", () => {
    const stand = new Stand(even, after("rest")).plays("ff");
    expect(stand.state.resting).toMatchObject({ seconds: 45 });
    expect(stand.block.flawedOnRung).toBe(0);
  });

  test("cuts around the flawed bars, as soon as it is known where", () => {
    const stand = new Stand(even, after("cut")).plays("ff").plays("ff", 4);
    expect(stand.block.extent).toBe("rung");
    stand.plays("f", 4);
    expect(stand.block).toMatchObject({ extent: "narrowed", segment: { fromBar: 4, toBar: 4 } });
    expect(stand.plays("cc").block).toMatchObject({ extent: "rung", tempo: 60, passed: [] });
  });

  test("leaves it for today, until it is taken up again", () => {
    const stand = new Stand(even, after("leave")).plays("ff");
    expect(stand.block.left).toBe(true);
    stand.does("repeated");
    expect(stand.block.left).toBe(false);
  });
});

describe("in context before it counts", () => {
  test("the bars around are played with it, once clean, at the last rung or at each", () => {
    const top = new Stand(even, { inContext: { bars: 1, at: "top" } }).plays("cccccc");
    expect(top.block).toMatchObject({ extent: "context", segment: { fromBar: 2, toBar: 7 } });
    expect(top.block.toppedOut).toBe(false);
    expect(nextLoop(top.state, undefined).bars.map(({ number }) => number)).toEqual([
      2, 3, 4, 5, 6, 7,
    ]);
    expect(top.plays("fc").block.toppedOut).toBe(true);
    expect(top.state.plays.at(-1)?.share).toBeCloseTo(1.5, 12);
    const each = new Stand(even, { inContext: { bars: 2, at: "each-rung" } }).plays("cc");
    expect(each.block).toMatchObject({ extent: "context", tempo: 60 });
    expect(each.plays("c").block).toMatchObject({ extent: "rung", tempo: 70 });
  });
});

describe("rungs with parts, tasks and cycles", () => {
  test("a chain plays its links; only the whole passage says what was reached", () => {
    const chain = { name: "woven-chain", numbers: { unit: "bar", size: 1, step: 20, window: 8 } };
    const stand = new Stand(chain).plays("cccc");
    expect(stand.rung.links).toEqual({ from: 1, to: 2, of: 4 });
    expect(stand.block.segment).toMatchObject({ fromBar: 3, toBar: 4 });
    expect(stand.state.plays[0]).toMatchObject({ fromBar: 3, toBar: 3, share: 0.25 });
    expect(summarise(stand.state)[0]).toMatchObject({
      reachedTempo: undefined,
      place: { phase: 0, stage: 1 },
      way: "woven-chain",
    });
  });

  test("a link of beats begins in the middle of its bar and ends there", () => {
    const chain = { name: "woven-chain", numbers: { unit: "beat", size: 2, step: 20, window: 8 } };
    const stand = new Stand(chain, {}, { place: { phase: 0, stage: 1 } });
    stand.plays("cc");
    expect(stand.rung.segment).toMatchObject({ fromBar: 3, toBar: 3, startBeat: 0, endBeats: 0 });
    const loop = nextLoop(stand.state, undefined);
    expect(loop).toMatchObject({ leadBeats: 0, endBeats: 0 });
    const second = new Stand(chain, {}, { place: { phase: 0, stage: 1 } }).block.rungs[1]!;
    expect(second.links).toMatchObject({ from: 1, to: 2 });
  });

  test("a cycle is one play for the gate, known by its fast tempo", () => {
    const numbers = { step: 5, ratio: 2, slow: 2, fast: 1, mostFast: 1 };
    const stand = new Stand({ name: "burst", numbers }, {}, { start: 35 });
    const loop = nextLoop(stand.state, undefined);
    expect(loop.plays.map(({ tempo, pace }) => `${pace} ${tempo}`)).toEqual([
      ...["slow 35", "slow 35", "fast 70"],
    ]);
    stand.plays("cc");
    expect(stand.state.plays[0]).toMatchObject({ tempo: 35, top: 70 });
    expect(summarise(stand.state)[0]?.reachedTempo).toBe(70);
    stand.does("tempo-set", { tempo: 38 });
    expect(nextLoop(stand.state, undefined).plays.at(-1)).toMatchObject({ tempo: 76 });
  });

  test("a layer says nothing of the tempo that was reached", () => {
    const layers = ["clap", "play"].map((name) => ({ name, clean: 0 }));
    const stand = new Stand({ name: "layers", numbers: { layers } }).plays("cc");
    expect(stand.state.plays[0]).toMatchObject({ layer: "clap" });
    expect(summarise(stand.state)[0]?.reachedTempo).toBeUndefined();
    expect(summarise(stand.plays("cc").state)[0]).toMatchObject({ reachedTempo: 80 });
  });
});

describe("gates that wait for more than verdicts", () => {
  test("saying that it is easy counts from then on, on this rung only", () => {
    const stand = new Stand(even, { gate: [{ kind: "easy" }] });
    stand.does("eased");
    expect(stand.block.tempo).toBe(70);
    expect(progressNow(stand.block).passed).toBe(false);
  });

  test("held for so many seconds, whatever comes of it", () => {
    const span = { name: "comfort-span", numbers: { step: 6, steps: 1, hold: 15 } };
    const stand = new Stand(span).plays("ff");
    expect(stand.block).toMatchObject({ tempo: 54, rung: 1 });
  });
});
