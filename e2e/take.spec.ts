import { rm } from "node:fs/promises";
import path from "node:path";
import { axeOn } from "./support/axe";
import { expect, test } from "./support/fixtures";
import { ready } from "./support/ready";

// A recording is measured: in real time.
test.use({ rate: 1 });

/** The most that a bar may lie beside where it is drawn, in seconds. */
const BESIDE = 0.02;

for (const { delay, recorder } of [
  { delay: 0.08, recorder: true },
  { delay: 0.2, recorder: false },
]) {
  const how = recorder ? "compressed" : "as plain samples where there is no recorder";
  test(`a play is recorded ${delay * 1000} ms late, ${how}, and every bar lies where it is drawn`, async ({
    teacher,
    player,
    page,
  }) => {
    await page.addInitScript(
      (seconds) => localStorage.setItem("fidus-take-delay", seconds),
      String(delay),
    );
    if (!recorder) {
      await page.addInitScript(() => Reflect.deleteProperty(window, "MediaRecorder"));
    }
    await player.goesToTheStand(await teacher.setsToday({ start: 120, target: 160, clean: 3 }));
    await player.button("Record the next play").click();
    await expect(page.getByText("The browser will ask for the microphone.")).toBeVisible();
    await player.button("Record it").click();
    await expect(page.getByText(/^The next play is recorded/)).toBeVisible();
    await player.starts();
    await expect(page.getByText(/^Recording/)).toBeVisible();
    await player.playsThrough();
    await player.marksClean();
    await expect(page.getByText("1 take kept")).toBeVisible();
    await page.keyboard.press(" ");
    await page.goto(page.url().replace(/\/stand$/, ""));
    await ready(page);
    await page.getByRole("link", { name: /120 bpm/ }).click();
    await ready(page);
    await expect(page.getByText("Bars placed by the count-in")).toBeVisible();
    const bars = page.getByRole("button", { name: /^Play from bar/ });
    await expect(bars.first()).toBeVisible();

    // The stand-in plucks on every beat: where it begins, a bar has to begin.
    const beside = await page.evaluate(async () => {
      const strip = document.querySelector<HTMLElement>("[aria-label='Bars: play from one']")!;
      const wave = strip.getBoundingClientRect();
      const starts = [...strip.querySelectorAll("button")].map(
        (bar) => (bar.getBoundingClientRect().left - wave.left) / wave.width,
      );
      const address = location.pathname + "/sound";
      const answer = await fetch(address);
      const kind = answer.headers.get("content-type");
      const bytes = await answer.arrayBuffer();
      const sound = await new OfflineAudioContext(1, 1, 44_100).decodeAudioData(bytes);
      const samples = sound.getChannelData(0);
      // What is heard is cut out of the recording: its length is that of the audio element's.
      const heard = document.querySelector("[data-heard]")!;
      const [from, until] = heard.getAttribute("data-heard")!.split(" ").map(Number) as [
        number,
        number,
      ];
      const off = starts.map((share) => {
        const at = from + share * (until - from);
        const first = Math.round((at - 0.1) * 44_100);
        const window = samples.subarray(first, first + 0.2 * 44_100);
        const loudest = window.reduce((most, sample) => Math.max(most, Math.abs(sample)), 0);
        const begins = window.findIndex((sample) => Math.abs(sample) > 0.3 * loudest);
        return begins / 44_100 - 0.1;
      });
      return { off, kind };
    });
    expect(beside.kind).toBe(recorder ? "audio/webm" : "audio/wav");
    expect(beside.off.length).toBeGreaterThanOrEqual(2);
    for (const seconds of beside.off) expect(Math.abs(seconds)).toBeLessThan(BESIDE);

    await bars.nth(1).click();
    await expect(bars.nth(1)).toHaveAttribute("aria-current", "true");
    await expect(player.button("Pause")).toBeVisible();
    await player.button("Pause").click();
    await page.getByLabel("A flaw in bar 3").check();
    await player.button("That is what I heard").click();
    await expect(
      page.getByText("You heard a flaw in bar 3. At the stand it was clean."),
    ).toBeVisible();
    const { violations } = await axeOn(page).analyze();
    expect(violations).toEqual([]);
    await page.getByText("Delete …").click();
    await player.button("Delete this take").click();
    await expect(page.getByText(/^No take yet/)).toBeVisible();
  });
}

test("a refused microphone leaves everything else working", async ({ teacher, player, page }) => {
  await player.goesToTheStand(await teacher.setsToday({ start: 200, target: 240, clean: 2 }));
  await player.button("Record the next play").click();
  await player.button("Record it").click();
  await expect(
    page.getByText(/^(The microphone was refused|No microphone was found)/),
  ).toBeVisible();
  await player.starts();
  await player.playsClean();
  await player.sees("1 of 2");
});

