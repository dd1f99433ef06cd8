import { existsSync } from "node:fs";
import { cp, mkdir, writeFile } from "node:fs/promises";
import path from "node:path";
import { setTimeout } from "node:timers/promises";
import { test as base } from "@playwright/test";
import { demoClock } from "./fast-clock";
import { keepsQuiet } from "./fixtures";
import { DEMO_FOLDER } from "./one-demo";
import { FidusServer, throwAwayDirectory } from "./server";

/** The demo room's ten weeks are lived through once for all; whoever comes first does it. */
async function livedThrough(): Promise<string> {
  const folder = process.env[DEMO_FOLDER]!;
  const [room, done] = [path.join(folder, "room"), path.join(folder, "done")];
  const first = await mkdir(room).then(
    () => true,
    () => false,
  );
  if (first) {
    const server = await FidusServer.start({ dataDir: room, demo: true, clock: demoClock() });
    await server.stop();
    await writeFile(done, "");
  }
  for (;;) {
    if (existsSync(done)) return room;
    await setTimeout(100);
  }
}

/** A server with the demo room, shared by the tests of a worker. */
export const test = base.extend<{ quiet: undefined }, { demo: FidusServer }>({
  quiet: [keepsQuiet, { auto: true }],
  demo: [
    // Playwright reads the names of the first argument.
    // eslint-disable-next-line no-empty-pattern
    async ({}, provide) => {
      const { directory, remove } = await throwAwayDirectory();
      await cp(await livedThrough(), directory, { recursive: true });
      const server = await FidusServer.start({
        dataDir: directory,
        demo: true,
        clock: demoClock(),
      });
      await provide(server);
      await server.stop();
      await remove();
    },
    { scope: "worker", timeout: 240_000 },
  ],
});
