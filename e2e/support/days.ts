import type { BrowserContext, Page } from "@playwright/test";
import { clockFromNoon, DAYS_AHEAD, onFastClock, RATE } from "./fast-clock";
import { FidusServer } from "./server";

/** A room that lives through several days, with the browsers of those who come to it. */
export class Days {
  private constructor(
    private readonly dataDir: string,
    private server: FidusServer,
    private readonly clock: ReturnType<typeof clockFromNoon>,
  ) {}

  static async begin(dataDir: string): Promise<Days> {
    const clock = clockFromNoon(RATE);
    return new Days(dataDir, await FidusServer.start({ dataDir, clock }), clock);
  }

  get address(): string {
    return this.server.address;
  }

  /** A browser's clock runs like the room's. */
  welcome = (context: BrowserContext) => onFastClock(context, this.clock);

  /** Moves the room and everyone's device on to a day, counted from the first. */
  async goesTo(daysAhead: number, pages: readonly Page[]): Promise<void> {
    const { dataDir, clock } = this;
    const { port } = this.server;
    await this.server.stop();
    this.server = await FidusServer.start({ dataDir, port, daysAhead, clock });
    for (const page of pages) {
      await page.goto(`${this.address}/sound`);
      await page.evaluate(
        ([key, value]) => localStorage.setItem(key!, value!),
        [DAYS_AHEAD, `${daysAhead}`],
      );
    }
  }

  end = () => this.server.stop();
}
