import AxeBuilder from "@axe-core/playwright";
import { expect, test as base, type Page } from "@playwright/test";
import { listen } from "./support/fixtures";
import { demoClock } from "./support/fast-clock";
import { FidusServer, throwAwayDirectory } from "./support/server";
import { comesIn, views } from "./support/views";

const test = base.extend<object, { demo: FidusServer }>({
  demo: [
    // Playwright reads the names of the first argument.
    // eslint-disable-next-line no-empty-pattern
    async ({}, provide) => {
      const { directory, remove } = await throwAwayDirectory();
      const server = await FidusServer.start({
        dataDir: directory,
        demo: true,
        clock: demoClock(),
      });
      await provide(server);
      await server.stop();
      await remove();
    },
    { scope: "worker", timeout: 90_000 },
  ],
});
test.describe.configure({ mode: "serial" });

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
  const names = await page.locator("main li").allTextContents();
  expect(names).toHaveLength(6);
  // Today's lesson comes first, then whoever needs a look.
  expect(names[0]).toContain("Ines Calloway");
  expect(names.at(-1)).toContain("Tobi Wren");
});

test("dark stays dark after a reload, without a flash of light", async ({ page, demo }) => {
  await comesIn(page, demo.address, "Odile Marrack");
  await page.getByRole("button", { name: "Dark" }).click();
  await page.reload({ waitUntil: "commit" });
  await page.locator("main").waitFor();
  expect(await page.evaluate(() => document.documentElement.dataset.scheme)).toBe("dark");
});

// In halves, so that two workers share them.
for (const half of [0, 1]) {
  test(`every view, light and dark: accessible, quiet, no wider than a phone, half ${half + 1}`, async ({
    page,
    demo,
  }) => {
    test.setTimeout(240_000);
    const complaints = listen(page);
    await page.emulateMedia({ colorScheme: "light", reducedMotion: "reduce" });
    for (const { name, open } of views.filter((_view, n) => n % 2 === half)) {
      await page.setViewportSize({ width: 1280, height: 800 });
      await open(page, demo.address);
      await page.waitForLoadState("networkidle");
      for (const colorScheme of ["light", "dark"] as const) {
        await page.emulateMedia({ colorScheme });
        await expect(page.locator("html")).toHaveAttribute("data-scheme", colorScheme);
        const { violations } = await new AxeBuilder({ page }).analyze();
        const told = violations.map(({ id, nodes }) => `${name}: ${id} ${nodes[0]?.html ?? ""}`);
        expect(told, `${name}, ${colorScheme}`).toEqual([]);
      }
      await page.emulateMedia({ colorScheme: "light" });
      await page.setViewportSize({ width: 390, height: 844 });
      expect(await sideways(page), `${name} on a phone`).toBeLessThanOrEqual(1);
      await page.setViewportSize({ width: 640, height: 400 });
      expect(await sideways(page), `${name} at 200 %`).toBeLessThanOrEqual(1);
    }
    expect(complaints).toEqual([]);
  });
}
