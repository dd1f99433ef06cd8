import { writeFile } from "node:fs/promises";
import path from "node:path";
import type { BrowserContext, Page } from "@playwright/test";
import { DAYS_AHEAD, onFastClock, type ClockSetting } from "./fast-clock";
import { FidusServer } from "./server";

const DAY_MS = 86_400_000;

/** A server whose room lives through several days, shared by the journeys of a worker. */
export class LivingServer {
  private daysAhead = 0;

  private constructor(
    readonly server: FidusServer,
    readonly dataDir: string,
    private readonly daysFile: string,
    private readonly clock: ClockSetting | undefined,
  ) {}

  static async start(dataDir: string, clock: ClockSetting | undefined): Promise<LivingServer> {
    const daysFile = path.join(dataDir, "days-ahead");
    await writeFile(daysFile, "0");
    const server = await FidusServer.start({ dataDir, daysFile, clock });
    return new LivingServer(server, dataDir, daysFile, clock);
  }

  /** A browser that comes now has a clock that shows the room's day and runs like the room's. */
  async welcome(context: BrowserContext): Promise<void> {
    const { clock, daysAhead } = this;
    if (!clock) return;
    await onFastClock(context, { ...clock, virtual: clock.virtual + daysAhead * DAY_MS });
  }

  get today(): Date {
    return new Date(Date.now() + this.daysAhead * DAY_MS);
  }

  /** Days pass; they never go back. */
  async pass(days: number): Promise<void> {
    this.daysAhead += days;
    await writeFile(this.daysFile, `${this.daysAhead}`);
  }
}

/** The days of one journey, counted from the one on which it begins. */
export class Days {
  private day = 0;

  constructor(private readonly living: LivingServer) {}

  get address(): string {
    return this.living.server.address;
  }

  get today(): Date {
    return this.living.today;
  }

  /** For the browsers that are there from the first day. */
  welcome = (context: BrowserContext) => this.living.welcome(context);

  /** Moves the room and everyone's device on to a day. */
  async goesTo(day: number, pages: readonly Page[]): Promise<void> {
    await this.living.pass(day - this.day);
    this.day = day;
    for (const page of pages) {
      await page.goto(`${this.address}/sound`);
      await page.evaluate(
        ([key, value]) => localStorage.setItem(key!, value!),
        [DAYS_AHEAD, `${day}`],
      );
    }
  }
}
