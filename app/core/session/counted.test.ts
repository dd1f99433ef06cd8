import { describe, expect, test } from "@jest/globals";
import { currentBlock, progressNow, replay, type SessionPlan } from ".";
import { EventWriter } from "./test/event-writer";
import { planOf } from "./test/plans";

const RANGE = { fromBar: 3, toBar: 4 };

/** Events of one session, by today's rules, with what comes of them. */
class Session extends EventWriter {
  constructor(readonly plan: SessionPlan) {
    super();
    this.write("opened");
  }

  play(tempo = 60, more: object = {}): string {
    return this.write("played", { tempo, seconds: 9, complete: true, ...RANGE, ...more });
  }

  judge(play: string, verdict: "clean" | "flawed"): this {
    this.write("judged", { play, verdict });
    return this;
  }

  get state() {
    return replay(this.plan, this.events);
  }

  get block() {
    return currentBlock(this.state).state;
  }
}

const session = (ladder: object = {}) => new Session(planOf([{ ladder }, {}]));

describe("what is counted", () => {
  test("is the first verdict on a play, never a second over it", () => {
    const stand = session();
    const play = stand.play();
    stand.judge(play, "flawed").judge(play, "clean");
    expect(stand.state.plays[0]!.verdict).toBe("flawed");
    expect(stand.block.counted.map(({ verdict }) => verdict)).toEqual(["flawed"]);
  });

  test("is no play at another tempo, of other bars, or of another rung", () => {
    const stand = session();
    stand.judge(stand.play(66), "clean");
    stand.judge(stand.play(60, { fromBar: 3, toBar: 3 }), "clean");
    const before = stand.play();
    stand.write("skipped");
    stand.judge(before, "clean");
    expect(stand.block.counted).toEqual([]);
    expect(stand.state.plays.map(({ verdict }) => verdict)).toEqual(["clean", "clean", "clean"]);
  });

  test("is tension once for each play, however often it is told", () => {
    const stand = session({ afterFlawed: { plays: 9, then: "ask", steps: 1, seconds: 60 } });
    const play = stand.play();
    stand.judge(play, "flawed");
    for (let n = 0; n < 3; n++) stand.write("detailed", { play, what: "tension" });
    expect(stand.block.tense).toBe(1);
    const next = stand.play();
    stand.judge(next, "flawed").write("detailed", { play: next, what: "tension" });
    expect(stand.block.tense).toBe(2);
  });

  test("in minutes is the playing alone, without count-in and breather", () => {
    const stand = session({ gate: [{ kind: "minutes", minutes: 1, percent: 0 }] });
    for (let n = 0; n < 3; n++) stand.judge(stand.play(60, { seconds: 60, playing: 12 }), "clean");
    expect(progressNow(stand.block).parts[0]!.count).toBeCloseTo(0.6);
  });
});

describe("time at the stand", () => {
  test("counts pauses up to three minutes, and nothing of a longer one", () => {
    const seconds = (pause: number) => {
      const stand = session();
      const before = stand.block.activeSeconds;
      const play = { kind: "noted", payload: { text: "Back again." } } as const;
      const last = stand.events.at(-1)!;
      const at = last.at + pause * 1000;
      stand.events.push({ ...play, id: crypto.randomUUID(), seq: last.seq + 1, at });
      return stand.block.activeSeconds - before;
    };
    expect(seconds(180)).toBe(180);
    expect(seconds(181)).toBe(0);
  });

  test("of the next part begins without the rest of the one before", () => {
    const stand = session();
    stand.write("rest-began", { seconds: 60 });
    expect(stand.state.resting).toBeDefined();
    stand.write("moved-on");
    expect(stand.state.resting).toBeUndefined();
    expect(stand.state.blockIndex).toBe(1);
  });
});
