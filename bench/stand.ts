import type { Page } from "@playwright/test";
import { gzipSync } from "node:zlib";
import { Player } from "../e2e/support/player";
import { Teacher } from "../e2e/support/teacher";
import type { Figure } from "./core";

/** From the key to the count on the screen, the processor slowed six times. */
async function verdictFigures(page: Page, address: string): Promise<Figure[]> {
  const player = new Player(page);
  await new Teacher(page, address).preparesToday({ clean: 9 });
  await player.goesToTheStand();
  await player.starts();
  const devtools = await page.context().newCDPSession(page);
  await devtools.send("Emulation.setCPUThrottlingRate", { rate: 6 });
  const marked: number[] = [];
  const counted: number[] = [];
  for (let n = 1; n <= 7; n++) {
    await player.playsThrough();
    const times = await page.evaluate(async (count) => {
      const begun = performance.now();
      window.dispatchEvent(new KeyboardEvent("keydown", { key: "PageDown" }));
      const until = async (seen: () => boolean) => {
        while (!seen()) await new Promise(requestAnimationFrame);
        return performance.now() - begun;
      };
      const told = () => document.querySelector("[data-testid=count]")?.textContent;
      const isCounted = () => told() === `${count} of 9`;
      const isMarked = () => document.querySelector("[data-counting]") !== null || isCounted();
      return [await until(isMarked), await until(isCounted)] as const;
    }, n);
    marked.push(times[0]);
    counted.push(times[1]);
  }
  const told = (times: number[]) => {
    times.sort((a, b) => a - b);
    return `median ${times[3]!.toFixed(0)} ms, slowest ${times[6]!.toFixed(0)} ms`;
  };
  return [
    { what: "verdict to its mark on screen, CPU slowed 6×", value: told(marked) },
    { what: "verdict to count on screen, CPU slowed 6×", value: told(counted) },
  ];
}

async function standWeight(page: Page): Promise<Figure> {
  await page.reload();
  await page.waitForLoadState("networkidle");
  const scripts = await page.evaluate(() =>
    performance
      .getEntriesByType("resource")
      .map(({ name }) => name)
      .filter((name) => name.endsWith(".js") && !name.includes("worklet")),
  );
  let bytes = 0;
  for (const url of new Set(scripts)) {
    const text = await (await page.request.get(url)).body();
    bytes += gzipSync(text).length;
  }
  const value = `${(bytes / 1000).toFixed(0)} kB in ${new Set(scripts).size} files`;
  return { what: "script of the stand's first load, gzip", value };
}

/** How quickly the stand answers a verdict, and what it weighs. */
export const standFigures = async (page: Page, address: string): Promise<Figure[]> => [
  ...(await verdictFigures(page, address)),
  await standWeight(page),
];
