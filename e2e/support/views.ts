import type { Page } from "@playwright/test";
import { Player } from "./player";
import { ready } from "./ready";

export interface View {
  /** Also the name of its picture in docs/screenshots. */
  readonly name: string;
  readonly open: (page: Page, address: string) => Promise<void>;
}

/** Comes into the demo room as one of its people; whoever is in already begins where they begin. */
export async function comesIn(page: Page, address: string, name: string): Promise<void> {
  const out = page.getByRole("button", { name: `Sign out ${name}` });
  if (await out.isVisible()) {
    // The first link of a page goes to its content, the second to where its person begins.
    await page.getByRole("banner").getByRole("link").nth(1).click();
    await page.waitForURL(/\/studio\/[^/]+(\/students\/[^/]+\/today)?$/);
    return;
  }
  await page.goto(address);
  if (await out.isVisible()) return;
  await page.context().clearCookies();
  await page.goto(`${address}/sign-in`);
  await page.getByRole("button", { name }).click();
  await page.waitForURL(/\/studio\//);
}

const teacher = (page: Page, address: string) => comesIn(page, address, "Odile Marrack");

const student =
  (name: string, then: (page: Page) => Promise<void> = () => Promise.resolve()) =>
  async (page: Page, address: string) => {
    await teacher(page, address);
    await page.getByRole("link", { name, exact: true }).click();
    await page.waitForURL(/\/students\/[0-9a-f-]+$/);
    await then(page);
  };

const follow = async (page: Page, link: string, url: RegExp) => {
  await page.getByRole("link", { name: link, exact: true }).first().click();
  await page.waitForURL(url);
  await ready(page);
};

const today = (name: string) =>
  student(name, (page) => follow(page, "Today's practice", /\/today$/));

const band =
  (then: (page: Page) => Promise<void> = () => Promise.resolve()) =>
  async (page: Page, address: string) => {
    await teacher(page, address);
    await follow(page, "The Ropewalk Band", /\/groups\/[0-9a-f-]+$/);
    await then(page);
  };

/** The main views, each reached the way a person reaches it. */
export const views: readonly View[] = [
  { name: "week", open: teacher },
  {
    name: "sign-in",
    open: async (page, address) => {
      await page.context().clearCookies();
      await page.goto(address);
    },
  },
  { name: "student", open: student("Ines Calloway") },
  {
    name: "piece",
    open: student("Maud Ferrier", async (page) => {
      await page.getByRole("link", { name: "Open the bars" }).last().click();
      await page.waitForURL(/\/pieces\//);
      await page.locator("main svg .measure").first().waitFor();
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
      await teacher(page, address);
      await follow(page, "Library", /\/library$/);
    },
  },
  {
    name: "room",
    open: async (page, address) => {
      await teacher(page, address);
      await follow(page, "Room", /\/room$/);
    },
  },
  {
    name: "records",
    open: student("Tobi Wren", async (page) => {
      await follow(page, "Take along or delete", /\/records$/);
    }),
  },
  {
    name: "progress",
    open: student("Ines Calloway", async (page) => {
      await follow(page, "Across the current", /\/passages\//);
      await page.locator(".recharts-surface").first().waitFor();
    }),
  },
  {
    name: "concert",
    open: student("Ines Calloway", (page) => follow(page, "Towards the concert", /\/concert$/)),
  },
  {
    name: "lesson",
    open: student("Ines Calloway", async (page) => {
      await follow(page, "Lesson", /\/lesson$/);
      await page
        .getByText(/min asked, 45 there/)
        .first()
        .waitFor();
    }),
  },
  { name: "group", open: band() },
  {
    name: "rehearsal",
    open: band(async (page) => {
      await follow(page, "Before rehearsal", /\/rehearsal$/);
      await page
        .getByText(/fails for/)
        .first()
        .waitFor();
    }),
  },
  {
    name: "set-for-group",
    open: band((page) => follow(page, "Set something", /\/set$/)),
  },
  {
    name: "report",
    open: band(async (page) => {
      await follow(page, "Report", /\/report/);
      await page.getByRole("gridcell", { name: "Agnes Tolliver" }).waitFor();
    }),
  },
  {
    name: "my-week",
    open: async (page, address) => {
      await comesIn(page, address, "Maud Ferrier");
      await follow(page, "My week", /\/week$/);
    },
  },
  {
    name: "by-heart",
    open: async (page, address) => {
      await comesIn(page, address, "Ines Calloway");
      await page.waitForURL(/\/today$/);
      await page.getByRole("link", { name: /^By heart: / }).click();
      await page.getByRole("heading", { name: "What stands" }).waitFor();
      await page.locator("svg .measure").first().waitFor();
    },
  },
  {
    name: "sheet",
    open: student("Maud Ferrier", async (page) => {
      await follow(page, "The week", /\/week$/);
      await follow(page, "The printed sheet", /\/weeks\//);
    }),
  },
  {
    name: "access",
    open: student("Tobi Wren", (page) => follow(page, "Links and codes", /access$/)),
  },
  {
    name: "times",
    open: student("Maud Ferrier", async (page) => {
      await follow(page, "The week", /\/week$/);
      await follow(page, "When there is time", /\/times$/);
    }),
  },
  {
    name: "today",
    open: async (page, address) => {
      await comesIn(page, address, "Ines Calloway");
      await page.waitForURL(/\/today$/);
      await page.waitForLoadState("networkidle");
    },
  },
  {
    name: "stand",
    open: async (page, address) => {
      await today("Ines Calloway")(page, address);
      // The one whose number is hidden shows less of the stand.
      await page.getByRole("button", { name: "Leave out Rolled Tenths" }).click();
      await new Player(page).goesToTheStand();
      // Until this window holds the session, nothing can be pressed.
      await page.locator("button:enabled", { hasText: "Start" }).waitFor();
    },
  },
  {
    name: "afterwards",
    open: student("Ines Calloway", async (page) => {
      await follow(page, "The whole log", /\/log$/);
      await page.locator("main [role=gridcell] a").nth(1).click();
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
