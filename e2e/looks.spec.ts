import { expect, type Page } from "@playwright/test";
import { axeOn } from "./support/axe";
import { test } from "./support/demo-room";
import { walkByTab } from "./support/focus-walk";
import { ready } from "./support/ready";
import { comesIn, views } from "./support/views";

const sideways = (page: Page) =>
  page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);

test("the week says at a glance who needs a look, and why", async ({ page, demo }) => {
  await comesIn(page, demo.address, "Odile Marrack");
  const line = (name: string) => page.getByRole("listitem").filter({ hasText: name });
  await expect(line("Yusuf Arden")).toContainText("Stopped for pain 2 days ago.");
  await expect(line("Petra Haldane")).toContainText(/Silent for \d+ days/);
  await expect(line("Bram Oyelaran")).toContainText(/The descent|bars 13–16/);
  await expect(page.getByText("The Lantern Concert in 24 days")).toBeVisible();
  await expect(line("Ines Calloway")).toContainText("Lesson today, 15:30");
  await expect(line("Ines Calloway")).toContainText("Asks: May I bring out the tenor");
  const names = await page.locator("main ul").first().locator("li").allTextContents();
  // Six who have lessons, and the band's twelve.
  expect(names).toHaveLength(18);
  await expect(line("Rufus Dray")).toContainText("Stopped for pain 9 days ago.");
  await expect(line("The Ropewalk Band")).toContainText("9 of 12 practised");
  // Today's lesson comes first, then whoever needs a look.
  expect(names[0]).toContain("Ines Calloway");
  expect(names.at(-1)).toContain("Jessamy Poole");
  await page.getByRole("combobox", { name: "Group" }).click();
  await page.getByRole("option", { name: "The Ropewalk Band" }).click();
  await expect(page.locator("main ul").first().locator("li")).toHaveCount(12);
  await page.getByLabel("Find a student").fill("hester");
  await expect(page.locator("main ul").first().locator("li")).toHaveCount(1);
});

test("dark stays dark after a reload, without a flash of light", async ({ page, demo }) => {
  await comesIn(page, demo.address, "Odile Marrack");
  await page.getByRole("button", { name: "Dark" }).click();
  await page.reload({ waitUntil: "commit" });
  await page.locator("main").waitFor();
  expect(await page.evaluate(() => document.documentElement.dataset.scheme)).toBe("dark");
});

test("a student's press on advice goes for today, and the teacher keeps it at the lesson", async ({
  page,
  demo,
}) => {
  await comesIn(page, demo.address, "Bram Oyelaran");
  await ready(page);
  const home = page.url().replace(/\/today$/, "");
  await page.getByRole("button", { name: "Start at 77 bpm" }).click();
  await expect(page.getByText("Changed for today; your teacher sees it")).toBeVisible();
  const today = page.getByText(/For today, in Sluice Gate March, bars 25–28: Start at 77 bpm/);
  await expect(today).toBeVisible();
  await page.getByRole("button", { name: /^As it is set again/ }).click();
  await expect(today).toBeHidden();
  await page.getByRole("button", { name: "Start at 77 bpm" }).click();
  await expect(today).toBeVisible();

  await page.context().clearCookies();
  await comesIn(page, demo.address, "Odile Marrack");
  await page.goto(`${home}/lesson`);
  await ready(page);
  await expect(page.getByText(/^Start at 77 bpm, because of “Go down”/)).toBeVisible();
  await page.getByRole("button", { name: /^Keep it so: Sluice Gate March/ }).click();
  await expect(page.getByText("Changed, as pressed.")).toBeVisible();
  // Advice goes into next week's items.
  const title = await page.getByRole("heading", { level: 3 }).last().innerText();
  await page
    .getByRole("button", { name: `Into next week: ${title}` })
    .last()
    .click();
  await expect(page.getByText("It is among next week's items below.")).toBeVisible();
  await page.reload();
  await expect(page.getByText(/^Start at 77 bpm, because/)).toHaveCount(0);
});

