import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { gradeOf, USUAL_RULE, type GradeRule, type Practised } from "./grade";

const did = (change: Partial<Practised> = {}): Practised => ({
  weeks: 2,
  minutes: 200,
  days: 8,
  items: { asked: 4, done: 4 },
  takes: { asked: 2, handedIn: 2 },
  ...change,
});

describe("a grade by the teacher's rule", () => {
  test("is a hundred for all that was asked, and explains what each part adds", () => {
    expect(gradeOf(USUAL_RULE, did())!.sum).toBeCloseTo(100);
    const { sum, lines } = gradeOf(
      USUAL_RULE,
      did({ minutes: 100, takes: { asked: 2, handedIn: 1 } }),
    )!;
    expect(sum).toBeCloseTo(40 / 2 + 30 + 15 + 15 / 2);
    expect(lines[0]).toMatchObject({ part: "minutes", done: 100, asked: 200, share: 0.5 });
  });

  test("leaves out what was not asked; the other parts share its weight", () => {
    const nothing = { asked: 0, done: 0 };
    const grade = gradeOf(USUAL_RULE, did({ items: nothing, takes: { asked: 0, handedIn: 0 } }))!;
    expect(grade.sum).toBeCloseTo(100);
    expect(grade.lines.map(({ of }) => Math.round(of))).toEqual([57, 43]);
    const none = { ...USUAL_RULE, weights: { minutes: 0, days: 0, items: 5, takes: 5 } };
    expect(
      gradeOf(none, did({ items: nothing, takes: { asked: 0, handedIn: 0 } })),
    ).toBeUndefined();
  });

  test("ends at the cap, and more practice never lowers it", () => {
    const capped: GradeRule = { ...USUAL_RULE, cap: 120 };
    expect(gradeOf(capped, did({ minutes: 9000 }))!.lines[0]!.share).toBe(1.2);
    fc.assert(
      fc.property(
        fc.nat(2000),
        fc.nat(500),
        fc.integer({ min: 100, max: 150 }),
        (minutes, more, cap) => {
          const rule = { ...USUAL_RULE, cap };
          const [less, most] = [minutes, minutes + more].map(
            (each) => gradeOf(rule, did({ minutes: each }))!.sum,
          );
          expect(most!).toBeGreaterThanOrEqual(less!);
          expect(most!).toBeLessThanOrEqual(cap);
        },
      ),
    );
  });
});
