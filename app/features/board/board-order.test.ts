import { expect, test } from "@jest/globals";
import { looksOn, ordered, type Line } from "./board-order";

const line = (name: string, change: Partial<Line> = {}): Line => ({
  ...{ id: name, name, instrument: "oboe", days: [], goal: 60, until: "2026-05-20" },
  ...{
    lessonToday: undefined,
    inGroup: false,
    canMove: true,
    last: undefined,
    looks: [],
    groups: [],
  },
  ...change,
});
const pain = { kind: "pain", day: "2026-05-04" } as const;
const silent = { kind: "silent", days: 7 } as const;
const lines = [
  line("Adela", { until: "2026-05-12" }),
  line("Bram", { looks: [pain, silent], until: undefined }),
  line("Cleo", { lessonToday: "17:00", looks: [silent] }),
  line("Dan", { lessonToday: "15:30", instrument: "treble recorder", groups: ["band"] }),
];
const names = (asked = {}) =>
  ordered(lines, { find: "", order: "look", look: "", group: "", ...asked }).map(
    ({ name }) => name,
  );

test("today's lessons come first by the clock, then who needs a look most, or whose lesson is next", () => {
  expect(names()).toEqual(["Dan", "Cleo", "Bram", "Adela"]);
  expect(names({ order: "lesson" })).toEqual(["Dan", "Cleo", "Adela", "Bram"]);
});

test("what can wait is told and doesn't ask for attention; the more urgent stands first", () => {
  const concert = { kind: "concert", chance: 0.1 } as const;
  const question = { kind: "question", count: 1, first: "May I?" } as const;
  const behind = { kind: "behind", title: "Reel", days: 4 } as const;
  const some = [
    line("Waits", { looks: [concert, behind] }),
    line("Silent", { looks: [silent, concert, behind] }),
    line("Asks", { looks: [question] }),
    line("Hurts", { looks: [pain] }),
  ];
  const asked = { find: "", order: "look", look: "", group: "" } as const;
  const order = (change = {}) => ordered(some, { ...asked, ...change }).map(({ name }) => name);
  expect(order()).toEqual(["Hurts", "Asks", "Silent", "Waits"]);
  expect(order({ look: "any" })).not.toContain("Waits");
  expect(names({ group: "band" })).toEqual(["Dan"]);
});

test("who is looked for is found by name or instrument, and by what needs a look", () => {
  expect(names({ find: " cle" })).toEqual(["Cleo"]);
  expect(names({ find: "RECORDER" })).toEqual(["Dan"]);
  expect(names({ look: "silent" })).toEqual(["Cleo", "Bram"]);
  expect(names({ look: "any" })).toEqual(["Cleo", "Bram"]);
  expect([...looksOn(lines)]).toEqual([
    ["pain", 1],
    ["silent", 2],
  ]);
});
