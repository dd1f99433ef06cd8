import type { PlaywrightTestConfig } from "@playwright/test";

const CHROMIUM = process.env.FIDUS_CHROMIUM ?? "/usr/bin/chromium";

/** Chromium as Debian ships it, without a sandbox when run as root, and without a network. */
export const launchOptions = {
  executablePath: CHROMIUM,
  args: [
    "--no-sandbox",
    "--headless=new",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
    "--autoplay-policy=no-user-gesture-required",
  ],
};

/**
 * Chromium without what only a window needs: two thirds of the work for the same pages. Where sound
 * is measured in real time, and for pictures, the whole of it is taken.
 */
export const withoutAWindow = {
  ...launchOptions,
  executablePath: process.env.FIDUS_CHROMIUM_SHELL ?? CHROMIUM,
};

export const contextOptions = {
  viewport: { width: 1280, height: 800 },
  locale: "en-GB",
  timezoneId: "Europe/London",
  // Without this the server would take the browser for a robot's.
  userAgent:
    "Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/156.0.0.0 Safari/537.36",
};

export const browserSettings: NonNullable<PlaywrightTestConfig["use"]> = {
  ...contextOptions,
  // Recording every step costs a third of the time: only when somebody looks for a fault.
  trace: process.env.FIDUS_TRACE ? "retain-on-failure" : "off",
  launchOptions,
};
