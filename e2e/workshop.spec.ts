import { holdTheSound } from "./support/fast-clock";
import { expect, test } from "./support/fixtures";

test("every school draws its stairs, tells its cost, and can be heard", async ({
  teacher,
  page,
}) => {
  await teacher.opensTheWorkshop();
  const schools = page.getByRole("radiogroup", { name: "How the tempo rises" }).getByRole("radio");
  await expect(schools).toHaveCount(16);
  for (let i = 0; i < 16; i++) {
    await schools.nth(i).click();
    await expect(page.getByRole("img", { name: /^A staircase of/ })).toBeVisible();
    await expect(page.locator("[data-runs='10000']")).toBeVisible();
  }
  await holdTheSound(page);
  await page.getByRole("button", { name: "Hear it" }).click();
  await expect(page.getByRole("button", { name: "Silence" })).toBeVisible();
  await page.getByRole("button", { name: "Silence" }).click();
  await expect(page.getByRole("button", { name: "Hear it" })).toBeVisible();
});

test("the stairs are walked with the keys, and a rung is heard with Enter", async ({
  teacher,
  page,
}) => {
  await teacher.opensTheWorkshop();
  await teacher.fills({ Start: 60, Target: 80, Step: 10 });
  await page.getByRole("radio", { name: "Even steps" }).focus();
  await page.keyboard.press("ArrowRight");
  await expect(page.getByRole("radio", { name: "Percent steps" })).toBeFocused();
  await page.keyboard.press("ArrowLeft");
  await expect(teacher.number("Step")).toHaveValue("10");
  const stairs = page.getByRole("slider", { name: /^Rungs/ });
  await stairs.focus();
  await page.keyboard.press("ArrowRight");
  await expect(stairs).toHaveAttribute("aria-valuetext", /Rung 2 of 3, 70 bpm/);
  await page.keyboard.press("End");
  await expect(stairs).toHaveAttribute("aria-valuetext", /Rung 3 of 3, 80 bpm/);
  await holdTheSound(page);
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: "Silence" })).toBeVisible();
});

test(
  "when it doesn't fit, offers do, one press away",
  { tag: "@main" },
  async ({ teacher, page }) => {
    await teacher.opensTheWorkshop([1, 8]);
    await teacher.fills({ Start: 60, Target: 120, Step: 2 });
    const offers = page.getByRole("heading", { name: "It is not likely to fit." });
    await expect(offers).toBeVisible();
    const before = await teacher.figure("Through in").innerText();
    await page.locator("section", { has: offers }).getByRole("button").first().click();
    await expect(teacher.figure("Through in")).not.toHaveText(before);
    await expect(offers).toBeHidden();
  },
);

test("schools make a programme: added, moved with the keys, taken out", async ({
  teacher,
  page,
}) => {
  await teacher.opensTheWorkshop();
  await page.getByRole("button", { name: "Add a school" }).click();
  await teacher.chooses("Withdraw the click");
  const row = page.getByRole("list", { name: "Schools in a row" }).getByRole("listitem");
  await expect(row.nth(1)).toContainText("Withdraw the click");
  await page.getByRole("button", { name: /^Withdraw the click: drag/ }).focus();
  await page.keyboard.press("Space");
  await page.waitForTimeout(100);
  await page.keyboard.press("ArrowLeft");
  await page.waitForTimeout(100);
  await page.keyboard.press("Space");
  await expect(row.nth(0)).toContainText("Withdraw the click");
  await page.getByRole("button", { name: "Take Withdraw the click out" }).click();
  await expect(row).toHaveCount(2);
});

test("two ladders side by side, and one of them taken", async ({ teacher, page }) => {
  await teacher.opensTheWorkshop();
  await teacher.fills({ Start: 100, Target: 140, Step: 20 });
  await page.getByRole("button", { name: "Compare" }).click();
  await teacher.chooses("Layers");
  const compared = page.locator("section", {
    has: page.getByRole("heading", { name: "Side by side" }),
  });
  await expect(compared).toContainText(/Layers, \d clean in a row/);
  await expect(compared).toContainText(/Even steps, \d clean in a row/);
  await compared.getByRole("button", { name: "Take this one" }).click();
  await expect(compared).toBeHidden();
  await expect(page.getByRole("radio", { name: "Even steps" })).toBeChecked();
});

test(
  "a ladder is kept in the library and fitted to the next passage",
  { tag: "@main" },
  async ({ teacher, page }) => {
    await teacher.opensTheWorkshop();
    await teacher.chooses("Forward and back");
    await teacher.fills({ Start: 60, Target: 120 });
    await page.getByRole("button", { name: "Keep in the library" }).click();
    const dialog = page.getByRole("dialog");
    await dialog.getByRole("button", { name: "Keep in the library" }).click();
    await expect(dialog.getByText("Give it a name.")).toBeVisible();
    await dialog.getByLabel("Name in the library").fill("Control");
    await dialog.getByRole("button", { name: "Keep in the library" }).click();
    await expect(page.getByText("Kept as “Control”.")).toBeVisible();
    await teacher.chooses("Even steps");
    await teacher.fills({ Target: 200 });
    await page.getByLabel("From the library").press("Enter");
    await page.getByRole("option", { name: "Control" }).press("Enter");
    await expect(page.getByRole("radio", { name: "Forward and back" })).toBeChecked();
    await expect(teacher.number("Start")).toHaveValue("100");
    await page.getByRole("link", { name: "Library" }).click();
    await expect(page.getByRole("row").filter({ hasText: "Control" })).toBeVisible();
    await page.getByRole("button", { name: "Take “Control” out" }).click();
    await page.getByRole("button", { name: "Take out", exact: true }).click();
    await expect(page.getByText("Nothing kept yet.")).toBeVisible();
  },
);
