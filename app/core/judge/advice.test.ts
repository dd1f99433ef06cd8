import { describe, expect, test } from "@jest/globals";
import { aLadder } from "~/core/ladder/test/fixtures";
import {
  adviceFor,
  adviceKey,
  changedLadder,
  RULE_NAMES,
  shownAdvice,
  type AdviceFacts,
  type RuleName,
} from ".";

type Passage = AdviceFacts["passages"][number];
type PracticeDay = Passage["days"][number];

const TODAY = "2026-05-20";
const day = (n: number, tempi: readonly (readonly [number, number, number])[], more = {}) =>
  ({
    day: `2026-05-${n}`,
    reached:
      Math.max(...tempi.filter(([, , clean]) => clean >= 3).map(([tempo]) => tempo), 0) ||
      undefined,
    tempi: tempi.map(([tempo, plays, clean]) => ({ tempo, plays, clean })),
    tense: 0,
    ...more,
  }) satisfies PracticeDay;

/** A passage that goes as it should: nothing to say. */
const passage = (change: Partial<Passage> = {}): Passage => ({
  id: "a",
  pieceId: "piece",
  fromBar: 1,
  toBar: 8,
  ladder: aLadder({ name: "even-steps", numbers: { step: 4 } }, 60, 96, {
    gate: [{ kind: "in-a-row", plays: 3, afterFlawed: "reset" }],
  }),
  target: 96,
  start: 68,
  lasts: { tempo: 68, all: 34, playing: 28 },
  comfortable: { value: 72, low: 68, high: 76 },
  ceiling: undefined,
  advised: 70,
  safe: false,
  partAtTarget: 0,
  days: [
    day(18, [
      [64, 4, 4],
      [68, 5, 3],
    ]),
    day(19, [
      [68, 4, 4],
      [72, 5, 4],
    ]),
  ],
  daysOff: 1,
  daysAtTarget: 0,
  flaws: [],
  concert: undefined,
  ...change,
});

const facts = (...passages: readonly Passage[]): AdviceFacts => ({
  today: TODAY,
  passages,
  lastSitting: undefined,
  ear: { listened: 0, kind: 0, hard: 0 },
});
const given = (all: AdviceFacts, rule: RuleName) =>
  adviceFor(all, new Set(RULE_NAMES.filter((name) => name !== rule)));
const says = (rule: RuleName, change: Partial<Passage>) => given(facts(passage(change)), rule)[0];

test("where it goes as it should there is nothing to say", () => {
  expect(adviceFor(facts(passage()), new Set())).toEqual([]);
  expect(adviceFor(facts(), new Set())).toEqual([]);
});

