import { expect, test } from "./support/fixtures";
import { ready } from "./support/ready";

/** Where something is pressed in mid-play: slow enough for a hand also on the fast clock. */
const SLOW = { start: 20, target: 40, step: 10 } as const;

test(
  "undo takes a verdict back, and the play can be judged again",
  { tag: "@main" },
  async ({ teacher, player }) => {
    await player.goesToTheStand(await teacher.setsToday({ ...SLOW, clean: 3 }));
    await player.starts();
    await player.playsClean();
    await player.sees("1 of 3");
    await player.button("Undo").click();
    await player.sees("0 of 3");
    await expect(player.button(/^Flawed/)).toBeEnabled();
    await player.marksFlawed();
    await player.playsClean();
    await player.sees("1 of 3");
  },
);

test("a flawed play may say where and what, and smaller is offered there", async ({
  teacher,
  player,
  page,
}) => {
  await player.goesToTheStand(await teacher.setsToday({ ...SLOW, offerAfter: 3 }, [1, 4]));
  await player.starts();
  for (let n = 0; n < 3; n++) {
    await player.playsFlawed();
    await player.button(/^bar 2$/).waitFor();
    // By the keys: the second bar, and what it was.
    await page.keyboard.press("2");
    await page.keyboard.press("Shift+R");
    await expect(player.button(/^bar 2$/)).toHaveAttribute("aria-pressed", "true");
    await expect(player.button("rhythm")).toHaveAttribute("aria-pressed", "true");
  }
  await expect(page.getByRole("heading", { name: /3 flawed at this tempo/ })).toBeVisible();
  await expect(player.button("Lower: 10 bpm")).toBeVisible();
  await expect(player.button("Smaller: bar 2")).toBeVisible();
  await page.keyboard.press("F2");
  await expect(page.getByText("Only bar 2 for now")).toBeVisible();
  await player.playsClean(2);
  await expect(page.getByText("Only bar 2 for now")).toBeHidden();
  await player.seesTempo(20);
  await player.sees("0 of 2");
});

test(
  "slower, faster, skip, rest, leave and pause do what they say",
  { tag: "@main" },
  async ({ teacher, player, page }) => {
    await player.goesToTheStand(await teacher.setsToday({ ...SLOW, rest: 30, clean: 1 }, [1, 8]));
    await player.starts();
    await player.hears("play");
    await player.button("Faster").click();
    await player.seesTempo(22);
    await page.keyboard.press("ArrowDown");
    await page.keyboard.press("ArrowDown");
    await player.seesTempo(18);
    await player.playsClean();
    await expect(page.getByRole("timer")).toBeVisible();
    await player.button(/^Go on now/).click();
    await player.seesTempo(20);
    await player.button("Skip").click();
    await player.seesTempo(30);
    // What the mouse has pressed leaves Space to the play.
    await page.keyboard.press(" ");
    await player.hears("stopped");
    await player.button("Note").click();
    await page.getByLabel("One line").fill("Breathe before bar 3");
    await page.keyboard.press("Enter");
    await player.button("It hurts: stop").click();
    await expect(page.getByText("Stop at pain, numbness or tingling.")).toBeVisible();
    // The wrong field was touched: it goes on, and a stop that is meant stays.
    await player.button("That was a slip. Carry on.").click();
    await player.starts();
    await player.hears("count-in");
    await player.button("It hurts: stop").click();
    await page.getByRole("link", { name: "To the summary" }).click();
    await expect(page.getByText("Breathe before bar 3")).toBeVisible();
    await page.getByRole("link", { name: "Week" }).click();
    await expect(page.getByText("Stopped for pain today.")).toBeVisible();
  },
);

test("a hidden tempo stays hidden until the end", async ({ teacher, player, page }) => {
  await player.goesToTheStand(await teacher.setsToday({ hidden: true, clean: 1 }));
  await player.starts();
  await expect(page.getByText("tempo hidden")).toBeVisible();
  expect(await page.locator("main").textContent()).not.toMatch(/200|210|220/);
  await player.playsClean(3);
  await player.seesTempo(220);
});

test("the screen is kept awake while the stand runs", async ({ teacher, player, page }) => {
  await page.addInitScript(() => {
    const asked = { held: 0 };
    Object.assign(window, { asked });
    const sentinel = { release: () => Promise.resolve(void asked.held--) };
    const request = () => Promise.resolve((asked.held++, sentinel));
    Object.defineProperty(navigator, "wakeLock", { value: { request } });
  });
  const held = () =>
    page.evaluate(() => (window as unknown as { asked: { held: number } }).asked.held);
  await player.goesToTheStand(await teacher.setsToday(SLOW));
  await player.starts();
  await player.hears("play");
  await expect.poll(held).toBe(1);
  await player.button("Pause").click();
  await expect.poll(held).toBe(0);
});

test("a session runs in one window at a time", async ({ teacher, player, page, context }) => {
  await player.goesToTheStand(await teacher.setsToday({ clean: 5 }));
  await player.starts();
  await player.playsClean();
  const second = await context.newPage();
  await second.goto(page.url());
  await second.getByRole("button", { name: "Go on here" }).click();
  await expect(second.getByTestId("count")).toHaveText("1 of 5");
  await expect(page.getByText("Going on in another window.")).toBeVisible();
  await second.close();
});

test("dark or light is one choice for the stand and every other page", async ({
  teacher,
  player,
  page,
}) => {
  await player.goesToTheStand(await teacher.setsToday());
  const shown = (scheme: "dark" | "light") =>
    expect(page.locator("html")).toHaveAttribute("data-scheme", scheme);
  // Until somebody chooses, as the system says.
  await page.emulateMedia({ colorScheme: "dark" });
  await shown("dark");
  await page.emulateMedia({ colorScheme: "light" });
  await shown("light");
  await player.button("Dark").click();
  await shown("dark");
  await page.getByRole("link", { name: "Leave the stand" }).click();
  await page.waitForURL(/\/today$/);
  await shown("dark");
  await player.button("Light").click();
  await shown("light");
  await page.emulateMedia({ colorScheme: "dark" });
  await shown("light");
  await page.goBack();
  await page.waitForURL(/\/stand$/);
  await expect(player.button("Dark")).toBeVisible();
  await shown("light");
  // What is chosen in another window holds here too.
  const other = await page.context().newPage();
  await other.goto(page.url().replace(/sessions.*/, ""));
  await ready(other);
  await other.getByRole("button", { name: "Dark" }).click();
  await shown("dark");
  await other.close();
});
