import { defineConfig } from "@playwright/test";
import { browserSettings } from "./e2e/support/browser";

export default defineConfig({
  testDir: "e2e",
  testMatch: "*.spec.ts",
  fullyParallel: true,
  // Journeys wait for each other less than for the browser, but some of them play in real time.
  workers: 3,
  timeout: 120_000,
  expect: { timeout: 20_000 },
  reporter: [["list"], ["json", { outputFile: "test-results/browser.json" }]],
  outputDir: "test-results/browser",
  use: browserSettings,
});
