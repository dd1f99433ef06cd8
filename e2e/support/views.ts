import type { Page } from "@playwright/test";

export interface View {
  /** Also the name of its picture in docs/screenshots. */
  readonly name: string;
  readonly open: (page: Page, address: string) => Promise<void>;
}

const student =
  (name: string, then: (page: Page) => Promise<void> = () => Promise.resolve()) =>
  async (page: Page, address: string) => {
    await page.goto(address);
    await page.getByRole("link", { name }).click();
    await page.waitForURL(/\/students\/[0-9a-f-]+$/);
    await then(page);
  };

const follow = async (page: Page, link: string, url: RegExp) => {
  await page.getByRole("link", { name: link, exact: true }).first().click();
  await page.waitForURL(url);
  await page.waitForLoadState("networkidle");
};

const today = (name: string) =>
  student(name, (page) => follow(page, "Today's practice", /\/today$/));

/** The main views, each reached the way a person reaches it. */
export const views: readonly View[] = [
  { name: "week", open: async (page, address) => void (await page.goto(address)) },
  { name: "student", open: student("Ines Calloway") },
  {
    name: "piece",
    open: student("Maud Ferrier", async (page) => {
      await page.getByRole("link", { name: "Open the bars" }).last().click();
      await page.waitForURL(/\/pieces\//);
      await page.waitForLoadState("networkidle");
    }),
  },
  {
    name: "workshop",
    open: student("Bram Oyelaran", async (page) => {
      await follow(page, "The descent", /\/passages\//);
      await follow(page, "Change the ladder", /\/ladder$/);
      await page.getByRole("button", { name: "Set this ladder" }).waitFor();
      await page.locator("[data-runs]:not([data-runs='0'])").waitFor();
    }),
  },
  {
    name: "chain",
    open: student("Petra Haldane", async (page) => {
      await follow(page, "Bars 1–4", /\/passages\//);
      await follow(page, "Change the ladder", /\/ladder$/);
      await page.locator("[data-runs]:not([data-runs='0'])").waitFor();
    }),
  },
  {
    name: "library",
    open: async (page, address) => {
      await page.goto(address);
      await follow(page, "Library", /\/library$/);
    },
  },
  {
    name: "progress",
    open: student("Ines Calloway", async (page) => {
      await follow(page, "Across the current", /\/passages\//);
      await page.locator(".recharts-surface").first().waitFor();
    }),
  },
  { name: "today", open: today("Ines Calloway") },
  {
    name: "stand",
    open: async (page, address) => {
      await today("Ines Calloway")(page, address);
      await page.getByRole("button", { name: /^Start/ }).click();
      await page.waitForURL(/\/stand$/);
      // Until this window holds the session, nothing can be pressed.
      await page.locator("button:enabled", { hasText: "Start" }).waitFor();
    },
  },
  {
    name: "afterwards",
    open: student("Ines Calloway", async (page) => {
      await follow(page, "The whole log", /\/log$/);
      await page.locator("main li a").nth(1).click();
      await page.waitForURL(/\/sessions\//);
    }),
  },
  {
    name: "log",
    open: student("Yusuf Arden", (page) => follow(page, "The whole log", /\/log$/)),
  },
  {
    name: "new-piece",
    open: student("Tobi Wren", (page) => follow(page, "Add a piece", /\/pieces\/new$/)),
  },
  {
    name: "sound-check",
    open: async (page, address) => void (await page.goto(`${address}/sound`)),
  },
];