describe("each rule speaks when it should, and of what it saw", () => {
  test("after days off", () => {
    const away = { daysOff: 9, start: 84 };
    expect(says("after-days-off", away)?.saw).toMatchObject({ days: 9, start: 84, advised: 70 });
    expect(says("after-days-off", { ...away, start: 64 })).toBeUndefined();
  });

  test("own ear, too kind or too hard, for what was played last", () => {
    const heard = (listened: number, kind: number, hard: number) => {
      const all = facts(passage({ id: "b", daysOff: 3 }), passage());
      return given({ ...all, ear: { listened, kind, hard } }, "own-ear");
    };
    expect(heard(12, 4, 1)).toMatchObject([
      { passageId: "a", saw: { ear: "kind", times: 4 }, changes: [{ kind: "gate", plays: 4 }] },
    ]);
    expect(heard(12, 0, 3)).toMatchObject([
      { passageId: "a", saw: { ear: "hard", times: 3 }, changes: [{ kind: "gate", plays: 2 }] },
    ]);
    expect(heard(9, 9, 0)).toEqual([]);
    expect(heard(12, 2, 0)).toEqual([]);
    expect(heard(12, 4, 3)).toEqual([]);
  });

  test("steps, larger and smaller", () => {
    const easy = [day(18, [[60, 9, 9]]), day(19, [[64, 9, 9]])];
    expect(says("larger-step", { days: easy })?.changes).toEqual([{ kind: "step", step: 8 }]);
    const falls = [17, 18, 19].map((n) =>
      day(n, [
        [72, 4, 4],
        [76, 4, 1],
      ]),
    );
    expect(says("smaller-step", { days: falls })?.changes).toEqual([{ kind: "step", step: 2 }]);
    expect(says("larger-step", { days: falls })).toBeUndefined();
    expect(says("smaller-step", { days: easy })).toBeUndefined();
  });

  test("down, and not where it starts lower already", () => {
    const days = [
      day(19, [
        [72, 4, 4],
        [80, 8, 1],
      ]),
    ];
    expect(says("go-down", { days, start: 80 })?.saw).toEqual({ tempo: 80, plays: 8, clean: 1 });
    expect(says("go-down", { days, start: 72 })).toBeUndefined();
  });

  test("around the bars where most flaws lie", () => {
    const flaws = [
      { bar: 2, flawed: 1 },
      { bar: 5, flawed: 7 },
    ];
    expect(says("cut-around", { flaws })?.changes).toEqual([
      { kind: "part", fromBar: 5, toBar: 5 },
    ]);
    expect(
      says("cut-around", { flaws: [1, 3, 5, 7].map((bar) => ({ bar, flawed: 3 })) }),
    ).toBeUndefined();
  });

  test("one clean play after flawed ones", () => {
    const loose = aLadder({ name: "even-steps", numbers: { step: 4 } }, 60, 96, {
      gate: [{ kind: "in-all", plays: 1 }],
    });
    const days = [
      day(19, [
        [68, 6, 1],
        [72, 2, 1],
      ]),
    ];
    expect(says("one-clean", { days, ladder: loose })?.saw).toEqual({ tempo: 68, plays: 6 });
    expect(says("one-clean", { days })).toBeUndefined();
  });

  test("the same ceiling on four days", () => {
    const days = [14, 15, 16, 17, 18, 19].map((n) =>
      day(n, [
        [72, 5, 4],
        [76, 5, 1],
      ]),
    );
    const stuck = says("same-ceiling", { days });
    expect(stuck?.saw).toEqual({ days: 4, tempo: 72, target: 96 });
    expect(stuck?.changes.map(({ kind }) => kind)).toEqual(["school", "hidden", "school"]);
    expect(says("same-ceiling", { days: [...days, day(20, [[76, 5, 5]])] })).toBeUndefined();
  });

  test("too much near the limit, and not under a cap", () => {
    const near = {
      ceiling: 76,
      days: [
        day(19, [
          [60, 5, 5],
          [72, 8, 5],
        ]),
      ],
    };
    expect(says("near-limit", near)?.saw).toEqual({ near: 8, plays: 13, ceiling: 76 });
    expect(says("near-limit", { ...near, ceiling: 100 })).toBeUndefined();
  });

  test("tension: a rest, and lower when it comes twice", () => {
    const tense = (count: number) => ({ days: [day(19, [[68, 5, 4]], { tense: count })] });
    expect(says("tension", tense(1))?.changes.map(({ kind }) => kind)).toEqual(["rest"]);
    expect(says("tension", tense(2))?.changes.map(({ kind }) => kind)).toEqual([
      "rest",
      "start-lower",
    ]);
  });

  test("no break for half an hour", () => {
    const sitting = { day: "2026-05-19", unbroken: 42 };
    expect(given({ ...facts(), lastSitting: sitting }, "no-break")).toHaveLength(1);
    expect(given({ ...facts(), lastSitting: { ...sitting, unbroken: 28 } }, "no-break")).toEqual(
      [],
    );
  });

  test("a part that stands goes back into the whole", () => {
    const part = { ladder: { ...passage().ladder, part: { fromBar: 3, toBar: 4 } } };
    expect(says("part-stands", part)).toBeUndefined();
    const [change] = says("part-stands", { ...part, partAtTarget: 1 })!.changes;
    expect(changedLadder(part.ladder, change!)?.part).toBeNull();
  });

  test("behind the date: what would hold", () => {
    const concert = { day: "2026-06-01", chance: 0.2, honest: 84 };
    expect(says("behind-date", { concert })?.changes).toEqual([{ kind: "target", target: 84 }]);
    expect(says("behind-date", { concert: { ...concert, chance: 0.5 } })).toBeUndefined();
  });

  test("the target reached: beyond it, with less of the click", () => {
    const reached = says("target-reached", { safe: true, daysAtTarget: 3 });
    expect(reached?.changes.map(({ kind }) => kind)).toEqual(["overspeed", "school"]);
    expect(says("target-reached", { safe: true, daysAtTarget: 1 })).toBeUndefined();
  });

  test("nothing moved: with something that goes well", () => {
    const same = { days: [18, 19].map((n) => day(n, [[72, 16, 10]])) };
    const well = passage({ id: "b", safe: true, days: [day(10, [[96, 4, 4]])] });
    expect(given(facts(passage(same), well), "nothing-moved")[0]?.saw).toMatchObject({
      passageId: "b",
    });
    expect(given(facts(passage(same)), "nothing-moved")).toEqual([]);
  });

  test("which tempi next, and which bit lags behind", () => {
    const shaky = [
      day(18, [
        [64, 5, 3],
        [68, 5, 3],
        [72, 3, 3],
      ]),
      day(19, [
        [64, 4, 3],
        [68, 4, 2],
      ]),
    ];
    expect(says("what-next", { days: shaky })?.saw).toMatchObject({ shaky: [64, 68], reached: 72 });
    const others = [90, 92].map((value, n) =>
      passage({ id: `o${n}`, comfortable: { value, low: value, high: value } }),
    );
    const lags = given(
      facts(passage({ comfortable: { value: 60, low: 55, high: 64 } }), ...others),
      "weakest-bit",
    );
    expect(lags.map(({ passageId }) => passageId)).toEqual(["a"]);
  });

  test("more waiting than two fifths, of who plays loosely, and nothing once it is short", () => {
    const days = [day(19, [[68, 14, 12]])];
    const waits = { days, lasts: { tempo: 68, all: 21, playing: 12 } };
    const advice = says("waiting", waits);
    expect(advice).toMatchObject({
      saw: { tempo: 68, seconds: 21, waits: 9 },
      changes: [{ kind: "between", seconds: 2 }],
    });
    expect(
      says("waiting", { ...waits, lasts: { tempo: 68, all: 21, playing: 13 } }),
    ).toBeUndefined();
    expect(says("waiting", { ...waits, lasts: undefined })).toBeUndefined();
    expect(
      says("waiting", { ...waits, days: [day(19, [[68, 14, 12]], { tense: 1 })] }),
    ).toBeUndefined();
    const shorter = changedLadder(passage().ladder, advice!.changes[0]!)!;
    expect(shorter.click).toMatchObject({ countIn: { bars: 0.5 }, breather: { seconds: 2 } });
    expect(says("waiting", { ...waits, ladder: shorter })).toBeUndefined();
  });
});

