import { ready } from "./support/ready";
import { expect, test } from "./support/fixtures";

test("the network is gone for a while: playing goes on, and all arrives afterwards", async ({
  teacher,
  player,
  page,
  context,
}) => {
  await player.goesToTheStand(await teacher.setsToday({ clean: 6 }));
  await player.starts();
  await player.playsClean();
  await context.setOffline(true);
  await player.playsClean(2);
  await player.sees("3 of 6");
  await expect(page.getByText(/Kept on this device/)).toBeVisible();
  await page.keyboard.press("h");
  await expect(page.getByText(/goes to the desk when the connection is back/)).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText(/goes to the desk/)).toBeHidden({ timeout: 20_000 });
  await page.getByRole("link", { name: "To the summary" }).click();
  await expect(page.getByText("3 of 3 clean").first()).toBeVisible();
});

test("a line written at the desk while the stand is open: both are kept, in order", async ({
  teacher,
  player,
  page,
  context,
}) => {
  await player.goesToTheStand(await teacher.setsToday({ clean: 6 }));
  await player.starts();
  await player.playsClean();
  await player.sees("1 of 6");
  await expect(page.getByText("All kept")).toBeVisible();

  const desk = await context.newPage();
  await desk.goto(page.url().replace(/\/stand$/, ""));
  await ready(desk);
  await desk.getByLabel("One line for the log").fill("Listening from the next room.");
  await desk.getByRole("button", { name: "Write it down" }).click();
  await expect(desk.getByText("Listening from the next room.")).toBeVisible();

  await page.bringToFront();
  await player.playsClean();
  await expect(page.getByTestId("count")).toHaveText(/[23] of 6/);
  await expect(page.getByText("All kept")).toBeVisible();
  await desk.reload();
  await expect(desk.getByText("Listening from the next room.")).toBeVisible();
  await expect(desk.getByText(/2 of 2 clean/).first()).toBeVisible();
  await desk.close();
});

test("a whole session with the pedal alone", async ({ teacher, player, page }) => {
  await player.goesToTheStand(await teacher.setsToday({ clean: 1, target: 210, offerAfter: 2 }));
  await expect(player.button(/^Start$/)).toBeEnabled();
  await page.keyboard.press("PageDown");
  await player.playsClean();
  await player.seesTempo(210);
  await player.playsFlawed(2);
  await expect(page.getByRole("heading", { name: /Another way/ })).toBeVisible();
  await page.waitForTimeout(900);
  await page.keyboard.press("PageUp");
  await player.seesTempo(200);
  await player.playsClean(2);
  await expect(page.getByRole("heading", { name: "The target is reached." })).toBeVisible();
  await page.waitForTimeout(900);
  await page.keyboard.press("PageDown");
  await player.playsClean();
  await page.waitForURL(/\/sessions\/[0-9a-f-]{36}$/);
});
