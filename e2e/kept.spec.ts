import type { Page } from "@playwright/test";
import { expect, test } from "./support/fixtures";
import { Player } from "./support/player";
import { ready } from "./support/ready";

const EVENTS = "**/events";

/** From now on nothing that was played arrives, while pages do. */
const cutOff = (page: Page) =>
  page.context().route(EVENTS, (route) => route.abort("connectionfailed"));
const reconnect = (page: Page) => page.context().unroute(EVENTS);

const backOnline = async (page: Page) => {
  await reconnect(page);
  await page.evaluate(() => window.dispatchEvent(new Event("online")));
};

/** Plays once, which arrives, and nothing from then on. */
async function playsUntilCutOff(player: Player, today: string) {
  await player.goesToTheStand(today);
  await player.starts();
  await player.playsClean();
  await expect(player.page.getByText("All kept")).toBeVisible();
  await cutOff(player.page);
}

test(
  "what was played without a connection is sent from whatever page is opened next",
  { tag: "@main" },
  async ({ teacher, player, page }) => {
    const today = await teacher.setsToday({ clean: 9 });
    await playsUntilCutOff(player, today);
    await player.playsClean(3);
    await player.sees("4 of 9");
    await page.goto(today);
    await expect(page.getByText(/plays of yours lie only on this device/)).toBeVisible();
    await backOnline(page);
    await expect(page.getByText(/of yours lie/)).toBeHidden();
    await page.goto(today.replace(/today$/, "log"));
    await expect(page.getByText(/4 of [45] clean/).first()).toBeVisible();
  },
);

test("what an earlier version left, and this one can't read, is sent as it is and never dropped", async ({
  teacher,
  player,
  page,
}) => {
  const today = await teacher.setsToday({ clean: 9 });
  await player.goesToTheStand(today);
  await player.starts();
  await player.playsClean();
  await expect(page.getByText("All kept")).toBeVisible();
  const session = page.url().replace(/.*sessions\/([^/]+).*$/, "$1");
  const id = "7a0d5c2e-6f4b-4a43-9c55-0f3f6d1b2c3d";
  /** The row as it lies in the browser, after it was put there where one is given. */
  const row = (put?: object) =>
    page.evaluate(
      async ([key, value]) => {
        const opening = indexedDB.open("fidus-stand");
        await new Promise((resolve) => (opening.onsuccess = resolve));
        const store = opening.result.transaction("events", "readwrite").objectStore("events");
        if (value) store.put(value);
        const asked: IDBRequest<unknown> = store.get(key);
        await new Promise((resolve) => (asked.onsuccess = resolve));
        opening.result.close();
        return asked.result;
      },
      [[session, id], put] as [string[], object | undefined],
    );
  const event = { id, seq: 3, at: 1_700_000_000_000, kind: "hummed", payload: { loud: true } };
  await row({ session, id, event });
  const sent = page.waitForRequest((asked) => asked.postData()?.includes("hummed") ?? false);
  await page.goto(today);
  expect((await (await sent).response())?.status()).toBe(400);
  await expect(page.getByText(/only on this device/)).toBeVisible();
  expect(await row()).not.toHaveProperty("sent");
  // A server that reads it takes it, and nothing waits any more.
  await page.route(EVENTS, (route) =>
    route.request().postData()?.includes("hummed")
      ? route.fulfill({ json: { next: 9 } })
      : route.continue(),
  );
  await page.goto(today);
  await expect(page.getByText(/only on this device/)).toBeHidden();
  await expect(async () => expect(await row()).toHaveProperty("sent", true)).toPass();
});

test("a stop for pain that arrives late closes the playing on the page that is open by then", async ({
  teacher,
  player,
  page,
}) => {
  const today = await teacher.setsToday({ clean: 9 });
  await playsUntilCutOff(player, today);
  await player.button("It hurts: stop").click();
  await expect(page.getByRole("link", { name: "To the summary" })).toBeVisible();
  await page.goto(today);
  await ready(page);
  await expect(page.getByText(/How is it now\?/)).toBeHidden();
  await backOnline(page);
  await expect(page.getByText(/How is it now\?/)).toBeVisible();
  const ribbon = page.getByRole("list", { name: /^The session, / });
  await expect(ribbon.getByRole("button", { name: /^The Ferry/ })).toHaveCount(0);
  await expect(page.getByRole("button", { name: /^Start without playing/ })).toBeVisible();
});

