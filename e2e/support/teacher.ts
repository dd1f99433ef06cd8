import { ready } from "./ready";
import { expect, type Page } from "@playwright/test";
import { briskLadder, type LadderNumbers } from "./brisk-ladder";

export const PASSWORD = "low water at noon";

/** A sign-in name that nobody on this server has. */
export const newName = (): string => `odile-${crypto.randomUUID().slice(0, 8)}`;

/** A teacher at the desk, in verbs. */
export class Teacher {
  constructor(
    readonly page: Page,
    private readonly address: string,
  ) {}

  async opensARoom(room = "Weir Lane", student = "Tomasz"): Promise<void> {
    const { page } = this;
    await page.goto(`${this.address}/open`);
    await page.getByLabel("Name of the room").fill(room);
    await page.getByLabel("Your name").fill("Odile");
    await page.getByLabel("Student's name").fill(student);
    await page.getByLabel("Name to sign in with").fill(newName());
    await page.getByLabel("Password").fill(PASSWORD);
    await page.getByRole("button", { name: "Open the room" }).click();
    await page.waitForURL(/pieces\/new/);
  }

  /** A new room, opened by its form; at the page of its first piece. */
  async comesToAFirstPiece(): Promise<void> {
    await this.page.goto(`${this.address}${await this.opensARoomAtOnce()}`);
    await ready(this.page);
  }

  /** Fast and short, so that a play takes a second. */
  async addsAPiece(fields: Readonly<Record<string, string>> = {}): Promise<void> {
    const { page } = this;
    const all = {
      Title: "The Ferry at Low Water",
      "Number of bars": "8",
      Metre: "2/4",
      "Tempo at performance": "220",
      ...fields,
    };
    for (const [label, value] of Object.entries(all)) {
      await page.getByLabel(label, { exact: true }).fill(value);
    }
    await page.getByRole("button", { name: "Add and open its bars" }).click();
  }

  /** A new room, and a file chosen for its first piece; opened, and read as far as it can be. */
  async bringsAFile(file: string): Promise<void> {
    const { page } = this;
    await this.comesToAFirstPiece();
    await page.setInputFiles("input[type=file]", file);
    await page.getByRole("button", { name: "Read it and open its bars" }).click();
  }

  async dragsOverBars(from: number, to: number): Promise<void> {
    const { page } = this;
    await expect(page).toHaveURL(/pieces\/[0-9a-f-]{36}/);
    await ready(page);
    await page.locator("[role=listbox]:not([aria-busy=true])").waitFor();
    const middle = async (bar: number) => {
      const drawn = page.locator(`[data-bar="${bar}"]`);
      await drawn.waitFor();
      // Read in the page: between finding it and asking for its box it may have been drawn anew.
      const { x, y, width } = await drawn.evaluate((bar) => bar.getBoundingClientRect().toJSON());
      return { x: x + width / 2, y: y + 40 };
    };
    await page.locator(`[data-bar="${from}"]`).scrollIntoViewIfNeeded();
    const [a, b] = [await middle(from), await middle(to)];
    await page.mouse.move(a.x, a.y);
    await page.mouse.down();
    await page.mouse.move(b.x, b.y, { steps: 6 });
    await page.mouse.up();
  }

  async cuts(): Promise<void> {
    await this.page.getByRole("button", { name: "Cut and set a ladder" }).click();
    await this.page.waitForURL(/\/ladder$/);
    await ready(this.page);
  }

  async drawsTheLadder(numbers: LadderNumbers = {}): Promise<void> {
    const { start = 200, target = 220, step = 10, clean = 2 } = numbers;
    await this.number("Start").fill(String(start));
    await this.number("Target").fill(String(target));
    await this.number("Step").fill(String(step));
    await this.setsTheGate(clean);
    if (numbers.offerAfter) {
      await this.unfolds("When it goes wrong");
      await this.number("After").fill(String(numbers.offerAfter));
    }
    if (numbers.rest || numbers.hidden) await this.unfolds("Each day");
    if (numbers.rest) await this.number("Rest between rungs").fill(String(numbers.rest));
    if (numbers.hidden) await this.page.getByLabel("Hide the number while playing").check();
  }

  async setsTheGate(clean: number): Promise<void> {
    await this.unfolds("When to go up");
    await this.number("Clean plays").fill(String(clean));
  }

  /** Sends a form as its page would, and tells where it leads. */
  async sends(path: string, form: Readonly<Record<string, string>>): Promise<string> {
    const url = `${this.address}${path}`;
    const headers = { origin: this.address };
    const answer = await this.page.request.post(url, { form, headers, maxRedirects: 0 });
    expect(answer.status(), await answer.text()).toBe(302);
    return answer.headers().location!;
  }