test(
  "whoever leaves right after the last bar has the take of it",
  { tag: "@main" },
  async ({ teacher, player, page }) => {
    await page.addInitScript(() => localStorage.setItem("fidus-take-delay", "0.1"));
    await player.goesToTheStand(await teacher.setsToday({ start: 200, target: 240, clean: 2 }));
    const session = page.url().replace(/\/stand$/, "");
    await player.recordsTheNextPlay();
    await player.starts();
    await player.playsThrough();
    const kept = page.waitForResponse(
      (answer) => answer.url().includes("/takes/") && answer.request().method() === "POST",
    );
    await page.getByRole("link", { name: "Leave the stand" }).click();
    expect((await kept).status()).toBe(200);
    await page.goto(session);
    await expect(page.getByRole("link", { name: /200 bpm/ })).toBeVisible();
  },
);

test("a take that arrives while the next page is being made is shown on it", async ({
  teacher,
  player,
  page,
}) => {
  await page.addInitScript(() => localStorage.setItem("fidus-take-delay", "0.1"));
  await player.goesToTheStand(await teacher.setsToday({ start: 200, target: 240, clean: 2 }));
  const session = page.url().replace(/\/stand$/, "");
  let letGo: () => void = () => undefined;
  const made = new Promise<void>((resolve) => (letGo = resolve));
  // The take waits for the page to be made, and the page for the take to have arrived.
  await page.route(/\/takes\//, async (route) => {
    if (route.request().method() === "POST") await made;
    await route.continue();
  });
  await page.route(session, async (route) => {
    const response = await route.fetch();
    const arrived = page.waitForResponse(
      (answer) => answer.url().includes("/takes/") && answer.request().method() === "POST",
    );
    letGo();
    await (await arrived).finished();
    await new Promise((resolve) => setTimeout(resolve, 500));
    await route.fulfill({ response });
  });
  await player.recordsTheNextPlay();
  await player.starts();
  await player.playsThrough();
  await player.marksClean();
  await expect(page.getByText("1 take kept")).toBeVisible();
  await page.keyboard.press(" ");
  await page.goto(session);
  await expect(page.getByRole("link", { name: /200 bpm/ })).toBeVisible();
});

test("a microphone that is pulled out while it records keeps what it heard", async ({
  teacher,
  player,
  page,
}) => {
  await page.addInitScript(() => {
    navigator.mediaDevices.getUserMedia = () => {
      const context = new AudioContext();
      const heard = context.createMediaStreamDestination();
      const tone = context.createOscillator();
      tone.connect(heard);
      tone.start();
      const [track] = heard.stream.getAudioTracks();
      window.addEventListener("pull-out", () => track!.dispatchEvent(new Event("ended")));
      return Promise.resolve(heard.stream);
    };
  });
  await player.goesToTheStand(await teacher.setsToday({ start: 100, target: 240, clean: 2 }));
  const session = page.url().replace(/\/stand$/, "");
  await player.button("Record the next play").click();
  await page.getByRole("radio", { name: "headphones" }).check();
  await player.button("Record it").click();
  await expect(page.getByText(/^The next play is recorded/)).toBeVisible();
  await player.starts();
  await player.hears("play");
  await page.evaluate(() => window.dispatchEvent(new Event("pull-out")));
  await expect(page.getByText(/^The microphone was disconnected/)).toBeVisible();
  await player.playsThrough();
  await player.marksClean();
  await player.sees("1 of 2");
  await expect(page.getByText("The recording until then is saved.")).toBeVisible();
  await page.goto(session);
  await ready(page);
  await page.getByRole("link", { name: /100 bpm/ }).click();
  await expect(page.getByText(/The microphone was disconnected\b/)).toBeVisible();
});

test("a take whose sending was cut off goes on at the stand; one whose sound is gone says so", async ({
  teacher,
  player,
  page,
  living,
}) => {
  await page.addInitScript(() => localStorage.setItem("fidus-take-delay", "0.1"));
  await player.goesToTheStand(await teacher.setsToday({ start: 200, target: 240, clean: 2 }));
  const stand = page.url();
  await page.route(/\/takes\//, (route) => route.abort());
  await player.recordsTheNextPlay();
  await player.starts();
  await player.playsThrough();
  await player.marksClean();
  await expect(page.getByText("1 take waits to be sent")).toBeVisible();
  await page.unroute(/\/takes\//);
  const arrived = page.waitForResponse(
    (answer) => answer.url().includes("/takes/") && answer.request().method() === "POST",
  );
  await page.goto(stand);
  expect((await arrived).status()).toBe(200);
  await page.goto(stand.replace(/\/stand$/, ""));
  const take = page.getByRole("link", { name: /200 bpm/ });
  await expect(take).toBeVisible();
  await rm(path.join(living.dataDir, "takes", "whole"), { recursive: true });
  await take.click();
  await expect(page.getByText(/^The sound of this recording is missing/)).toBeVisible();
});
