import { describe, expect, test } from "@jest/globals";
import { gradeOf, USUAL_RULE } from "~/core/week";
import type { Report } from "~/features/report/report-shapes";
import { draw } from "./drawing.server";

const did = { weeks: 4, minutes: 480, days: 20, items: { asked: 12, done: 9 } };
const line = (n: number): Report["lines"][number] => ({
  ...{ since: n === 1 ? "2026-05-11" : undefined, weeks: 4 },
  ...{ id: `${n}`, name: `Žofie ${n}`, instrument: "oboe", days: 20, minutes: 480 },
  ...{ byHand: 30, sessions: 22, regularity: 0.7, items: did.items, ratings: ["well done"] },
  takes: { asked: 4, handedIn: 3, late: 1 },
  grade: gradeOf(USUAL_RULE, { ...did, takes: { asked: 4, handedIn: 3 } }),
});
const report = (students: number): Report => ({
  room: "The Boathouse",
  query: { group: "", person: "", from: "2026-05-04", to: "2026-05-31" },
  who: undefined,
  groups: [],
  students: [],
  rule: USUAL_RULE,
  lines: Array.from({ length: students }, (_, n) => line(n)),
});
const pages = async (students: number) => {
  const pdf = await draw({ kind: "report", report: report(students), locale: "en-GB" });
  return pdf.toString("latin1").match(/\/Type \/Page\b/g)!.length;
};

describe("a report on paper", () => {
  test("has as many pages as its students need", async () => {
    expect(await pages(1)).toBe(1);
    expect(await pages(40)).toBeGreaterThan(2);
  });
});
