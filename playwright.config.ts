import { defineConfig } from "@playwright/test";
import { browserSettings, withoutAWindow } from "./e2e/support/browser";

const LONG = /(two-weeks|days)\.spec\.ts$/;
const LOOKS = /looks\.spec\.ts$/;
const SOUND = /(click|demonstration|first-session|stand-live|take)\.spec\.ts$/;

export default defineConfig({
  testDir: "e2e",
  testMatch: "*.spec.ts",
  fullyParallel: true,
  // One for each core of a small machine: journeys that crowd each other out are late, not quick.
  workers: 2,
  timeout: 120_000,
  expect: { timeout: 20_000 },
  reporter: [["list"], ["json", { outputFile: "test-results/browser.json" }]],
  outputDir: "test-results/browser",
  globalSetup: "./e2e/support/one-demo.ts",
  use: browserSettings,
  // The long ones first, so that no core waits for them in the end; the demo room of the next
  // is lived through beside the last of them.
  projects: [
    { name: "long", testMatch: LONG, use: { launchOptions: withoutAWindow } },
    { name: "looks", testMatch: LOOKS, use: { launchOptions: withoutAWindow } },
    { name: "sound", testMatch: SOUND },
    { name: "short", testIgnore: [LONG, LOOKS, SOUND], use: { launchOptions: withoutAWindow } },
  ],
});
