import { expect, test as base } from "@playwright/test";
import { Player } from "./support/player";
import { FidusServer, throwAwayDirectory } from "./support/server";
import { Teacher } from "./support/teacher";

const test = base.extend<{ dataDir: string }>({
  // Playwright reads the names of the first argument.
  // eslint-disable-next-line no-empty-pattern
  dataDir: async ({}, provide) => {
    const { directory, remove } = await throwAwayDirectory();
    await provide(directory);
    await remove();
  },
});

interface Stored {
  readonly events: readonly { readonly id: string; readonly seq: number; readonly kind: string }[];
}

test("the server is killed between two plays, and again: not one is lost, none twice", async ({
  page,
  dataDir,
}) => {
  let server = await FidusServer.start({ dataDir });
  const { port } = server;
  const teacher = new Teacher(page, server.address);
  const player = new Player(page);
  await player.goesToTheStand(await teacher.setsToday({ clean: 9 }));
  await player.starts();
  await player.playsClean(2);
  await player.sees("2 of 9");
  await expect(page.getByText("All kept")).toBeVisible();
  // The page itself is kept in the browser by now.
  await page.waitForFunction(async () => {
    const cache = await caches.open("fidus-stand");
    return (await cache.match(location.pathname)) !== undefined;
  });

  await server.killHard();
  await player.playsClean();
  await player.sees("3 of 9");
  await expect(page.getByText(/Kept on this device/)).toBeVisible();

  await page.reload();
  await player.sees("3 of 9");
  await player.starts();
  await player.playsClean();
  await player.sees("4 of 9");

  server = await FidusServer.start({ dataDir, port });
  await expect(page.getByText("All kept")).toBeVisible({ timeout: 20_000 });
  await page.reload();
  await player.sees("4 of 9");

  await server.killHard();
  server = await FidusServer.start({ dataDir, port });
  const url = page.url().replace(/stand$/, "events");
  const { events } = (await (await page.request.get(url)).json()) as Stored;
  expect(events.filter(({ kind }) => kind === "judged")).toHaveLength(4);
  expect(events.map(({ seq }) => seq)).toEqual(events.map((_, i) => i));
  expect(new Set(events.map(({ id }) => id)).size).toBe(events.length);
  await page.goto(server.address);
  await server.stop();
});

test(
  "killed while writing: the directory opens again with every acknowledged event",
  { tag: "@main" },
  async ({ page, dataDir }) => {
    let server = await FidusServer.start({ dataDir });
    const teacher = new Teacher(page, server.address);
    await new Player(page).goesToTheStand(await teacher.setsToday());
    const url = page.url().replace(/stand$/, "events");
    const { origin } = new URL(url);
    const event = (seq: number) => ({
      id: crypto.randomUUID(),
      seq,
      at: Date.now(),
      kind: "repeated",
      payload: {},
    });
    let acknowledged = 0;
    const writing = (async () => {
      for (let seq = 0; seq < 400; seq++) {
        const headers = { "Content-Type": "application/json", Origin: origin };
        const body = JSON.stringify({ events: [event(seq)] });
        const answer = await page.request.post(url, { headers, data: Buffer.from(body) });
        if (answer.ok()) acknowledged = seq + 1;
      }
    })().catch(() => undefined);
    await expect.poll(() => acknowledged).toBeGreaterThan(30);
    await server.killHard();
    await writing;

    server = await FidusServer.start({ dataDir, port: server.port });
    const { events } = (await (await page.request.get(url)).json()) as Stored;
    expect(events.length).toBeGreaterThanOrEqual(acknowledged);
    await page.goto(server.address);
    await server.stop();
  },
);

test("a second process on the same directory is refused with a sentence", async ({ dataDir }) => {
  const server = await FidusServer.start({ dataDir });
  await expect(FidusServer.start({ dataDir })).rejects.toThrow(/already running on .*FIDUS_DATA/);
  await server.stop();
  await (await FidusServer.start({ dataDir })).stop();
});
