import { expect, test } from "@jest/globals";
import { measureOnsets } from "./onsets";

/** A decaying click at each of the samples. */
function recording(at: readonly number[], length = 10_000): Float32Array {
  const samples = new Float32Array(length);
  for (const start of at) {
    for (let i = 0; i < 200; i++) samples[start + i]! += 0.6 * Math.exp(-i / 40) * (1 - i / 200);
  }
  return samples;
}

test("clicks in their places are found there, to the fraction of a sample", () => {
  const report = measureOnsets(recording([1000, 2000, 3001]), [1000, 2000.4, 3000.6]);
  expect(report).toMatchObject({ expected: 3, missing: 0, extra: 0 });
  expect(report.worst).toBeCloseTo(0.4, 9);
});

test("a missing, an extra and a late click are each told", () => {
  expect(measureOnsets(recording([1000, 3000]), [1000, 2000, 3000]).missing).toBe(1);
  expect(measureOnsets(recording([1000, 1600, 2000]), [1000, 2000]).extra).toBe(1);
  expect(measureOnsets(recording([1000, 2040]), [1000, 2000]).worst).toBe(40);
});

test("silence is all missing", () => {
  expect(measureOnsets(new Float32Array(5000), [1000, 2000])).toMatchObject({
    missing: 2,
    extra: 0,
  });
});
