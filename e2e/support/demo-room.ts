import { test as base } from "@playwright/test";
import { demoClock } from "./fast-clock";
import { FidusServer, throwAwayDirectory } from "./server";

/** A server with the demo room, shared by the tests of a worker. */
export const test = base.extend<object, { demo: FidusServer }>({
  demo: [
    // Playwright reads the names of the first argument.
    // eslint-disable-next-line no-empty-pattern
    async ({}, provide) => {
      const { directory, remove } = await throwAwayDirectory();
      const server = await FidusServer.start({
        dataDir: directory,
        demo: true,
        clock: demoClock(),
      });
      await provide(server);
      await server.stop();
      await remove();
    },
    { scope: "worker", timeout: 90_000 },
  ],
});
