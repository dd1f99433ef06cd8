import { expect, test } from "@jest/globals";
import { dueDay, takeState } from "./take-state";

const LESSON = "2026-05-12";
const handed = {
  on: "2026-05-11",
  due: "2026-05-10",
  answer: null,
  rating: "",
  takeId: "8f2f7a1e-0000-4000-8000-000000000001",
};

test("a take is due on its own day, else at the lesson; open until that day is over", () => {
  expect(dueDay({ due: null }, LESSON)).toBe(LESSON);
  expect(dueDay({ due: "2026-05-10" }, LESSON)).toBe("2026-05-10");
  expect(takeState(undefined, LESSON, LESSON)).toMatchObject({ state: "open", late: false });
  expect(takeState(undefined, LESSON, "2026-05-13")).toMatchObject({ state: "missing" });
});

test("what was handed in waits until it is answered, and is late by the day on which it came", () => {
  const waiting = takeState(handed, LESSON, LESSON);
  expect(waiting).toMatchObject({ state: "waiting", late: true, due: handed.due });
  const heard = takeState({ ...handed, on: handed.due, answer: "heard" }, LESSON, "2026-06-01");
  expect(heard).toMatchObject({ state: "heard", late: false, takeId: handed.takeId });
});
