import { ready } from "./support/ready";
import type { Page } from "@playwright/test";
import { expect, test } from "./support/fixtures";

test.use({ rate: 1 });

interface Check {
  readonly tempo: number;
  readonly then?: number;
  readonly perBeat: number;
  readonly seconds: number;
  readonly live?: boolean;
}

async function check(page: Page, { tempo, then = tempo, perBeat, seconds, live = false }: Check) {
  const field = (name: string) => page.getByRole("spinbutton", { name, exact: true });
  await field("Tempo").fill(String(tempo));
  await field("Then, at a bar line").fill(String(then));
  await field("Clicks per beat").fill(String(perBeat));
  await field("Seconds").fill(String(seconds));
  await page.getByLabel("How").click();
  const how = live ? "As played here" : "Computed ahead";
  await page.getByRole("option", { name: how }).press("Enter");
  await page.getByRole("button", { name: "Check the click" }).click();
}

async function report(page: Page, timeout: number) {
  const found = page.getByText(/clicks\. Furthest/);
  await expect(found).toBeVisible({ timeout });
  const [clicks, worst] = (await found.textContent())!.match(/[\d.]*\d/g)!.map(Number);
  const counts = await page.getByText(/^Missing:/).textContent();
  return { clicks: clicks!, worst: worst!, counts };
}

test.beforeEach(async ({ page, server }) => {
  await page.goto(`${server.address}/sound`);
  await ready(page);
  await page.getByText("Measure the click").click();
});

for (const tempo of [60, 138, 300]) {
  test(`a minute at ${tempo} with 1, 3, 4, 7, 8 clicks a beat: each within a sample`, async ({
    page,
  }) => {
    test.setTimeout(180_000);
    for (const perBeat of [1, 3, 4, 7, 8]) {
      await check(page, { tempo, perBeat, seconds: 60 });
      const { clicks, worst, counts } = await report(page, 60_000);
      expect(clicks).toBeGreaterThan(59 * (tempo / 60) * perBeat);
      expect(worst).toBeLessThanOrEqual(1);
      expect(counts).toBe("Missing: 0. Too many: 0.");
    }
  });
}

test("a tempo change at a bar line leaves no gap", { tag: "@main" }, async ({ page }) => {
  await check(page, { tempo: 96, then: 131, perBeat: 3, seconds: 30 });
  const { worst, counts } = await report(page, 30_000);
  expect(worst).toBeLessThanOrEqual(1);
  expect(counts).toBe("Missing: 0. Too many: 0.");
});

test("played live, with the page blocked for a second at a time: none late, none missing", async ({
  page,
}) => {
  await check(page, { tempo: 138, then: 92, perBeat: 4, seconds: 8, live: true });
  for (let n = 0; n < 4; n++) {
    await page.waitForTimeout(500);
    await page.evaluate(() => {
      const until = performance.now() + 1000;
      while (performance.now() < until);
    });
  }
  const { worst, counts } = await report(page, 30_000);
  expect(worst).toBeLessThanOrEqual(1);
  expect(counts).toBe("Missing: 0. Too many: 0.");
});

test("played live in a tab that is hidden: none late, none missing", async ({ page, context }) => {
  await check(page, { tempo: 138, perBeat: 4, seconds: 6, live: true });
  const other = await context.newPage();
  await other.bringToFront();
  await other.waitForTimeout(5000);
  await page.bringToFront();
  const { worst, counts } = await report(page, 30_000);
  expect(worst).toBeLessThanOrEqual(1);
  expect(counts).toBe("Missing: 0. Too many: 0.");
  await other.close();
});
