import { chromium, type Page } from "@playwright/test";
import { contextOptions, launchOptions } from "../e2e/support/browser";
import { FidusServer, throwAwayDirectory } from "../e2e/support/server";
import { Teacher } from "../e2e/support/teacher";
import { views } from "../e2e/support/views";
import type { Figure } from "./core";
import { notationPageFigures } from "./notation";
import { standFigures } from "./stand";
import { takesFigures } from "./takes";

const SERVER_RUNS = 15;

async function clickFigures(page: Page, address: string): Promise<Figure[]> {
  await page.goto(`${address}/sound`);
  await page.waitForLoadState("networkidle");
  const field = (name: string) => page.getByRole("spinbutton", { name, exact: true });
  const figures: Figure[] = [];
  const measure = async (tempo: number, perBeat: number, seconds: number, how: string) => {
    await field("Tempo").fill(String(tempo));
    await field("Then, at a bar line").fill(String(tempo));
    await field("Clicks per beat").fill(String(perBeat));
    await field("Seconds").fill(String(seconds));
    await page.getByLabel("How").click();
    await page.getByRole("option", { name: how }).click();
    await page.getByRole("button", { name: "Check the click" }).click();
    const result = page.getByText(/clicks\. Furthest/);
    await result.waitFor({ timeout: 120_000 });
    const counts = await page.getByText(/^Missing:/).textContent();
    const what = `${seconds} s at ${tempo} × ${perBeat}, ${how.toLowerCase()}`;
    figures.push({ what, value: `${await result.textContent()} ${counts}` });
  };
  for (const tempo of [60, 138, 300]) {
    for (const perBeat of [1, 3, 8]) await measure(tempo, perBeat, 60, "Computed ahead");
  }
  await measure(138, 4, 60, "As played here");
  const blocking = setInterval(() => {
    void page.evaluate(() => {
      const until = performance.now() + 1000;
      while (performance.now() < until);
    });
  }, 2500);
  await measure(300, 4, 20, "As played here");
  clearInterval(blocking);
  figures.at(-1)!.what += ", page blocked for a second at a time";
  return figures;
}

/** One move of a slider in the workshop, with about a thousand rungs drawn; script, not painting. */
async function redrawFigures(page: Page, address: string): Promise<Figure[]> {
  const teacher = new Teacher(page, address);
  await teacher.opensTheWorkshop([1, 8]);
  await teacher.chooses("Woven chain");
  await teacher.fills({ Start: 40, Target: 160, Step: 1 });
  await page.locator("[data-runs]:not([data-runs='0'])").waitFor();
  const rungs = await teacher.figure("Rungs").innerText();
  const slider = page.getByRole("slider", { name: "Start" });
  const times = await slider.evaluate(async (input: HTMLInputElement) => {
    const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value")!.set!;
    const found: number[] = [];
    for (let n = 0; n < 15; n++) {
      await new Promise((resolve) => setTimeout(resolve, 120));
      const begun = performance.now();
      set.call(input, String(40 + (n % 2)));
      input.dispatchEvent(new Event("change", { bubbles: true }));
      await new Promise<void>((resolve) => queueMicrotask(resolve));
      await new Promise<void>((resolve) => queueMicrotask(resolve));
      found.push(performance.now() - begun);
    }
    return found.sort((a, b) => a - b);
  });
  return [{ what: `workshop redrawn, ${rungs} rungs`, value: `${times[7]!.toFixed(1)} ms` }];
}

async function serverFigures(page: Page, address: string): Promise<Figure[]> {
  const figures: Figure[] = [];
  for (const { name, open } of views) {
    await open(page, address);
    const url = page.url();
    const times: number[] = [];
    for (let n = 0; n < SERVER_RUNS; n++) {
      const begun = performance.now();
      await (await page.request.get(url)).text();
      times.push(performance.now() - begun);
    }
    times.sort((a, b) => a - b);
    const median = times[Math.floor(SERVER_RUNS / 2)]!;
    figures.push({ what: `page "${name}", whole answer`, value: `${median.toFixed(0)} ms` });
  }
  return figures;
}

/** What the running application costs, in a real browser. */
export async function browserFigures(): Promise<Figure[]> {
  const browser = await chromium.launch(launchOptions);
  const newPage = async () => (await browser.newContext(contextOptions)).newPage();
  const page = await newPage();
  const { directory, remove } = await throwAwayDirectory();
  const server = await FidusServer.start({ dataDir: directory, demo: true });
  const figures = [
    ...(await serverFigures(page, server.address)),
    ...(await clickFigures(page, server.address)),
    ...(await standFigures(page, server.address)),
    ...(await takesFigures(newPage, server.address)),
    // A page of its own: the one before has its processor slowed.
    ...(await redrawFigures(await newPage(), server.address)),
    ...(await notationPageFigures(await newPage(), server.address)),
  ];
  await browser.close();
  await server.stop();
  await remove();
  return figures;
}
