import type { Page } from "@playwright/test";
import { Player } from "../e2e/support/player";
import { ready } from "../e2e/support/ready";
import { Teacher } from "../e2e/support/teacher";
import type { Figure } from "./core";

const FRAME_MS = 50;
const FIVE_MINUTES_MS = 300_000;

async function recordsNext(page: Page, player: Player): Promise<void> {
  await player.button("Record the next play").click();
  const first = player.button("Record it");
  const armed = page.getByText(/^The next play is recorded/);
  await first.or(armed).first().waitFor();
  if (await first.isVisible()) await first.click();
  await armed.waitFor();
}

/** Begins to note how long each frame takes; told when it is asked for. */
const notesFrames = (page: Page) =>
  page.evaluate(() => {
    const found: number[] = [];
    let last = performance.now();
    const next = () => {
      const now = performance.now();
      found.push(now - last);
      last = now;
      requestAnimationFrame(next);
    };
    requestAnimationFrame(next);
    Object.assign(window, { framesOfBench: found });
  });

const framesTold = (page: Page) =>
  page.evaluate((long) => {
    const found = (window as unknown as { framesOfBench: number[] }).framesOfBench.splice(0);
    const over = found.filter((ms) => ms > long);
    return `${over.length} of ${found.length} above ${long} ms, longest ${Math.max(...found).toFixed(0)} ms`;
  }, FRAME_MS);

/** Frames at the stand with the processor slowed six times, without recording and with it. */
async function frameFigures(page: Page, address: string): Promise<Figure[]> {
  const player = new Player(page);
  await new Teacher(page, address).preparesToday({ start: 60, target: 80, clean: 9 }, [1, 8]);
  await player.goesToTheStand();
  await player.starts();
  const devtools = await page.context().newCDPSession(page);
  await devtools.send("Emulation.setCPUThrottlingRate", { rate: 6 });
  const whilePlaying = async () => {
    await player.hears("play");
    await notesFrames(page);
    await player.playsThrough();
    return framesTold(page);
  };
  const without = await whilePlaying();
  await recordsNext(page, player);
  await player.marksClean();
  const recorded = await whilePlaying();
  await devtools.send("Emulation.setCPUThrottlingRate", { rate: 1 });
  await page.getByText("1 take kept").waitFor();
  const clicks = await clicksInTake(page);
  return [
    { what: "frames of a play, CPU slowed 6×", value: without },
    { what: "frames of a play that is recorded, CPU slowed 6×", value: recorded },
    { what: "clicks that its recording has, of those given out", value: clicks },
  ];
}

async function opensTheTake(page: Page): Promise<void> {
  await page.keyboard.press(" ");
  await page.goto(page.url().replace(/\/stand$/, ""));
  await ready(page);
  await page.getByRole("link", { name: / bpm, \d+ s/ }).click();
  await page
    .getByRole("button", { name: /^Play from bar/ })
    .first()
    .waitFor();
}

/** The stand-in hears each click as late as its bars are placed: there is a click at each beat. */
async function clicksInTake(page: Page): Promise<string> {
  await opensTheTake(page);
  return page.evaluate(async () => {
    const [from] = document.querySelector("[data-heard]")!.getAttribute("data-heard")!.split(" ");
    const bytes = await (await fetch(location.pathname + "/sound")).arrayBuffer();
    const sound = await new OfflineAudioContext(1, 1, 44_100).decodeAudioData(bytes);
    const samples = sound.getChannelData(0);
    const until = document.querySelector("[data-heard]")!.getAttribute("data-heard")!.split(" ")[1];
    const strip = document.querySelector("[aria-label='Bars: play from one']")!;
    const wave = strip.getBoundingClientRect();
    const bars = [...strip.querySelectorAll("button")].map(
      (bar) => (bar.getBoundingClientRect().left - wave.left) / wave.width,
    );
    const length = Number(until) - Number(from);
    const beat = ((bars[1]! - bars[0]!) * length) / 2;
    const expected = bars.flatMap((share) => [share * length, share * length + beat]);
    const loud = (at: number, seconds: number) => {
      const first = Math.round((Number(from) + at) * 44_100);
      return samples
        .subarray(first, first + seconds * 44_100)
        .reduce((most, sample) => Math.max(most, Math.abs(sample)), 0);
    };
    const heard = expected.filter((at) => loud(at - 0.01, 0.05) > 3 * loud(at - 0.06, 0.04));
    return `${heard.length} of ${expected.length}`;
  });
}

/** A take of five minutes: from the end of the play to its being sent, and to its being open. */
async function longTakeFigures(page: Page, address: string): Promise<Figure[]> {
  const teacher = new Teacher(page, address);
  const player = new Player(page);
  await teacher.opensARoom();
  await teacher.addsAPiece({ "Number of bars": "50" });
  await teacher.dragsOverBars(1, 50);
  await teacher.cuts();
  await teacher.drawsTheLadder({ start: 20, target: 30, clean: 1 });
  await teacher.setsIt();
  await player.goesToTheStand();
  await recordsNext(page, player);
  await player.starts();
  await player.hears("play");
  const main = page.locator("main");
  await main.and(page.locator("[data-plays='1']")).waitFor({ timeout: FIVE_MINUTES_MS + 60_000 });
  const ended = Date.now();
  await page.getByText("1 take kept").waitFor();
  const kept = Date.now() - ended;
  await page.keyboard.press("PageDown");
  await page.keyboard.press(" ");
  await page.goto(page.url().replace(/\/stand$/, ""));
  await ready(page);
  const asked = Date.now();
  await page.getByRole("link", { name: / bpm, \d+ s/ }).click();
  await page
    .getByRole("button", { name: /^Play from bar/ })
    .first()
    .waitFor();
  const opened = Date.now() - asked;
  return [
    { what: "5 minutes of take, from the last bar to kept on this device", value: `${kept} ms` },
    { what: "5 minutes of take, its page opened until it can be played", value: `${opened} ms` },
  ];
}

/** What recording costs at the stand; the page's browser has the stand-in for a microphone. */
export async function takesFigures(
  newPage: () => Promise<Page>,
  address: string,
): Promise<Figure[]> {
  const withStandIn = async () => {
    const page = await newPage();
    await page.addInitScript(() => localStorage.setItem("fidus-take-delay", "0.12"));
    return page;
  };
  return [
    ...(await frameFigures(await withStandIn(), address)),
    ...(await longTakeFigures(await withStandIn(), address)),
  ];
}
