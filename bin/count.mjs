// Adds up what the runners counted and prints it, alone on the last line.
// Usage: count.mjs FAILED_STEPS. A step that failed without a failing test counts as one.
import { readFileSync } from "node:fs";

const read = (file) => {
  try {
    return JSON.parse(readFileSync(file, "utf8"));
  } catch {
    return undefined;
  }
};

const failedSteps = Number(process.argv[2] ?? 0);
const unit = read("test-results/unit.json");
const browser = read("test-results/browser.json")?.stats;
// A journey that went right only when tried again did not pass.
const unsteady = (browser?.unexpected ?? 0) + (browser?.flaky ?? 0);
const passed = (unit?.numPassedTests ?? 0) + (browser?.expected ?? 0);
const failedTests = (unit?.numFailedTests ?? 0) + (unit?.numFailedTestSuites ?? 0) + unsteady;
const failed = Math.max(failedTests, failedSteps);
process.stdout.write(`${passed} passed, ${failed} failed\n`);
process.exit(failed > 0 || passed === 0 ? 1 : 0);
