import type { Page } from "@playwright/test";
import { ready } from "./ready";

/** Longer than any page has controls; then Tab goes round. */
const MOST_STOPS = 400;
interface Stop {
  readonly name: string;
  /** What is drawn round it, and whether that can be seen. */
  readonly ring: boolean;
  readonly covered: string | undefined;
  readonly first: boolean;
}

/** Where the focus is now, how it is drawn, and what lies over it. */
const stopped = (page: Page) =>
  page.evaluate((): Stop | undefined => {
    const on = document.activeElement;
    if (!(on instanceof HTMLElement || on instanceof SVGElement) || on === document.body) return;
    const first = on.hasAttribute("data-stopped");
    on.setAttribute("data-stopped", "");
    const name = `${on.tagName.toLowerCase()} “${(
      on.getAttribute("aria-label") ||
      on.textContent ||
      on.getAttribute("name") ||
      ""
    ).slice(0, 60)}”`;
    // An input that nobody sees lends its focus to the box round it; a field to its frame.
    const around = [on, on.parentElement, on.parentElement?.parentElement].filter(Boolean);
    const ring = around.some((each) => {
      const { outlineStyle, outlineWidth, outlineColor } = getComputedStyle(each!);
      const seen = !/rgba\(.*, 0\)|transparent/.test(outlineColor);
      return outlineStyle !== "none" && parseFloat(outlineWidth) >= 2 && seen;
    });
    const frame = on.closest(".Mui-focused")?.querySelector(".MuiOutlinedInput-notchedOutline");
    const framed = frame ? parseFloat(getComputedStyle(frame).borderTopWidth) >= 2 : false;
    const box = on.getBoundingClientRect();
    const x = Math.min(innerWidth - 1, Math.max(0, box.left + box.width / 2));
    const y = box.top + box.height / 2;
    const over = y >= 0 && y < innerHeight ? document.elementFromPoint(x, y) : null;
    const isOver =
      over && !on.contains(over) && !over.contains(on) && !over.closest("label")?.contains(on);
    const sticks =
      isOver &&
      [over, ...parentsOf(over)].find((each) =>
        /sticky|fixed/.test(getComputedStyle(each).position),
      );
    return { name, ring: ring || framed, covered: sticks ? sticks.className : undefined, first };

    function* parentsOf(element: Element): Generator<Element> {
      for (let up = element.parentElement; up; up = up.parentElement) yield up;
    }
  });

/** The picture of what has the focus, with and without it. */
async function looksAlike(page: Page): Promise<boolean> {
  const on = page.locator("[data-stopped]:focus");
  const box = await on.boundingBox();
  if (!box) return false;
  const around = 6;
  const clip = {
    x: Math.max(0, box.x - around),
    y: Math.max(0, box.y - around),
    width: Math.max(1, box.width + 2 * around),
    height: Math.max(1, box.height + 2 * around),
  };
  const shot = () => page.screenshot({ clip, animations: "disabled" });
  const withIt = await shot();
  const element = await on.elementHandle();
  await element!.evaluate((each) => (each as HTMLElement).blur());
  const without = await shot();
  await element!.evaluate((each) => (each as HTMLElement).focus());
  return withIt.equals(without);
}

/** What Tab stops at on a page, whether that looks otherwise than without it, and what lies over it. */
export async function walkByTab(page: Page) {
  // A page that comes alive under the focus would begin anew.
  await ready(page);
  await page.evaluate(() => {
    scrollTo(0, 0);
    // What stays from view to view, as the header does, may have been walked through before.
    for (const each of document.querySelectorAll("[data-stopped]")) {
      each.removeAttribute("data-stopped");
    }
  });
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  const unseen: string[] = [];
  const covered: string[] = [];
  let stops = 0;
  for (; stops < MOST_STOPS; stops++) {
    await page.keyboard.press("Tab");
    const stop = await stopped(page);
    // Behind the last control it leaves the page for a moment.
    if (!stop) continue;
    if (stop.first) break;
    if (stop.covered !== undefined) covered.push(stop.name);
    if (!stop.ring && (await looksAlike(page))) unseen.push(stop.name);
  }
  return { stops, unseen, covered };
}
