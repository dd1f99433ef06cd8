import { expect, test, type Page } from "@playwright/test";
import { Player } from "./support/player";
import { ready } from "./support/ready";
import { demoClock } from "./support/fast-clock";
import { FidusServer, throwAwayDirectory } from "./support/server";
import { comesIn, views } from "./support/views";

const FOLDER = "docs/screenshots";
const DESK = { width: 1280, height: 800 };

const STILL_MS = 600;

/** Until nothing has changed on the page for a while: tables and notes come in more than one step. */
const stands = (page: Page) =>
  page.evaluate(
    (still) =>
      new Promise<void>((resolve) => {
        let timer = setTimeout(resolve, still);
        const again = () => {
          clearTimeout(timer);
          timer = setTimeout(resolve, still);
        };
        new MutationObserver(again).observe(document, {
          subtree: true,
          childList: true,
          attributes: true,
        });
      }),
    STILL_MS,
  );

const shoot = (page: Page, name: string) =>
  page.screenshot({ path: `${FOLDER}/${name}.png`, animations: "disabled", caret: "initial" });

/** Looked at by the journeys, but not shown: fewer than twenty pictures are kept. */
const NOT_SHOWN: ReadonlySet<string> = new Set([
  "sign-in",
  "times",
  "new-piece",
  "sound-check",
  "access",
  "room",
  "concert",
  "records",
  "set-for-group",
  "my-week",
  "log",
  "chain",
]);

/** The first practice after a lesson opens with the teacher's words. */
async function pastTheOpening(page: Page): Promise<void> {
  const begin = page.getByRole("button", { name: "Go to the stand" });
  await page.locator("main[data-transport]").waitFor();
  await ready(page);
  // The sheet comes with the stand, or not at all.
  await begin.click({ timeout: 2000 }).catch(() => undefined);
}

/** A part without a click: what to do, and how long. */
async function shootATask(page: Page, address: string): Promise<void> {
  await comesIn(page, address, "Bram Oyelaran");
  await page.goto(page.url().replace(/\/students\/([^/]+).*$/, "/students/$1/today"));
  await page.waitForLoadState("networkidle");
  const player = new Player(page);
  await player.startsTheSession();
  await pastTheOpening(page);
  await player.button("Begin").click();
  await page.getByRole("button", { name: /^Done/ }).waitFor();
  await shoot(page, "stand-task");
}

/** The stand in the middle of things: at the desk's size, on a tablet in the dark, on a phone. */
async function shootTheStand(page: Page, open: (page: Page) => Promise<void>): Promise<void> {
  await page.setViewportSize(DESK);
  await open(page);
  const player = new Player(page);
  await player.starts();
  await player.playsClean();
  await player.playsThrough();
  await shoot(page, "stand");
  await player.marksFlawed();
  await player.hears("play");
  await page.setViewportSize({ width: 1024, height: 768 });
  await page.getByRole("button", { name: "Dark" }).click();
  await page.mouse.move(500, 300);
  await shoot(page, "stand-tablet-dark");
  await player.playsThrough();
  await page.getByRole("button", { name: "Light" }).click();
  await page.setViewportSize({ width: 390, height: 844 });
  await page.mouse.move(200, 300);
  // The notes are engraved anew for the width.
  await expect(page.locator("main svg .staff").first()).toBeVisible();
  await page.waitForLoadState("networkidle");
  await page.waitForTimeout(1000);
  await shoot(page, "stand-phone");
}

/** Two takes of the same bars, one above the other, in the middle of being heard. */
async function shootATake(page: Page, address: string): Promise<void> {
  await page.context().clearCookies();
  await page.goto(`${address}/sign-in`);
  await page.getByText("Players of The Ropewalk Band").click();
  await page.getByRole("button", { name: "Agnes Tolliver" }).click();
  await page.waitForURL(/\/today$/);
  await page.getByRole("link", { name: /^Your take of/ }).click();
  await page.getByText("Put another take beside it:").getByRole("link").first().click();
  await page.waitForURL(/beside=/);
  await page.getByRole("button", { name: "Play from bar 12" }).click();
  await page.getByRole("button", { name: "Pause" }).click();
  await page.waitForLoadState("networkidle");
  await page.mouse.move(4, 400);
  await page.evaluate(() => scrollTo(0, 0));
  await shoot(page, "take");
}

test("pictures of every main view", async ({ page }) => {
  const { directory, remove } = await throwAwayDirectory();
  const server = await FidusServer.start({ dataDir: directory, demo: true, clock: demoClock() });
  await page.emulateMedia({ reducedMotion: "reduce" });
  for (const { name, open } of views.filter((view) => !NOT_SHOWN.has(view.name))) {
    await page.setViewportSize(DESK);
    if (name === "stand") {
      await shootTheStand(page, (to) => open(to, server.address));
      continue;
    }
    await open(page, server.address);
    await page.waitForLoadState("networkidle");
    await stands(page);
    await page.mouse.move(4, 400);
    await page.evaluate(() => scrollTo(0, 0));
    await shoot(page, name);
  }
  await shootATake(page, server.address);
  await page.setViewportSize({ width: 1024, height: 768 });
  await shootATask(page, server.address);
  await server.stop();
  await remove();
});
