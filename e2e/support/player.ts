import { expect, type Page } from "@playwright/test";

type Transport = "stopped" | "count-in" | "play" | "breather" | "asking" | "resting";

/** A student at the stand, in verbs. */
export class Player {
  private plays = 0;

  constructor(readonly page: Page) {}

  /** Opens the session as it is shown, with everything that belongs to it. */
  async startsTheSession(): Promise<void> {
    await this.page.getByRole("button", { name: /^Start(,| without)/ }).click();
    await this.page.waitForURL(/\/stand$/);
    this.plays = 0;
  }

  /** Opens a session of the passages alone, by the form that today's page sends. */
  async goesToTheStand(address?: string): Promise<void> {
    const { page } = this;
    if (address === undefined) await page.waitForURL(/\/today$/);
    const today = address ?? page.url();
    // On the page itself, with what was left out or chosen there.
    const shown =
      page.url() === today ? await this.shown() : await (await page.request.get(today)).text();
    const ids = [...shown.matchAll(/data-passage="([^"]+)"/g)].map(([, id]) => id!);
    const parts = ids.map((passageId) => ({ kind: "practising", minutes: 10, passageId }));
    const [field = ""] = /<input[^>]*name="noVerdict"[^>]*>/.exec(shown) ?? [];
    const noVerdict = /value="([^"]+)"/.exec(field)?.[1];
    expect(noVerdict, `today's page at ${today}`).toBeDefined();
    const answer = await page.request.post(today, {
      form: { parts: JSON.stringify(parts), noVerdict: noVerdict! },
      headers: { origin: new URL(today).origin },
      maxRedirects: 0,
    });
    expect(answer.status(), await answer.text()).toBe(302);
    await page.goto(new URL(answer.headers().location!, today).href);
    this.plays = 0;
  }

  /** Today's page as it stands now. */
  private async shown(): Promise<string> {
    await this.page.locator("[data-passage]").first().waitFor();
    return this.page.content();
  }

  async starts(): Promise<void> {
    await this.page.getByRole("button", { name: /^(Start|Go on)$/ }).click();
  }

  /**
   * Lets the sound go on until something is shown, and holds it there: on the fast clock nothing is
   * over before it was looked at, and whatever is pressed then is pressed in time.
   */
  private async heldOnce(selector: string): Promise<void> {
    const held = await this.page.evaluate((wanted) => {
      return window.heldSound?.until(wanted).then(() => true);
    }, selector);
    // In real time there is nothing to hold.
    if (!held) await this.page.locator(selector).waitFor({ state: "attached", timeout: 60_000 });
  }

  /** Starts, and looks for what may be over in the wink of an eye. */
  async startsAndSees(selector: string): Promise<void> {
    const seen = this.heldOnce(selector);
    await this.starts();
    await seen;
  }

  /** Until the stand is there: the sound stands still then until the next thing is waited for. */
  async hears(transport: Transport): Promise<void> {
    await this.heldOnce(`main[data-transport="${transport}"]`);
  }

  /** Until one more play has been written; it is judged, or not, before another begins. */
  async playsThrough(): Promise<void> {
    this.plays++;
    await this.heldOnce(`main[data-plays="${this.plays}"]`);
  }

  /** Has the next play recorded. */
  async recordsTheNextPlay(): Promise<void> {
    await this.button("Record the next play").click();
    await this.button("Record it").click();
    await expect(this.page.getByText(/^The next play is recorded/)).toBeVisible();
  }

  async marksClean(): Promise<void> {
    await this.page.keyboard.press("PageDown");
  }

  async marksFlawed(): Promise<void> {
    await this.page.keyboard.press("PageUp");
  }

  async playsClean(times = 1): Promise<void> {
    for (let n = 0; n < times; n++) {
      await this.playsThrough();
      await this.marksClean();
    }
  }

  async playsFlawed(times = 1): Promise<void> {
    for (let n = 0; n < times; n++) {
      await this.playsThrough();
      await this.marksFlawed();
    }
  }

  /** What is played on each rung, until the last gate has passed: "task tempo links". */
  async climbs(clean: number): Promise<string[]> {
    const rungs: string[] = [];
    const top = this.page.getByRole("heading", { name: /The target is reached|Today's part/ });
    while (!(await top.isVisible())) {
      const tell = async (id: string) => {
        const shown = this.page.getByTestId(id);
        return (await shown.count()) > 0 ? await shown.innerText() : "";
      };
      const parts = [await tell("task"), await tell("tempo"), await tell("links")];
      rungs.push(parts.filter(Boolean).join(", "));
      await this.playsClean(clean);
      await expect(this.page.locator("main")).toHaveAttribute("data-passed", `${rungs.length}`);
    }
    return rungs;
  }

  async sees(count: string | RegExp): Promise<void> {
    await expect(this.page.getByTestId("count")).toHaveText(count);
  }

  async seesTempo(tempo: number): Promise<void> {
    await expect(this.page.getByTestId("tempo")).toHaveText(String(tempo));
  }

  button(name: string | RegExp) {
    return this.page.getByRole("button", { name });
  }
}
