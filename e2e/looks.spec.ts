import AxeBuilder from "@axe-core/playwright";
import { expect, test as base, type Page } from "@playwright/test";
import { listen } from "./support/fixtures";
import { FidusServer, throwAwayDirectory } from "./support/server";
import { views } from "./support/views";

const test = base.extend<object, { demo: FidusServer }>({
  demo: [
    // Playwright reads the names of the first argument.
    // eslint-disable-next-line no-empty-pattern
    async ({}, provide) => {
      const { directory, remove } = await throwAwayDirectory();
      const server = await FidusServer.start({ dataDir: directory, demo: true });
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

for (const colorScheme of ["light", "dark"] as const) {
  test(`every view in ${colorScheme}: accessible, quiet, and no wider than a phone`, async ({
    page,
    demo,
  }) => {
    test.setTimeout(180_000);
    const complaints = listen(page);
    await page.emulateMedia({ colorScheme, reducedMotion: "reduce" });
    for (const { name, open } of views) {
      await page.setViewportSize({ width: 1280, height: 800 });
      await open(page, demo.address);
      await page.waitForLoadState("networkidle");
      const { violations } = await new AxeBuilder({ page }).analyze();
      const told = violations.map(({ id, nodes }) => `${name}: ${id} ${nodes[0]?.html ?? ""}`);
      expect(told).toEqual([]);
      await page.setViewportSize({ width: 390, height: 844 });
      expect(await sideways(page), `${name} on a phone`).toBeLessThanOrEqual(1);
      await page.setViewportSize({ width: 640, height: 400 });
      expect(await sideways(page), `${name} at 200 %`).toBeLessThanOrEqual(1);
    }
    expect(complaints).toEqual([]);
  });
}
