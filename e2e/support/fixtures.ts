import { expect, test as base, type Page } from "@playwright/test";
import { Days, LivingServer } from "./days";
import { clockFromNoon, RATE, type ClockSetting } from "./fast-clock";
import { Player } from "./player";
import { throwAwayDirectory, type FidusServer } from "./server";
import { Teacher } from "./teacher";

interface WorkerFixtures {
  /** How many times as fast as real time journeys go; 1: real time, where sound is measured. */
  readonly rate: number;
  readonly clock: ClockSetting | undefined;
  readonly living: LivingServer;
  /** A server with empty rooms, shared by the tests of a worker. */
  readonly server: FidusServer;
}

interface Fixtures {
  readonly days: Days;
  readonly teacher: Teacher;
  readonly player: Player;
  readonly quiet: undefined;
}

/** What the browser itself says when a request is refused or the network is gone. */
const EXPECTED = /Failed to load resource|net::ERR|Failed to fetch manifest patches/;

function listen(page: Page): string[] {
  const complaints: string[] = [];
  page.on("console", (message) => {
    const bad = ["error", "warning"].includes(message.type());
    if (bad && !EXPECTED.test(message.text())) complaints.push(message.text());
  });
  page.on("pageerror", (error) => complaints.push(error.message));
  return complaints;
}

/** Fails the test when the page complains in the console. */
export async function keepsQuiet(
  { page }: { readonly page: Page },
  provide: (nothing: undefined) => Promise<void>,
): Promise<void> {
  const complaints = listen(page);
  await provide(undefined);
  expect(complaints).toEqual([]);
}

export const test = base.extend<Fixtures, WorkerFixtures>({
  rate: [RATE, { scope: "worker", option: true }],
  clock: [
    async ({ rate }, provide) => provide(rate === 1 ? undefined : clockFromNoon(rate)),
    { scope: "worker" },
  ],
  context: async ({ context, living }, provide) => {
    await living.welcome(context);
    await provide(context);
  },
  living: [
    async ({ clock }, provide) => {
      const { directory, remove } = await throwAwayDirectory();
      const living = await LivingServer.start(directory, clock);
      await provide(living);
      await living.server.stop();
      await remove();
    },
    { scope: "worker", timeout: 60_000 },
  ],
  server: [({ living }, provide) => provide(living.server), { scope: "worker" }],
  days: async ({ living }, provide) => provide(new Days(living)),
  teacher: async ({ page, server }, provide) => provide(new Teacher(page, server.address)),
  player: async ({ page }, provide) => provide(new Player(page)),
  quiet: [keepsQuiet, { auto: true }],
});

export { expect };
