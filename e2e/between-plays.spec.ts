import { expect, test } from "./support/fixtures";
import { ready } from "./support/ready";

/** Slow enough to press something while a play is on, on the fast clock. */
const SLOW = { start: 20, target: 40, step: 10 } as const;

test("going on in time: a verdict belongs to the play before, and the running one is finished", async ({
  teacher,
  player,
  page,
}) => {
  await teacher.opensTheWorkshop([1, 8]);
  await teacher.drawsTheLadder({ ...SLOW, clean: 2 });
  await teacher.unfolds("Between plays");
  await page.getByLabel("Between two plays").press("Enter");
  await page.getByRole("option", { name: "none: go on in time" }).press("Enter");
  await teacher.setsIt();
  await player.goesToTheStand();
  await player.starts();
  const main = page.locator("main");

  // The second play is on when the first is judged, and the third when the second is.
  await player.playsThrough();
  await expect(page.getByText("How was the play before?")).toBeVisible();
  await player.hears("play");
  await player.marksClean();
  await player.sees("1 of 2");
  await player.playsThrough();
  await player.marksClean();
  await expect(main).toHaveAttribute("data-passed", "1");
  // The number stays that of the play that is heard.
  await player.seesTempo(20);
  // Undone, the old rung goes on, and its play waits for another verdict.
  await page.keyboard.press("Backspace");
  await expect(main).toHaveAttribute("data-passed", "0");
  await player.sees("1 of 2");
  await player.marksClean();
  await expect(main).toHaveAttribute("data-passed", "1");
  await player.playsThrough();
  await player.seesTempo(30);
  await player.sees("0 of 2");

  // Without a verdict it waits: the play that was on meanwhile counts for nothing.
  await player.playsThrough();
  await player.playsThrough();
  await player.hears("asking");
  await player.marksFlawed();
  await player.sees("0 of 2");
  await expect(page.getByText("2 of 3 clean today")).toBeVisible();
});

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
