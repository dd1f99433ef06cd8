import { expect, test } from "./support/fixtures";

/** What is set in the workshop is what the stand plays; the sixteen schools are walked in Node. */
for (const [school, numbers, rungs] of [
  [
    "Woven chain",
    { Start: 220, Target: 240, Step: 10 },
    [
      ...["220, Link 1 of 2", "230, Link 1 of 2", "240, Link 1 of 2"],
      ...["220, All 2 links", "230, Link 2 of 2", "240, All 2 links"],
    ],
  ],
  [
    "Layers",
    { Start: 200, Target: 220 },
    ["count and clap, 220", "say the note names, 220", "finger silently, 220", "play, 220"],
  ],
] as const) {
  test(`${school} is set in the workshop and played to its end`, async ({
    teacher,
    player,
    page,
  }) => {
    test.slow();
    await teacher.opensTheWorkshop();
    await teacher.chooses(school);
    await teacher.fills(numbers);
    await teacher.setsTheGate(1);
    await expect(teacher.figure("Rungs")).not.toHaveText("0");
    await teacher.setsIt();
    await player.goesToTheStand();
    await player.starts();
    expect(await player.climbs(1)).toEqual(rungs);
    await player.button(/^One slow, careful run/).click();
    await player.playsClean();
    await page.waitForURL(/\/sessions\/[0-9a-f-]{36}$/);
    await expect(page.getByRole("link", { name: "Back to today" })).toBeVisible();
  });
}

test(
  "several rules must all hold, and the player may say that it is easy",
  { tag: "@main" },
  async ({ teacher, player, page }) => {
    await teacher.opensTheWorkshop();
    await teacher.fills({ Start: 210, Target: 220, Step: 10 });
    await teacher.setsTheGate(2);
    await page.getByRole("button", { name: "And also …" }).click();
    await expect(page.getByLabel("Gate", { exact: true })).toHaveCount(2);
    await page.getByLabel("Gate", { exact: true }).last().press("Enter");
    await page.getByRole("option", { name: "it feels easy" }).press("Enter");
    await teacher.setsIt();
    await player.goesToTheStand();
    await player.starts();
    await player.playsClean(2);
    await player.sees("2 of 2");
    await player.seesTempo(210);
    await player.button("It feels easy").click();
    await player.seesTempo(220);
  },
);