test("at most three are shown, one for each passage; what was put away stays away until it changes", () => {
  const days = [day(19, [[68, 5, 4]], { tense: 2 })];
  const many = ["a", "b", "c", "d"].map((id) => passage({ id, days, daysOff: 4, start: 84 }));
  const all = adviceFor(facts(...many), new Set());
  expect(all.length).toBeGreaterThan(4);
  const shown = shownAdvice(all, new Set());
  expect(shown.map(({ passageId }) => passageId)).toEqual(["a", "b", "c"]);
  const put = new Set([adviceKey(shown[0]!)]);
  expect(shownAdvice(all, put)[0]).not.toEqual(shown[0]);
  const later = many.map((each) => ({ ...each, days: [day(20, [[68, 5, 4]], { tense: 2 })] }));
  expect(shownAdvice(adviceFor(facts(...later), new Set()), put)[0]?.passageId).toBe("a");
  expect(adviceFor(facts(...many), new Set(RULE_NAMES))).toEqual([]);
});

test("a change is one thing, and what makes no ladder is refused", () => {
  const { ladder } = passage();
  expect(changedLadder(ladder, { kind: "hidden" })).toEqual({ ...ladder, hidden: true });
  expect(changedLadder(ladder, { kind: "target", target: 50 })).toMatchObject({
    target: 50,
    start: 50,
  });
  expect(changedLadder(ladder, { kind: "overspeed", percent: 5 })?.overspeed).toEqual({
    in: "percent",
    beyond: 5,
  });
  const school = changedLadder(ladder, { kind: "school", school: "withdraw" });
  expect(school?.phases.map((phase) => phase.school.name)).toEqual(["withdraw"]);
});
