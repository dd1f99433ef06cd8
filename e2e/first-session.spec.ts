import { ready } from "./support/ready";
import { expect, test } from "./support/fixtures";

test.use({ rate: 1 });

test("from nothing to a played and logged session", async ({ teacher, player, page }) => {
  await teacher.opensARoom();
  await teacher.addsAPiece();
  await teacher.dragsOverBars(3, 4);
  await teacher.cuts();
  await teacher.drawsTheLadder();
  await teacher.setsIt();
  await player.goesToTheStand();
  await player.starts();
  await player.seesTempo(200);
  await player.playsClean(2);
  await player.seesTempo(210);
  await player.sees("0 of 2");
  await player.playsFlawed();
  await player.playsClean(2);
  await player.seesTempo(220);
  await player.playsClean(2);
  await expect(page.getByRole("heading", { name: "The target is reached." })).toBeVisible();
  await player.button(/^One slow, careful run/).click();
  await player.seesTempo(154);
  await player.playsClean();

  await page.waitForURL(/\/sessions\/[0-9a-f-]{36}$/);
  await expect(page.getByText("200 →")).toContainText("= 220");
  await expect(page.getByText("6 of 7 clean").first()).toBeVisible();
  await page.getByLabel("One line for the log").fill("The turn in bar 4 is late.");
  await page.getByRole("button", { name: "Write it down" }).click();
  await expect(page.getByText("The turn in bar 4 is late.")).toBeVisible();

  await page.getByRole("link", { name: "Back to today" }).click();
  await expect(page.getByText("= 200")).toBeVisible();
  await page.getByRole("link", { name: "Week" }).click();
  await expect(page.getByText("Today: The Ferry at Low Water")).toBeVisible();
});

test(
  "the whole way with the keyboard alone",
  { tag: "@main" },
  async ({ teacher, player, page }) => {
    await teacher.opensARoom();
    await teacher.addsAPiece();
    await expect(page).toHaveURL(/pieces\/[0-9a-f-]{36}/);
    await ready(page);
    await page.locator('[data-bar="1"]').focus();
    await page.keyboard.press("ArrowRight");
    await page.keyboard.press("Shift+ArrowRight");
    await expect(page.getByRole("heading", { name: "Cut bars 2–3" })).toBeVisible();
    await page.getByRole("button", { name: "Cut and set a ladder" }).focus();
    await page.keyboard.press("Enter");
    await page.waitForURL(/\/ladder$/);
    await ready(page);
    await page.getByRole("button", { name: "Set this ladder" }).focus();
    await page.keyboard.press("Enter");
    await page.waitForURL(/\/today$/);
    // Not "Start higher", which the workshop may offer until it has gone.
    await page.getByRole("button", { name: /^Start, / }).focus();
    await page.keyboard.press("Enter");
    await page.waitForURL(/\/stand$/);
    // Through the tasks before the passage with the pedal's key alone.
    await expect(player.button("Begin")).toBeEnabled();
    const told = () =>
      page.evaluate(() => document.querySelector("[data-task]")?.textContent ?? "");
    for (let shown = await told(); shown !== ""; shown = await told()) {
      await page.keyboard.press("PageDown");
      await expect.poll(told).not.toBe(shown);
    }
    await expect(player.button(/^(Start|Go on)$/)).toBeEnabled();
    await page.keyboard.press("Space");
    await player.playsClean();
    await player.sees(/^1 of/);
    await page.keyboard.press("u");
    await player.sees(/^0 of/);
    await page.keyboard.press("?");
    await expect(page.getByRole("dialog", { name: "Keys and pedals" })).toBeVisible();
    await page.keyboard.press("Escape");
    await page.keyboard.press("Space");
  },
);