test("advice is carried out by a press and taken back, put away, switched off, taken to the lesson", async ({
  page,
  demo,
}) => {
  await comesIn(page, demo.address, "Odile Marrack");
  await page.getByRole("link", { name: "Petra Haldane", exact: true }).click();
  await ready(page);
  const given = (title: string) =>
    page.getByRole("heading", { name: title, exact: true, level: 3 });
  const lower = given("Start lower after days off");
  await expect(lower.first()).toBeVisible();
  // For most of her passages; which of them, her ten weeks decide.
  const all = await lower.count();
  expect(all).toBeGreaterThanOrEqual(2);
  await expect(page.getByText(/days ago: today would start at \d+ bpm/)).toHaveCount(all);
  const asAdvised = page.getByRole("button", { name: "Start as advised" });
  await asAdvised.first().click();
  await expect(page.getByText("Changed, as pressed.")).toBeVisible();
  await expect(lower).toHaveCount(all - 1);
  await page.getByRole("button", { name: "Take it back" }).click();
  await expect(page.getByText("Taken back: the ladder is as it was.")).toBeVisible();
  await expect(lower).toHaveCount(all);
  await asAdvised.first().click();
  await expect(page.getByText("Changed, as pressed.")).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(lower).toHaveCount(all - 1);

  await page.getByRole("button", { name: "Not now: Start lower after days off" }).first().click();
  await expect(page.getByText("Put away until it is practised again.")).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(page.getByRole("heading", { name: "Advice" })).toBeVisible();
  await expect(lower).toHaveCount(all - 2);

  await page.getByRole("link", { name: "Week", exact: true }).click();
  await page.getByRole("link", { name: "Ines Calloway", exact: true }).click();
  await ready(page);
  const first = page.getByRole("heading", { level: 3 }).first();
  const title = await first.innerText();
  await page.getByText("Which advice is given").click();
  await page.getByRole("button", { name: `Off for this student: ${title}` }).click();
  await expect(given(title)).toHaveCount(0);
  await page.getByRole("button", { name: `On again: ${title}` }).click();
  await expect(first).toHaveText(title);

  // The date, told in words on the passage's page; a lower target is one press, and one back.
  await page.getByRole("link", { name: "Week", exact: true }).click();
  await page.getByRole("link", { name: "Bram Oyelaran", exact: true }).click();
  await page.getByRole("link", { name: "Towards the concert" }).click();
  await expect(page.getByText(/^That all of it stands: /)).toBeVisible();
  const honest = page.getByRole("button", { name: /^Set the target to \d+ bpm/ });
  const ways = await page
    .locator("main a[href*='/passages/']")
    .evaluateAll((all) => all.map((each) => (each as HTMLAnchorElement).href));
  for (const way of ways) {
    await page.goto(way);
    await ready(page);
    await expect(page.getByText(/^Reckoned from \d+ days of practice\./)).toBeVisible();
    if ((await honest.count()) > 0) break;
  }
  await honest.click();
  const set = page.getByText(/The target is \d+ bpm now; it was \d+\./);
  const was = /it was (\d+)/.exec(await set.innerText())![1]!;
  await page.getByRole("button", { name: `Back to ${was} bpm` }).click();
  await expect(page.getByText(`The target is ${was} bpm now`)).toBeVisible();
  await page.getByRole("link", { name: "How sure is this?" }).click();
  await expect(page.getByText("four times in five", { exact: false }).first()).toBeVisible();

  // What a student can't change for a day is taken to the lesson.
  await comesIn(page, demo.address, "Ines Calloway");
  await page.waitForURL(/\/today$/);
  await ready(page);
  await page.getByRole("button", { name: "Take it to the lesson" }).first().click();
  await expect(page.getByText("It waits for the lesson among the questions.")).toBeVisible();
});

/** Pages whose keys are their own, or which are drawn over and over. */
const NOT_BY_TAB = new Set(["stand"]);
const SHARES = 4;

// In quarters, so that two workers share them.
for (const share of Array.from({ length: SHARES }, (_, n) => n)) {
  test(`every view, light and dark: accessible, quiet, seen by Tab, no wider than a phone, ${share + 1} of ${SHARES}`, async ({
    page,
    demo,
  }) => {
    test.setTimeout(240_000);
    await page.emulateMedia({ colorScheme: "light", reducedMotion: "reduce" });
    for (const { name, open } of views.filter((_view, n) => n % SHARES === share)) {
      await page.setViewportSize({ width: 1280, height: 800 });
      await open(page, demo.address);
      await page.waitForLoadState("networkidle");
      for (const colorScheme of ["light", "dark"] as const) {
        await page.emulateMedia({ colorScheme });
        await expect(page.locator("html")).toHaveAttribute("data-scheme", colorScheme);
        const axe = axeOn(page);
        // In the dark nothing is other than its colours.
        if (colorScheme === "dark") axe.withRules("color-contrast");
        const { violations } = await axe.analyze();
        const told = violations.map(({ id, nodes }) => `${name}: ${id} ${nodes[0]?.html ?? ""}`);
        expect(told, `${name}, ${colorScheme}`).toEqual([]);
      }
      await page.emulateMedia({ colorScheme: "light" });
      if (!NOT_BY_TAB.has(name)) {
        const { stops, ...wrong } = await walkByTab(page);
        expect(stops, name).toBeGreaterThan(2);
        expect(wrong, name).toEqual({ unseen: [], covered: [] });
      }
      await page.setViewportSize({ width: 390, height: 844 });
      expect(await sideways(page), `${name} on a phone`).toBeLessThanOrEqual(1);
      await page.setViewportSize({ width: 640, height: 400 });
      expect(await sideways(page), `${name} at 200 %`).toBeLessThanOrEqual(1);
    }
  });
}