  /** A new room with its student, by the form that its page sends; the path for their first piece. */
  opensARoomAtOnce(): Promise<string> {
    const names = { room: "Weir Lane", teacher: "Odile", name: "Tomasz", instrument: "" };
    const signIn = { signIn: newName(), password: PASSWORD };
    return this.sends("/open", { ...names, ...signIn, timeZone: "Europe/London" });
  }

  /** Adds a fast piece by its form; the path of its bars. */
  addsABriskPiece(path: string, bars = 8): Promise<string> {
    return this.sends(path, {
      title: "The Ferry at Low Water",
      origin: "",
      kind: "piece",
      bars: `${bars}`,
      metre: "2/4",
      pickupBeats: "0",
      changes: "",
      markUnit: "quarter",
      markBpm: "220",
    });
  }

  /** Cuts bars of a piece by the form; the path of the workshop. */
  cutsBars(path: string, [fromBar, toBar]: readonly [number, number]): Promise<string> {
    const cut = { act: "cut", fromBar: `${fromBar}`, toBar: `${toBar}`, name: "", focus: "" };
    return this.sends(path, { ...cut, pickupBeats: "0", endBeats: "0" });
  }

  /** Adds a short fast piece to a student, cuts bars of it, and gives the workshop's path. */
  async cutsAPiece(piece: string, bars: readonly [number, number]): Promise<string> {
    return this.cutsBars(await this.addsABriskPiece(piece), bars);
  }

  /**
   * A new room with a short fast piece, its bars cut, at the workshop: by the forms that the pages
   * send, so that only what is tested takes time. The whole way by hand is in first-session.
   */
  async opensTheWorkshop(bars: readonly [number, number] = [3, 4]): Promise<void> {
    const workshop = await this.cutsAPiece(await this.opensARoomAtOnce(), bars);
    await this.page.goto(`${this.address}${workshop}`);
    await ready(this.page);
  }

  async chooses(school: string): Promise<void> {
    await this.page.getByRole("radio", { name: school }).click();
  }

  async fills(numbers: Readonly<Record<string, number>>): Promise<void> {
    for (const [label, value] of Object.entries(numbers)) {
      await this.number(label).fill(String(value));
    }
  }

  /** The figure under a heading of the cost, as soon as the worker has told it. */
  figure(term: string) {
    return this.page.locator("dl div", { hasText: term }).locator("dd").first();
  }

  /** Opens a folded part of the workshop. */
  async unfolds(title: string): Promise<void> {
    const fold = this.page.locator("details", { has: this.page.getByText(title, { exact: true }) });
    if ((await fold.getAttribute("open")) === null) await fold.locator("summary").click();
  }

  async startsEachDay(rule: string): Promise<void> {
    await this.unfolds("Each day");
    await this.page.getByLabel("Today starts").press("Enter");
    // Each rule is told with where it would start today. By key: a list may still move into its place.
    await this.page.getByRole("option", { name: new RegExp(`^${rule}: `) }).press("Enter");
  }

  /** A day, part by part in whatever order the page has them. */
  async typesDay(label: string, day: string): Promise<void> {
    const [year, month, date] = day.split("-") as [string, string, string];
    const group = this.page.getByRole("group", { name: label, exact: true });
    for (const [part, digits] of Object.entries({ Day: date, Month: month, Year: year })) {
      await group.getByRole("spinbutton", { name: part }).focus();
      await this.page.keyboard.type(digits);
    }
  }

  number(label: string) {
    return this.page.getByRole("spinbutton", { name: label, exact: true });
  }

  async setsIt(): Promise<void> {
    await this.page.getByRole("button", { name: "Set this ladder" }).click();
    await this.page.waitForURL(/\/today$/);
  }

  /**
   * From nothing to a session that can be started, bars 3–4 of a fast little piece, by the forms
   * that the pages send; gives the address of today's page.
   */
  async setsToday(
    numbers: LadderNumbers = {},
    bars: readonly [number, number] = [3, 4],
  ): Promise<string> {
    const workshop = await this.cutsAPiece(await this.opensARoomAtOnce(), bars);
    const today = await this.sends(workshop, { ladder: JSON.stringify(briskLadder(numbers)) });
    return this.address + today;
  }

  /** The same, at today's page. */
  async preparesToday(numbers: LadderNumbers = {}, bars: readonly [number, number] = [3, 4]) {
    await this.page.goto(await this.setsToday(numbers, bars));
    await ready(this.page);
  }
}
