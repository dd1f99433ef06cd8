import { expect, test } from "@jest/globals";
import { addDays } from "~/core/units";
import { needsALook, type StudentFacts } from ".";

const today = "2026-05-04";
const climb = (reached: number[], target = 120) => ({
  title: "Sluice Gate March",
  fromBar: 13,
  toBar: 16,
  target,
  days: reached.map((tempo, i) => ({ day: addDays(today, i - reached.length), reached: tempo })),
});
const facts = (change: Partial<StudentFacts> = {}): StudentFacts => ({
  today,
  lastDay: today,
  painDay: undefined,
  passages: [],
  questions: [],
  felt: undefined,
  behind: [],
  ...change,
});
const kinds = (change: Partial<StudentFacts>) => needsALook(facts(change)).map(({ kind }) => kind);

test("someone who practises and climbs needs no look", () => {
  expect(kinds({ passages: [climb([60, 64, 68, 72, 76, 80, 84, 88])] })).toEqual([]);
});

test("the same ceiling on four days of practice asks for another way", () => {
  expect(kinds({ passages: [climb([76, 84, 88, 88, 88, 84, 88, 88])] })).toEqual(["stuck"]);
});

test("holding the target is not being stuck", () => {
  expect(kinds({ passages: [climb([88, 88, 88, 88, 88, 88, 88, 88], 88)] })).toEqual([]);
});

test("silence and pain come before ceilings, and nothing yet is said as such", () => {
  expect(kinds({ lastDay: addDays(today, -8) })).toEqual(["silent"]);
  expect(kinds({ painDay: addDays(today, -2), passages: [climb(Array(8).fill(88))] })).toEqual([
    "pain",
    "stuck",
  ]);
  expect(kinds({ lastDay: undefined })).toEqual(["nothing-yet"]);
  // Asked for two weeks without anything: that is silence, and nobody new.
  const asked = { lastDay: undefined, askedSince: addDays(today, -14) };
  expect(needsALook(facts(asked))).toEqual([{ kind: "silent", days: 14 }]);
  expect(kinds({ ...asked, askedSince: addDays(today, -2) })).toEqual(["nothing-yet"]);
});
