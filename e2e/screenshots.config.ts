import { defineConfig } from "@playwright/test";
import { browserSettings } from "./support/browser";

/** Takes the pictures of docs/screenshots; `npm run screenshots`. */
export default defineConfig({
  testDir: ".",
  testMatch: "screenshots.ts",
  workers: 1,
  timeout: 300_000,
  reporter: "list",
  outputDir: "../test-results/screenshots",
  use: { ...browserSettings, trace: "off" },
});
