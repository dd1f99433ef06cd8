import { expect, test } from "./support/fixtures";
import { ready } from "./support/ready";

/** Slow enough to press something while a play is on, on the fast clock. */
const SLOW = { start: 20, target: 40, step: 10 } as const;

test("the player sets count-in and breather at the stand, and they stay so until the ladder says otherwise", async ({
  teacher,
  player,
  page,
}) => {
  await teacher.opensTheWorkshop([1, 8]);
  const workshop = page.url();
  await teacher.drawsTheLadder({ ...SLOW, clean: 9 });
  await teacher.setsIt();
  const today = page.url();
  await page.getByText("Order, lengths and verdicts").click();
  await page.getByLabel("When no verdict is given").press("Enter");
  await page.getByRole("option", { name: "in time: go on uncounted" }).press("Enter");
  await player.goesToTheStand();
  await player.button("Count-in").click();
  await page.getByLabel("half a bar").check();
  await page.getByLabel("Between two plays").selectOption("none: go on in time");
  await page.getByRole("button", { name: "Set it" }).click();
  await player.starts();
  await player.playsThrough();
  await player.playsThrough();
  await player.marksClean();
  await player.sees("1 of 9");
  await player.hears("play");
  await expect(page.getByText("All kept")).toBeVisible();

  // The workshop tells it, and reckons by it.
  await page.goto(workshop);
  await ready(page);
  await teacher.unfolds("Between plays");
  await expect(page.getByText(/Tomasz has set: half a bar counted in/)).toBeVisible();

  await player.goesToTheStand(today);
  await expect(player.button("Start")).toBeEnabled();
  await page.keyboard.press("c");
  await expect(page.getByLabel("half a bar")).toBeChecked();
  const breather = page.getByLabel("Between two plays");
  await expect(breather).toHaveValue("in-time");
  // By the keys alone: another breather, and Enter sets it.
  await breather.focus();
  await page.keyboard.press("ArrowDown");
  await expect(breather).toHaveValue("0");
  await page.getByLabel("half a bar").focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("dialog")).toBeHidden();
});

test("the teacher's reminder stands where the tempo goes up, until that rung was played", async ({
  teacher,
  player,
  page,
}) => {
  await teacher.opensTheWorkshop();
  await teacher.drawsTheLadder({ clean: 1 });
  await teacher.unfolds("Between plays");
  await page.getByLabel(/^Reminder/).fill("jaw, breath");
  await teacher.setsIt();
  await player.goesToTheStand();
  const reminder = page.getByTestId("breathe");
  await player.starts();
  await player.playsThrough();
  await expect(reminder).toBeHidden();
  await player.marksClean();
  await player.seesTempo(210);
  await expect(reminder).toHaveText("jaw, breath");
  await player.playsThrough();
  await expect(reminder).toBeHidden();
});
