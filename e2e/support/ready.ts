import type { Page } from "@playwright/test";

/** Until the page answers to presses: each of its fields and buttons belongs to React by then. */
export const ready = (page: Page) =>
  page.waitForFunction(
    () => {
      const all = [...document.querySelectorAll("a, button, input, textarea")];
      const ours = all.filter((each) => !each.closest("[aria-hidden=true]"));
      const taken = (each: Element) => Object.keys(each).some((key) => key.startsWith("__react"));
      return document.readyState !== "loading" && ours.length > 0 && ours.every(taken);
    },
    undefined,
    { polling: 20 },
  );

/** Opens a page whose scripts come only when `go` is called. */
export async function opensAsleep(page: Page, url: string): Promise<() => void> {
  const held: (() => void)[] = [];
  await page.route("**/assets/*.js", async (route) => {
    await new Promise<void>((resolve) => held.push(resolve));
    await route.continue();
  });
  await page.goto(url, { waitUntil: "commit" });
  return () => {
    held.forEach((go) => go());
    held.push = (go) => (go(), 0);
  };
}
