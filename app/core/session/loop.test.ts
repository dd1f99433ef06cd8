import { describe, expect, test } from "@jest/globals";
import { loopMap } from "~/core/click";
import { LADDER_DEFAULTS } from "~/core/ladder";
import { aLadder } from "~/core/ladder/test/fixtures";
import { bpm } from "~/core/units";
import { advance, endWellTempo, initialState, nextLoop, secondsOfRung, type SessionEvent } from ".";
import { planFrom } from "./test/plans";

const { click } = LADDER_DEFAULTS;
const plan = planFrom([
  {
    passageId: "00000000-0000-4000-8000-000000000001",
    pieceTitle: "Lamplighter's Air",
    passageName: "Long breath",
    focus: "",
    fromBar: 21,
    toBar: 24,
    pickupBeats: 1,
    endBeats: 3,
    bars: [21, 22, 23, 24].map((number) => ({ number, metre: { beats: 6, unit: 8 } })),
    beatUnit: "dotted-quarter",
    start: 40,
    ladder: aLadder({ name: "even-steps", numbers: { step: 4 } }, 36, 66, {
      startRule: { kind: "comfortable" },
      gate: [{ kind: "of-last", plays: 3, window: 4 }],
      minutes: 12,
      click: {
        ...click,
        pattern: { kind: "beats", subdivision: 3 },
        countIn: { ...click.countIn, bars: 2 },
      },
    }),
  },
]);

const after = (...events: Pick<SessionEvent, "kind" | "payload">[]) =>
  events.reduce((state, { kind, payload }, seq) => {
    const id = `00000000-0000-4000-8000-00000000001${seq}`;
    const event = { id, seq, at: 1_770_000_000_000 + seq, kind, payload } as SessionEvent;
    return advance(state, [], event);
  }, initialState(plan));

describe("what the stand plays next", () => {
  test("is the passage as it was cut, at today's start, without a cue", () => {
    const request = nextLoop(after(), undefined);
    expect(request).toMatchObject({ leadBeats: 5, endBeats: 3, plays: [{ tempo: 40 }] });
    expect(request.click.countIn).toMatchObject({ bars: 2, inner: false });
    expect(request.bars.map(({ number }) => number)).toEqual([20, 21, 22, 23, 24]);
    expect(request.tempoChanged).toBe(false);
  });

  test("cut smaller, it leaves out a pickup or an end that belongs to other bars", () => {
    const state = after({ kind: "narrowed", payload: { fromBar: 22, toBar: 23 } });
    const request = nextLoop(state, { tempo: bpm(40), of: "" });
    expect(request).toMatchObject({ leadBeats: 0, endBeats: 0 });
    expect(request.bars).toHaveLength(2);
  });

  test("a cue tells a new tempo, also the slow one at the end", () => {
    const slow = after({ kind: "end-well-began", payload: { tempo: bpm(28) } });
    expect(nextLoop(slow, { tempo: bpm(40), of: "" })).toMatchObject({
      plays: [{ tempo: 28 }],
      tempoChanged: true,
    });
    expect(nextLoop(after(), { tempo: bpm(40), of: "" }).tempoChanged).toBe(false);
  });

  test("a loop lasts exactly as long as its map", () => {
    const [block] = plan.blocks;
    const map = loopMap(nextLoop(after(), undefined));
    const [first] = initialState(plan).blocks[0]!.rungs;
    expect(secondsOfRung(block!, first!)).toBeCloseTo(map.duration, 9);
    const last = map.bars.at(-1)!;
    expect(last.start + last.duration).toBeCloseTo(map.duration, 9);
  });

  test("the slow finish is well below what was worked on, and never below the lowest tempo", () => {
    expect(endWellTempo(after())).toBe(28);
    const slowest = after({ kind: "tempo-set", payload: { tempo: bpm(10) } });
    expect(endWellTempo(slowest)).toBe(10);
  });
});
