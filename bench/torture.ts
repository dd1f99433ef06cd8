import { chromium, type BrowserContext, type Page } from "@playwright/test";
import { rm } from "node:fs/promises";
import * as v from "valibot";
import { seeded } from "~/core/simulate";
import { sessionEventSchema, type SessionEvent } from "~/core/session";
import { contextOptions, launchOptions } from "../e2e/support/browser";
import { clockFromNoon, onFastClock, RATE } from "../e2e/support/fast-clock";
import { Player } from "../e2e/support/player";
import { FidusServer, throwAwayDirectory } from "../e2e/support/server";
import { Teacher } from "../e2e/support/teacher";

const KILLS = Number(process.env.FIDUS_KILLS ?? 100);
const WAYS = ["server", "browser", "network", "reload", "second window"] as const;
const PATIENCE_MS = 60_000;

const keptSchema = v.array(v.object({ event: sessionEventSchema }));
const storedSchema = v.object({ events: v.array(sessionEventSchema) });

const clock = clockFromNoon(RATE);
const random = seeded(Date.now() % 2 ** 31);
const data = await throwAwayDirectory();
const profile = await throwAwayDirectory();
let server = await FidusServer.start({ dataDir: data.directory, clock });
const { port } = server;

async function openBrowser(): Promise<BrowserContext> {
  const options = { ...launchOptions, ...contextOptions };
  const context = await chromium.launchPersistentContext(profile.directory, options);
  await onFastClock(context, clock);
  return context;
}

let context = await openBrowser();
let page = await context.newPage();

/** Every event that a browser ever had on disk, as it was then. */
const seen = new Map<string, SessionEvent>();

async function look(): Promise<void> {
  const rows = await page.evaluate(async () => {
    const opening = indexedDB.open("fidus-stand");
    await new Promise((resolve) => (opening.onsuccess = resolve));
    const reading = opening.result.transaction("events").objectStore("events").getAll();
    await new Promise((resolve) => (reading.onsuccess = resolve));
    opening.result.close();
    return reading.result as unknown[];
  });
  for (const { event } of v.parse(keptSchema, rows)) {
    if (!seen.has(event.id)) seen.set(event.id, event);
  }
}

/** Goes on, and marks whatever is asked for, for a while. */
async function playFor(ms: number): Promise<void> {
  const until = Date.now() + ms;
  while (Date.now() < until) {
    const start = page.getByRole("button", { name: /^(Start|Go on|Go on here)$/ });
    if (await start.isEnabled({ timeout: 200 }).catch(() => false)) {
      await start.click({ timeout: 500 }).catch(() => undefined);
    }
    await page.keyboard.press(random() < 0.8 ? "PageDown" : "PageUp");
    await page.waitForTimeout(20 + random() * 60);
  }
}

async function kill(way: (typeof WAYS)[number], stand: string): Promise<Page> {
  switch (way) {
    case "server":
      await server.killHard();
      await playFor(300);
      server = await FidusServer.start({ dataDir: data.directory, port, clock });
      return page;
    case "browser":
      await context.close();
      context = await openBrowser();
      page = await context.newPage();
      await page.goto(stand);
      return page;
    case "network":
      await context.setOffline(true);
      await playFor(400);
      await context.setOffline(false);
      return page;
    case "reload":
      await page.reload();
      return page;
    case "second window": {
      const second = await context.newPage();
      await second.goto(stand);
      await second
        .getByRole("button", { name: "Go on here" })
        .click({ timeout: 3000 })
        .catch(() => undefined);
      await page.close();
      return second;
    }
  }
}

await new Teacher(page, server.address).preparesToday({ clean: 40, offerAfter: 10 });
await new Player(page).goesToTheStand();
const stand = page.url();
for (let n = 0; n < KILLS; n++) {
  await playFor(200 + random() * 500);
  page = await kill(WAYS[Math.floor(random() * WAYS.length)]!, stand);
  await look();
}
await playFor(500);
await page.getByText("All kept").waitFor({ timeout: PATIENCE_MS });
await look();

const answer = await page.request.get(stand.replace(/stand$/, "events"));
const { events } = v.parse(storedSchema, await answer.json());
const stored = new Map(events.map((event) => [event.id, event]));
const told = ({ kind, at, payload }: SessionEvent) => JSON.stringify([kind, at, payload]);
const lost = [...seen.keys()].filter((id) => !stored.has(id));
const doubled = events.length - stored.size + events.filter(({ seq }, i) => seq !== i).length;
const changed = [...seen.values()].filter((event) => {
  const there = stored.get(event.id);
  return there !== undefined && told(there) !== told(event);
});
process.stdout.write(
  `${KILLS} kills, ${events.length} events; lost, doubled, changed: ${lost.length}, ${doubled}, ${changed.length}\n`,
);

await context.close();
await server.stop();
await rm(profile.directory, { recursive: true, force: true });
await data.remove();
process.exit(0);
