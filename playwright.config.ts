import { defineConfig } from "@playwright/test";
import { browserSettings } from "./e2e/support/browser";

export default defineConfig({
  testDir: "e2e",
  testMatch: "*.spec.ts",
  fullyParallel: true,
  // Most of a journey is waiting while something is played in real time.
  workers: 3,
  // A journey that fails once on a busy machine is told as flaky, not hidden.
  retries: 1,
  timeout: 120_000,
  expect: { timeout: 20_000 },
  reporter: [["list"], ["json", { outputFile: "test-results/browser.json" }]],
  outputDir: "test-results/browser",
  use: browserSettings,
});