/** A slow disk: until it is let go, nothing that the stand writes is written. */
const holdTheStore = (page: Page) =>
  page.evaluate(async () => {
    const opening = indexedDB.open("fidus-stand");
    await new Promise((resolve) => (opening.onsuccess = resolve));
    const held = opening.result.transaction("events", "readwrite").objectStore("events");
    document.body.dataset.held = "";
    await new Promise<void>((begun) => {
      const goOn = () => {
        begun();
        if ("held" in document.body.dataset) held.count().onsuccess = goOn;
      };
      held.count().onsuccess = goOn;
    });
  });
const letTheStoreGo = (page: Page) => page.evaluate(() => delete document.body.dataset.held);

test("what is pressed is not called kept before it is written", async ({
  teacher,
  player,
  page,
}) => {
  await player.goesToTheStand(await teacher.setsToday({ clean: 9 }));
  await player.starts();
  await player.playsClean();
  await expect(page.getByText("All kept")).toBeVisible();
  await player.playsThrough();
  await expect(page.getByText("All kept")).toBeVisible();
  await holdTheStore(page);
  await player.marksClean();
  await expect(page.getByText("Keeping …")).toBeVisible();
  await expect(page.getByText("Counting …")).toBeVisible();
  await player.sees("1 of 9");
  await letTheStoreGo(page);
  await player.sees("2 of 9");
  await expect(page.getByText("All kept")).toBeVisible();
});

test("a verdict pressed in the moment in which the page goes away is kept", async ({
  teacher,
  context,
  page,
}) => {
  const player = new Player(page);
  await player.goesToTheStand(await teacher.setsToday({ clean: 9 }));
  const stand = page.url();
  await cutOff(page);
  let here = page;
  // What is not committed by then is gone about every second time.
  for (const count of ["1 of 9", "2 of 9", "3 of 9", "4 of 9", "5 of 9"]) {
    const now = new Player(here);
    await now.starts();
    await now.hears("breather");
    await here.evaluate(() => {
      window.dispatchEvent(new KeyboardEvent("keydown", { key: "PageDown" }));
      location.replace("about:blank");
    });
    await here.waitForURL("about:blank");
    here = await context.newPage();
    await here.goto(stand);
    await new Player(here).sees(count);
  }
});

/** Browsers that keep nothing: one that refuses at once, and one that never answers. */
const STORES = {
  refuses: () => {
    IDBFactory.prototype.open = () => {
      throw new DOMException("No room here.", "QuotaExceededError");
    };
  },
  "never answers": () => {
    const { open } = IDBFactory.prototype;
    IDBFactory.prototype.open = function silent(...given) {
      const asked = open.apply(this, given);
      asked.addEventListener = () => undefined;
      return asked;
    };
  },
};

test("a browser whose store opens late says so, and keeps what was played before it", async ({
  teacher,
  player,
  page,
}) => {
  await page.addInitScript(() => {
    const { open } = IDBFactory.prototype;
    IDBFactory.prototype.open = function slow(...given) {
      const asked = open.apply(this, given);
      const hears = asked.addEventListener.bind(asked) as EventTarget["addEventListener"];
      asked.addEventListener = (kind: string, heard: EventListener) =>
        hears(kind, kind === "success" ? (event) => void setTimeout(heard, 240_000, event) : heard);
      return asked;
    };
  });
  await player.goesToTheStand(await teacher.setsToday({ clean: 9 }));
  await player.starts();
  await player.playsClean(2);
  await expect(page.getByText("This device keeps nothing; all has arrived")).toBeVisible();
  await expect(page.getByText("All kept")).toBeVisible();
  await player.playsClean();
  await player.sees("3 of 9");
});

