import { readFile } from "node:fs/promises";
import { axeOn } from "./support/axe";
import { expect, test } from "./support/fixtures";

test("a practice track is made of today's ladder, stopped, fitted, and saved", async ({
  teacher,
  page,
}) => {
  await teacher.opensTheWorkshop();
  const passage = page.url().replace(/\/ladder$/, "");
  await teacher.drawsTheLadder({ start: 200, target: 220, step: 10, clean: 1 });
  await teacher.setsIt();
  await page.goto(passage);
  await page.getByRole("link", { name: "Practice track" }).click();
  await expect(page.getByText("3 rungs, 3 plays of each")).toBeVisible();
  await page.getByLabel("Fit it into").fill("1");
  await page.getByRole("button", { name: "Fit", exact: true }).click();
  const told = page.getByText(/3 rungs, \d+ plays of each: (\d+ s|1 min 00 s)/);
  await expect(told).toBeVisible();
  await page.getByLabel("Plays of each rung").fill("20");
  await page.getByRole("button", { name: "Make the track" }).click();
  await page.getByRole("button", { name: "Stop making it" }).click();
  await expect(page.getByRole("button", { name: "Make the track" })).toBeEnabled();
  await page.getByLabel("Plays of each rung").fill("1");
  await page.getByLabel("File", { exact: true }).click();
  await page.getByRole("option", { name: "WAV, 16 bit" }).press("Enter");
  const seconds = Number(/: (\d+) s/.exec(await page.getByText(/1 play of each/).innerText())![1]);
  await page.getByRole("button", { name: "Make the track" }).click();
  const { violations } = await axeOn(page).analyze();
  expect(violations).toEqual([]);
  const [saved] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("link", { name: "Save the file" }).click(),
  ]);
  expect(saved.suggestedFilename()).toMatch(/^The Ferry at Low Water, bars .*200–220\.wav$/);
  const file = await readFile(await saved.path());
  expect(file.subarray(0, 4).toString()).toBe("RIFF");
  // 44,100 samples a second of two bytes, told in whole seconds.
  expect(Math.abs(file.length / 88_200 - seconds)).toBeLessThan(1);
});
