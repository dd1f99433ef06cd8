import { axeOn } from "./support/axe";
import { expect, test } from "./support/fixtures";

test("tempi hang together: what breaks is named, and the whole is practised in percent of them", async ({
  teacher,
  player,
  page,
}) => {
  await teacher.bringsAFile("demo/tunes/ferry-at-low-water.musicxml");
  // What lies below moves down as the notes come.
  await page.locator("svg .measure").first().waitFor();
  const choose = async (label: string, option: string) => {
    // By keys: the page still moves where something comes in above, and a press may miss.
    await page.getByLabel(label, { exact: true }).press("ArrowDown");
    await page.getByRole("option", { name: option, exact: true }).press("Enter");
  };
  const type = (label: string, value: string) =>
    page.getByLabel(label, { exact: true }).last().fill(value);
  await type("Another tempo from bar", "17");
  await page.getByRole("button", { name: "Add it" }).last().click();
  await choose("Beat unit", "half note");
  await type("Words", "the return");
  await type("Tempo", "60");
  await choose("What it has to do with another", "so many times its beats a minute");
  await type("Times", "1.03");
  await type("up to", "1.08");
  const clash = page.getByRole("alert").filter({ hasText: "asks for bars 1–16 at 56 to 58" });
  await expect(clash).toContainText("The return");
  const { violations } = await axeOn(page).analyze();
  expect(violations).toEqual([]);
  await page.getByRole("button", { name: "Bars 1–16 at 58" }).click();
  await expect(clash).toBeHidden();
  // With keys the opening goes down as well.
  const opening = page.getByRole("slider", { name: "Tempo of bars 1–16" });
  await opening.press("ArrowDown");
  await expect(opening).toHaveAttribute("aria-valuenow", "57");
  await page.getByText("A ritardando, an accelerando").click();
  await type("Bar", "24");
  await type("Over beats", "4");
  await page.getByRole("button", { name: "Add it" }).first().click();
  await expect(page.getByRole("alert")).toContainText("go beyond bar 24");
  await page.getByRole("button", { name: "Take it out" }).click();
  await type("Bar", "16");
  await type("Over beats", "2");
  await page.getByRole("button", { name: "Add it" }).first().click();
  await page.getByRole("button", { name: "Keep these tempi" }).click();
  await expect(page.getByText("24 bars · ")).toContainText("= 57");

  await teacher.dragsOverBars(15, 18);
  await teacher.cuts();
  await expect(page.getByText("climbs in percent of the full ones")).toBeVisible();
  await expect(page.getByLabel("Without its ritardando")).toBeVisible();
  await teacher.drawsTheLadder({ start: 60, target: 100, step: 20, clean: 1 });
  await page.getByText("Metronome marks", { exact: true }).click();
  await expect(page.getByText("Over several tempi a ladder climbs in percent")).toBeVisible();
  await page.getByText("Even steps", { exact: true }).first().click();
  await teacher.setsIt();
  await player.goesToTheStand();
  await expect(page.getByText("60 % of full tempo")).toBeVisible();
  await expect(page.getByText("bar 17:")).toContainText("= 36");
  await player.starts();
  await player.playsClean();
  await expect(page.getByText("80 % of full tempo")).toBeVisible();
});