for (const [how, store] of Object.entries(STORES)) {
  test(`a browser whose store ${how}: it says so, plays on and sends at once`, async ({
    teacher,
    player,
    page,
  }) => {
    await page.addInitScript(store);
    await player.goesToTheStand(await teacher.setsToday({ clean: 9 }));
    await player.starts();
    await player.playsClean(2);
    await player.sees("2 of 9");
    await expect(page.getByText("This device keeps nothing; all has arrived")).toBeVisible();
    await page.reload();
    await player.sees("2 of 9");
  });
}

test("whoever is signed out in mid-session is told, loses nothing, and goes on", async ({
  teacher,
  player,
  page,
  context,
}) => {
  await player.goesToTheStand(await teacher.setsToday({ clean: 9 }));
  await player.starts();
  await player.playsClean();
  await expect(page.getByText("All kept")).toBeVisible();
  const cookies = await context.cookies();
  await context.clearCookies();
  await player.playsClean(2);
  await player.sees("3 of 9");
  await expect(page.getByText(/Kept on this device until you sign in again/)).toBeVisible();
  await expect(page.getByRole("link", { name: "Sign in" })).toBeVisible();
  await context.addCookies(cookies);
  await expect(page.getByText("All kept")).toBeVisible({ timeout: 20_000 });
});

test("signing out sends first, asks about what can't be sent, and leaves nothing behind", async ({
  teacher,
  player,
  page,
}) => {
  const today = await teacher.setsToday({ clean: 9 });
  await player.goesToTheStand(today);
  await player.starts();
  await cutOff(page);
  await player.playsClean(2);
  await page.goto(today);
  await ready(page);
  await page.getByRole("button", { name: /^Sign out/ }).click();
  const asking = page.getByRole("dialog", { name: "Not everything has arrived" });
  await expect(asking).toBeVisible();
  await reconnect(page);
  // Its patience runs on the fast clock: a busy machine may ask once more before all has arrived.
  await expect(async () => {
    if (await asking.isVisible())
      await asking.getByRole("button", { name: "Stay signed in" }).click();
    await page.getByRole("button", { name: /^Sign out/ }).click();
    await page.waitForURL(/\/sign-in/, { timeout: 10_000 });
  }).toPass({ timeout: 60_000 });
  const left = await page.evaluate(async () => {
    const db = await new Promise<IDBDatabase>((resolve, reject) => {
      const asked = indexedDB.open("fidus-stand");
      asked.onsuccess = () => resolve(asked.result);
      asked.onerror = () => reject(new Error("The store does not open."));
    });
    const counted = db.transaction("events").objectStore("events").count();
    await new Promise((resolve) => (counted.onsuccess = resolve));
    const cache = await caches.open("fidus-stand");
    return [counted.result, (await cache.keys()).length];
  });
  expect(left).toEqual([0, 0]);
});

test("a device whose date is wrong does not misfile what was played", async ({
  teacher,
  player,
  page,
  server,
}) => {
  await teacher.preparesToday({ clean: 9 });
  const today = page.url();
  await page.evaluate(() => localStorage.setItem("days-ahead", "400"));
  await player.goesToTheStand();
  await player.starts();
  await player.playsClean(2);
  await expect(page.getByText("All kept")).toBeVisible();
  await page.goto(today);
  await expect(page.getByText(/A session from today is still open/)).toBeVisible();
  await page.goto(server.address);
  await expect(page.getByText("Today: The Ferry at Low Water")).toBeVisible();
});

test("what waits of one person is neither sent nor lost while another practises on the device", async ({
  teacher,
  player,
  page,
  context,
}) => {
  const first = await teacher.setsToday({ clean: 9 });
  await player.goesToTheStand(first);
  await player.starts();
  await cutOff(page);
  await player.playsClean(2);
  await player.sees("2 of 9");
  const cookies = await context.cookies();
  await context.clearCookies();
  await reconnect(page);

  // Somebody of another room, on the same tablet.
  await player.goesToTheStand(await teacher.setsToday({ clean: 9 }));
  await player.starts();
  await player.playsClean();
  await expect(page.getByText("All kept")).toBeVisible();

  await context.clearCookies();
  await context.addCookies(cookies);
  await expect(async () => {
    await page.goto(first.replace(/today$/, "log"));
    await expect(page.getByText(/2 of 2 clean/).first()).toBeVisible({ timeout: 1000 });
  }).toPass({ timeout: 30_000 });
});
