import { axeOn } from "./support/axe";
import { expect, test } from "./support/fixtures";
import { ready } from "./support/ready";

test("a scale is made, seen while it is made, and played from its notes", async ({
  teacher,
  player,
  page,
  server,
}) => {
  await page.goto(`${server.address}${await teacher.opensARoomAtOnce()}`);
  await page.getByRole("link", { name: "Make a scale or an exercise" }).click();
  await expect(page.getByRole("heading", { name: "Make an exercise" })).toBeVisible();
  await ready(page);
  const notes = page.locator("main svg .note");
  await expect(notes).toHaveCount(15);
  await page.getByLabel("On", { exact: true }).fill("H");
  await expect(page.getByRole("alert")).toContainText("begins with a letter");
  await page.getByLabel("On", { exact: true }).fill("Ab");
  await page.getByLabel("Octaves").fill("5");
  await expect(page.getByRole("alert")).toContainText("the compass ends at");
  await expect(page.getByRole("button", { name: "Lay it on the stand" })).toBeDisabled();
  await page.getByLabel("Octaves").fill("2");
  await page.getByLabel("Highest note").fill("A6");
  await expect(page.getByRole("alert")).toBeHidden();
  await expect(notes).toHaveCount(29);
  await expect(page.getByLabel("Name")).toHaveValue("A♭ major scale, 2 octaves");
  const { violations } = await axeOn(page).analyze();
  expect(violations).toEqual([]);
  await page.getByRole("button", { name: "Lay it on the stand" }).click();

  await expect(page.getByRole("heading", { name: "A♭ major scale, 2 octaves" })).toBeVisible();
  const first = page.getByRole("option", { name: /^bar 1, 4\/4, four flats, 8 notes/ });
  await expect(first).toBeVisible();
  await teacher.dragsOverBars(1, 2);
  await teacher.cuts();
  await teacher.drawsTheLadder({ start: 40, target: 60, clean: 1 });
  await teacher.setsIt();
  await player.goesToTheStand();
  await expect(page.locator("main svg .measure")).toHaveCount(2);
});
