import { afterEach, beforeEach, expect, jest, test } from "@jest/globals";
import { DigitEntry } from "./digit-entry";

let chosen: number[];
let entry: DigitEntry;
const press = (digit: number, bars: number) =>
  entry.press(digit, bars, (place) => chosen.push(place));
beforeEach(() => {
  jest.useFakeTimers();
  chosen = [];
  entry = new DigitEntry();
});
afterEach(() => {
  jest.useRealTimers();
});

test("up to nine bars a digit is a bar, at once; none beyond the passage", () => {
  for (const digit of [3, 9, 4]) press(digit, 4);
  expect(chosen).toEqual([3, 4]);
});

test("0 is the tenth", () => {
  press(0, 10);
  expect(chosen).toEqual([10]);
});

test("above nine bars two digits within 0.7 s are one number, one alone is itself", () => {
  press(1, 16);
  press(2, 16);
  expect(chosen).toEqual([12]);
  press(1, 16);
  jest.advanceTimersByTime(699);
  expect(chosen).toEqual([12]);
  jest.advanceTimersByTime(2);
  expect(chosen).toEqual([12, 1]);
  // 5 can't begin a number up to 16; 1 and then 9 are two bars.
  press(5, 16);
  press(1, 16);
  press(9, 16);
  expect(chosen).toEqual([12, 1, 5, 1, 9]);
});
