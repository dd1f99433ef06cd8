import type { PlaywrightTestConfig } from "@playwright/test";

/** Chromium as Debian ships it, without a sandbox when run as root, and without a network. */
export const launchOptions = {
  executablePath: process.env.FIDUS_CHROMIUM ?? "/usr/bin/chromium",
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
