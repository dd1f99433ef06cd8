import path from "node:path";
import type { Page } from "@playwright/test";
import { readScoreFile } from "~/core/formats";
import { workInThreads } from "~/server/score/thread-work";
import { ready } from "../e2e/support/ready";
import { Teacher } from "../e2e/support/teacher";
import { ms, type Figure } from "./core";

const BARS = 150;
const SCORE_BARS = 220;
const SCORE_PARTS = 16;
const WIDTH = 2500;

const LINE = "ceGA BcdB|AFcA d2cB|efga gfed|c2B2 A4|";

/** Running music of so many bars and parts, as MusicXML. */
async function music(bars: number, parts: number): Promise<Uint8Array> {
  const lines = LINE.repeat(Math.ceil(bars / 4))
    .split("|")
    .slice(0, bars)
    .join("|");
  const voices = Array.from({ length: parts }, (_, i) => `V:${i + 1}\n${lines}|`).join("\n");
  const abc = `X:1\nT:Running\nM:4/4\nL:1/8\nQ:1/4=100\nK:C\n${voices}\n`;
  const read = await readScoreFile(new TextEncoder().encode(abc));
  if (!read.ok) throw new Error(read.error);
  return new TextEncoder().encode(read.value.engraving);
}

async function timed<T>(work: () => Promise<T>): Promise<[number, T]> {
  const begun = performance.now();
  const value = await work();
  return [performance.now() - begun, value];
}

const middle = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]!;

/** Reading and engraving in the server's thread, warm. */
export async function notationFigures(): Promise<Figure[]> {
  const work = workInThreads(path.resolve("build/threads/score.js"));
  const [part, score] = [await music(BARS, 1), await music(SCORE_BARS, SCORE_PARTS)];
  await work.read("bench", part);
  const times = async (bytes: Uint8Array) => {
    const found: number[] = [];
    for (let n = 0; n < 5; n++) found.push((await timed(() => work.read("bench", bytes)))[0]);
    return middle(found);
  };
  const read = await work.read("bench", part);
  if (!read.ok) throw new Error(read.error);
  const source = read.value.engraving;
  const draw = (width: number) => work.engrave("bench", { source, parts: [], width });
  await draw(WIDTH);
  const first: number[] = [];
  // A width of its own each time: nothing of it has been drawn before.
  for (let n = 1; n <= 5; n++) first.push((await timed(() => draw(WIDTH + 80 * n)))[0]);
  const figures = [
    { what: `reading a part of ${BARS} bars`, value: ms(await times(part)) },
    {
      what: `reading a score of ${(score.length / 1e6).toFixed(1)} MB, ${SCORE_PARTS} parts`,
      value: ms(await times(score)),
    },
    { what: `engraving ${BARS} bars, another width`, value: ms(middle(first)) },
  ];
  await work.close();
  return figures;
}

/** From the click to notes in sight, the engraving there already, and how it scrolls. */
export async function notationPageFigures(page: Page, address: string): Promise<Figure[]> {
  const teacher = new Teacher(page, address);
  const pieces = await teacher.opensARoomAtOnce();
  const buffer = Buffer.from(await music(BARS, 1));
  await page.goto(`${address}${pieces}`);
  await ready(page);
  await page.setInputFiles("input[type=file]", {
    name: "running.musicxml",
    mimeType: "application/xml",
    buffer,
  });
  await page.getByRole("button", { name: "Read it and open its bars" }).click();
  const notes = page.locator("svg .measure").first();
  await notes.waitFor();
  const there = page.url();
  const seen: number[] = [];
  for (let n = 0; n < 5; n++) {
    await page.goto(`${address}${pieces.replace("/pieces/new", "")}`);
    await page.waitForLoadState("networkidle");
    const link = page.getByRole("link", { name: "Open the bars" });
    const [time] = await timed(async () => {
      await link.click();
      await notes.waitFor();
    });
    seen.push(time);
  }
  await page.goto(there);
  await notes.waitFor();
  const session = await page.context().newCDPSession(page);
  await session.send("Emulation.setCPUThrottlingRate", { rate: 4 });
  const frames = await page.evaluate(async () => {
    const found: number[] = [];
    let last = performance.now();
    const height = document.documentElement.scrollHeight;
    for (let n = 0; n < 180; n++) {
      await new Promise((resolve) => requestAnimationFrame(resolve));
      scrollTo(0, (n / 180) * height);
      const now = performance.now();
      found.push(now - last);
      last = now;
    }
    return found;
  });
  await session.send("Emulation.setCPUThrottlingRate", { rate: 1 });
  return [
    { what: `from the click to ${BARS} bars in sight, engraved before`, value: ms(middle(seen)) },
    {
      what: "scrolling them, CPU slowed 4 ×, median",
      value: `${Math.round(1000 / middle(frames))} frames a second`,
    },
  ];
}
