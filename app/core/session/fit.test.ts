import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import {
  endsQuietly,
  fitSession,
  isMusic,
  isPlayed,
  longestStretch,
  moved,
  roomForItems,
  stretched,
  USUAL_SHAPE,
  type Candidate,
  type FitRequest,
} from "./index";

const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, "0")}`;

const passage = (n: number, change: Partial<Candidate> = {}): Candidate => ({
  passageId: uuid(n),
  state: "forming",
  technique: false,
  costMinutes: 12,
  gain: 0.02,
  daysSince: 1,
  daysLeft: 30,
  asked: undefined,
  reviewIn: undefined,
  ...change,
});

const candidates = fc.array(
  fc.record({
    state: fc.constantFrom("raw" as const, "forming" as const, "safe" as const),
    technique: fc.boolean(),
    costMinutes: fc.double({ min: 0.1, max: 400, noNaN: true }),
    gain: fc.double({ min: 0, max: 1, noNaN: true }),
    daysSince: fc.option(fc.nat(60), { nil: undefined }),
    daysLeft: fc.option(fc.nat(90), { nil: undefined }),
    asked: fc.oneof(
      fc.constantFrom(undefined, "done" as const, "not-today" as const, "not-asked" as const),
      fc.record({ minutes: fc.integer({ min: 1, max: 40 }) }),
    ),
    reviewIn: fc.option(fc.integer({ min: -9, max: 30 }), { nil: undefined }),
  }),
  { maxLength: 12 },
);

const request = fc
  .record({
    minutes: fc.integer({ min: 5, max: 240 }),
    candidates,
    feeling: fc.constantFrom("fine" as const, "tight" as const, "tired" as const),
  })
  .map(({ candidates: made, ...rest }): FitRequest => ({
    ...rest,
    shape: USUAL_SHAPE,
    candidates: made.map((each, n) => ({ passageId: uuid(n), ...each })),
  }));

describe("a session fitted to its time", () => {
  test("whole minutes that never pass the time, nothing below its minimum or above its most", () => {
    fc.assert(
      fc.property(request, (asked) => {
        const { blocks, minutes, spare } = fitSession(asked);
        expect(blocks.reduce((sum, each) => sum + each.minutes, 0)).toBe(minutes);
        expect(minutes + spare).toBe(asked.minutes);
        for (const { minutes: given, span } of blocks) {
          expect(Number.isInteger(given)).toBe(true);
          expect(given).toBeGreaterThanOrEqual(span.minimum);
          expect(given).toBeLessThanOrEqual(span.maximum);
        }
        // Time is only left over when nothing could be longer.
        const full = blocks.every(
          ({ kind, minutes: m, span }) => kind === "break" || m === span.maximum,
        );
        if (spare > 0) expect(full).toBe(true);
      }),
    );
  });

  test("it never ends on a fast attempt, and breaks lie between blocks", () => {
    fc.assert(
      fc.property(request, (asked) => {
        const { blocks } = fitSession(asked);
        if (asked.candidates.length === 0) return;
        expect(blocks.some(({ passageId }) => passageId)).toBe(true);
        expect(endsQuietly(blocks.at(-1)!.kind)).toBe(true);
        expect(blocks[0]!.kind).not.toBe("break");
      }),
    );
  });

  test("the same request gives the same session, whatever is left out says why", () => {
    fc.assert(
      fc.property(request, (asked) => {
        const session = fitSession(asked);
        expect(fitSession(structuredClone(asked))).toEqual(session);
        const told = [...session.blocks, ...session.leftOut].flatMap(
          ({ passageId }) => passageId ?? [],
        );
        // A long one comes in two parts.
        expect([...new Set(told)].toSorted()).toEqual(
          asked.candidates.map(({ passageId }) => passageId).toSorted(),
        );
      }),
    );
  });

  test("no stretch of playing is longer than it may be", () => {
    fc.assert(
      fc.property(request, fc.constantFrom(undefined, 20), (asked, limit) => {
        let stretch = 0;
        for (const { kind, minutes } of fitSession({ ...asked, stretch: limit }).blocks) {
          stretch = kind === "break" ? 0 : stretch + (isPlayed(kind) ? minutes : 0);
          expect(stretch).toBeLessThanOrEqual(longestStretch(asked.feeling!, limit));
        }
      }),
    );
  });

  test("a break comes after playing, and never between two parts without the instrument", () => {
    fc.assert(
      fc.property(request, fc.constantFrom(undefined, 20), (asked, limit) => {
        const { blocks } = fitSession({ ...asked, stretch: limit });
        const fresh = asked.feeling === "fine" && limit === undefined;
        if (asked.minutes <= 30 && fresh) {
          expect(blocks.map(({ kind }) => kind)).not.toContain("break");
        }
        let played = 0;
        for (const [n, { kind, minutes }] of blocks.entries()) {
          if (kind === "break") {
            expect(played).toBeGreaterThanOrEqual(10);
            const beside = [blocks[n - 1]!, blocks[n + 1]!];
            expect(beside.some((each) => isPlayed(each.kind))).toBe(true);
            played = 0;
          } else if (isPlayed(kind)) played += minutes;
        }
        const breaks = blocks.filter(({ kind }) => kind === "break").map((each) => each.minutes);
        if (breaks.length >= 5) {
          const longest = breaks.indexOf(Math.max(...breaks));
          expect(Math.abs(longest - (breaks.length - 1) / 2)).toBeLessThan(1);
        }
      }),
    );
  });

  test("two thirds of a session are music, also for tight hands", () => {
    fc.assert(
      fc.property(request, (asked) => {
        if (asked.minutes < 15 || asked.candidates.length === 0) return;
        const { blocks, minutes, spare } = fitSession({ ...asked, tasks: [] });
        // Time that nothing played can take.
        if (spare > 0) return;
        const music = blocks.reduce(
          (sum, each) => sum + (isMusic(each.kind) ? each.minutes : 0),
          0,
        );
        expect(music).toBeGreaterThanOrEqual(Math.floor((minutes * 2) / 3));
      }),
    );
  });

  test("what the week asks is given as it was asked, on a day that has the room for it", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 8, max: 240 }),
        fc.array(fc.integer({ min: 3, max: 30 }), { minLength: 1, maxLength: 8 }),
        (minutes, wanted) => {
          const room = roomForItems(minutes);
          let left = room;
          const asked = wanted.filter((each) => each <= left && ((left -= each), true));
          if (asked.length === 0) return;
          const candidates = asked.map((each, n) => passage(n, { asked: { minutes: each } }));
          const { blocks } = fitSession({ minutes, shape: USUAL_SHAPE, candidates });
          const given = blocks.filter(({ passageId }) => passageId);
          const sum = given.reduce((all, each) => all + each.minutes, 0);
          const owed = asked.reduce((all, each) => all + each, 0);
          // An odd cut may need one more break than the minutes alone; a fifth one makes the middle long.
          expect(sum).toBeGreaterThanOrEqual(owed - Math.max(5, owed / 10));
        },
      ),
      // Whole blocks of these lengths would need two more breaks than the minutes do.
      {
        examples: [
          [107, [15, 17, 19, 24, 12]],
          [195, [29, 26, 11, 17, 7, 30, 21, 28]],
        ],
      },
    );
  });

  test("four hours are filled with what is played, not with fillers", () => {
    const seven = Array.from({ length: 7 }, (_, n) => passage(n, { asked: { minutes: 20 } }));
    const { blocks, spare } = fitSession({ minutes: 240, shape: USUAL_SHAPE, candidates: seven });
    const of = (test: (kind: string) => boolean) =>
      blocks.filter(({ kind }) => test(kind)).reduce((sum, each) => sum + each.minutes, 0);
    expect(spare).toBe(0);
    expect(of((kind) => kind === "practising" || kind === "hard")).toBeGreaterThan(130);
    expect(of((kind) => ["free", "listening", "enjoyed"].includes(kind))).toBeLessThan(46);
  });

  test("while it hurts nothing is played; afterwards little, easy, and nothing hard", () => {
    const all = [passage(1, { state: "raw" }), passage(2), passage(3, { state: "safe" })];
    const theory = { itemId: uuid(9), kind: "mental", text: "", minutes: 8, silent: true } as const;
    const of = (change: object) =>
      fitSession({ minutes: 20, shape: USUAL_SHAPE, candidates: all, tasks: [theory], ...change });
    const quiet = of({ feeling: "painful" }).blocks;
    expect(quiet.some(({ passageId }) => passageId)).toBe(false);
    expect(new Set(quiet.map(({ kind }) => kind))).toEqual(new Set(["mental", "listening"]));
    const back = of({ easyAgain: true }).blocks.flatMap(({ passageId }) => passageId ?? []);
    expect(back.toSorted()).toEqual([uuid(2), uuid(3)]);
  });

  test("tight hands are warmed up even in six minutes, and what falls away is named", () => {
    const task = { itemId: uuid(9), kind: "mental", text: "Intervals", minutes: 8 } as const;
    const { blocks, leftOut } = fitSession({
      minutes: 6,
      feeling: "tight",
      shape: USUAL_SHAPE,
      candidates: [passage(1, { gain: 0.3 }), passage(2)],
      tasks: [task],
    });
    expect(blocks.map(({ kind }) => kind)).toEqual(["warm-up", "practising", "slow-finish"]);
    expect(leftOut.map(({ passageId, text }) => passageId ?? text)).toEqual([uuid(2), "Intervals"]);
  });

  test("what is done even on a short day is done in five minutes too", () => {
    const must = { itemId: uuid(9), kind: "warm-up", text: "Long notes", minutes: 4 } as const;
    const { blocks } = fitSession({
      minutes: 5,
      shape: USUAL_SHAPE,
      candidates: [passage(1)],
      tasks: [{ ...must, in: "must-do" }],
    });
    expect(blocks.map(({ kind, minutes }) => [kind, minutes])).toEqual([
      ["warm-up", 1],
      ["hard", 3],
      ["slow-finish", 1],
    ]);
  });

  test("five minutes are the passage that gains most, then its slow finish", () => {
    const { blocks } = fitSession({
      minutes: 5,
      shape: USUAL_SHAPE,
      candidates: [passage(1), passage(2, { gain: 0.4 }), passage(3, { state: "raw", gain: 0.1 })],
    });
    expect(blocks.map(({ kind, minutes, passageId }) => [kind, minutes, passageId])).toEqual([
      ["hard", 4, uuid(2)],
      ["slow-finish", 1, undefined],
    ]);
  });

  test("the hardest comes first of the passages, after the warm-up", () => {
    const { blocks } = fitSession({
      minutes: 45,
      shape: USUAL_SHAPE,
      candidates: [passage(1), passage(2, { state: "raw" }), passage(3, { technique: true })],
    });
    const order = blocks.map(({ kind }) => kind);
    expect(blocks.find(({ kind }) => kind === "hard")!.passageId).toBe(uuid(2));
    expect(order.indexOf("warm-up")).toBeLessThan(order.indexOf("hard"));
    expect(order.indexOf("hard")).toBeLessThan(order.indexOf("practising"));
  });

  test("an hour has a break, four hours have five at most, the longest in the middle", () => {
    const many = Array.from({ length: 14 }, (_, n) => passage(n, { costMinutes: 60 }));
    const breaks = (minutes: number) =>
      fitSession({ minutes, shape: USUAL_SHAPE, candidates: many }).blocks.filter(
        ({ kind }) => kind === "break",
      ).length;
    expect(breaks(30)).toBe(0);
    expect(breaks(60)).toBe(1);
    expect([4, 5]).toContain(breaks(240));
  });

  test("what is safe waits for its review; what the week does not ask today waits as well", () => {
    const { blocks, leftOut } = fitSession({
      minutes: 60,
      shape: USUAL_SHAPE,
      candidates: [
        passage(1, { state: "safe", reviewIn: 4 }),
        passage(2, { state: "safe", reviewIn: -1 }),
        passage(3, { asked: "not-today" }),
        passage(4, { asked: { minutes: 11 } }),
      ],
    });
    const of = (n: number) => blocks.find(({ passageId }) => passageId === uuid(n));
    expect(of(2)!.reason).toEqual({ why: "review", overdue: 1 });
    expect(of(4)!.reason).toEqual({ why: "asked", minutes: 11 });
    expect(leftOut.map(({ reason }) => reason)).toEqual(
      expect.arrayContaining([{ why: "review-later", days: 4 }, { why: "not-today" }]),
    );
  });

  test("when nothing is asked any more, what would do most good is in; what is wanted always", () => {
    const waiting = [
      passage(1, { state: "safe", reviewIn: 9 }),
      passage(2, { asked: "not-today", state: "raw" }),
      passage(3, { asked: "not-today" }),
      passage(4, { asked: "not-asked" }),
    ];
    const reasons = (candidates: Candidate[]) => {
      const { blocks } = fitSession({ minutes: 60, shape: USUAL_SHAPE, candidates });
      return Object.fromEntries(
        blocks.flatMap(({ passageId, reason }) => (passageId ? [[passageId, reason.why]] : [])),
      );
    };
    expect(new Set(Object.values(reasons(waiting)))).toEqual(new Set(["more"]));
    const wanted = waiting.map((each, n) => (n === 0 ? { ...each, wanted: true } : each));
    expect(reasons(wanted)).toEqual({ [uuid(1)]: "wanted", [uuid(4)]: "more" });
  });

  test("tired: more warm-up and less of the hardest", () => {
    const asked = { minutes: 40, shape: USUAL_SHAPE, candidates: [passage(1, { state: "raw" })] };
    const of = (feeling: "fine" | "tired", kind: string) =>
      fitSession({ ...asked, feeling }).blocks.find((each) => each.kind === kind)?.minutes ?? 0;
    expect(of("tired", "warm-up")).toBeGreaterThan(of("fine", "warm-up"));
    expect(of("tired", "hard")).toBeLessThan(of("fine", "hard"));
  });

  test("a shape without a slow finish is given one", () => {
    const shape = USUAL_SHAPE.filter(({ kind }) => kind === "hard");
    const { blocks } = fitSession({ minutes: 20, shape, candidates: [passage(1)] });
    expect(blocks.map(({ kind }) => kind)).toEqual(["hard", "slow-finish"]);
  });
});

describe("a session moved about by hand", () => {
  const session = (minutes: number) =>
    fitSession({
      minutes,
      shape: USUAL_SHAPE,
      candidates: [passage(1), passage(2, { state: "raw" }), passage(3)],
    }).blocks;

  test("a longer block takes from the others, none falls below its minimum, the time stays", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 8, max: 200 }),
        fc.nat(20),
        fc.integer({ min: -5, max: 300 }),
        (time, pick, to) => {
          const before = session(time);
          const { id } = before[pick % before.length]!;
          const after = stretched(before, id, to);
          const sum = (of: typeof before) => of.reduce((all, each) => all + each.minutes, 0);
          expect(sum(after)).toBeLessThanOrEqual(sum(before));
          if (to >= before.find((each) => each.id === id)!.minutes)
            expect(sum(after)).toBe(sum(before));
          for (const each of after)
            if (each.id !== id) expect(each.minutes).toBeGreaterThanOrEqual(each.span.minimum);
        },
      ),
    );
  });

  test("moving keeps every block", () => {
    const before = session(60);
    const after = moved(before, before[0]!.id, 3);
    expect(after[3]).toEqual(before[0]);
    expect(after.map(({ id }) => id).toSorted()).toEqual(before.map(({ id }) => id).toSorted());
  });
});
