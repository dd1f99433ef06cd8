import { axeOn } from "./support/axe";
import { expect, test } from "./support/fixtures";
import { ready } from "./support/ready";

const FERRY = "demo/tunes/ferry-at-low-water.musicxml";

test("from a file to a passage played from its notes, where a flaw is told on its bar", async ({
  teacher,
  player,
  page,
  server,
}) => {
  const first = await teacher.opensARoomAtOnce();
  await page.goto(`${server.address}${first}`);
  await ready(page);
  await page.setInputFiles("input[type=file]", {
    name: "notes.pdf",
    mimeType: "application/pdf",
    buffer: Buffer.from("%PDF-1.4"),
  });
  await page.getByRole("button", { name: "Read it and open its bars" }).click();
  await expect(page.getByText("notes.pdf can't be opened")).toBeVisible();
  await page.setInputFiles("input[type=file]", FERRY);
  await page.getByRole("button", { name: "Read it and open its bars" }).click();
  await expect(page.getByRole("heading", { name: "The Ferry at Low Water" })).toBeVisible();

  const bar = (label: string) => page.getByRole("option", { name: new RegExp(`^bar ${label},`) });
  await expect(bar("17")).toHaveAccessibleName(/^bar 17, 2\/4, no sharps or flats, 6 notes$/);
  await expect(page.locator("svg .measure").first()).toBeVisible();
  const { violations } = await axeOn(page).analyze();
  expect(violations).toEqual([]);

  // With keys, as on the ribbon: arrows go, Shift extends.
  await bar("1").focus();
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("Shift+ArrowRight");
  await expect(bar("3")).toHaveAttribute("aria-selected", "true");
  await teacher.dragsOverBars(17, 18);
  // Its edges go from beat to beat, and back.
  const begins = page.getByRole("slider", { name: "Where the passage begins" });
  await begins.press("ArrowLeft");
  await expect(begins).toHaveAttribute("aria-valuetext", "bar 16, beat 3");
  await expect(page.getByLabel("Pickup beats")).toHaveValue("1");
  await begins.press("ArrowRight");
  await expect(page.getByLabel("Pickup beats")).toHaveValue("0");
  await teacher.cuts();
  await teacher.drawsTheLadder({ start: 20, target: 30, clean: 2 });
  await teacher.setsIt();
  await player.goesToTheStand();
  await expect(page.locator("main svg .measure")).toHaveCount(2);
  // From memory: the notes are covered, and seen again for one play.
  const hidden = page.getByLabel("From memory:");
  const cover = page.locator("main [class*=cover_]");
  await hidden.selectOption("all notes hidden");
  await expect(cover).toHaveCount(2);
  await player.button("Show them for this play").click();
  await expect(cover).toHaveCount(0);
  await hidden.selectOption("all notes shown");
  await player.startsAndSees("[data-here]");
  await player.playsFlawed();
  // The next play would be over soon on the fast clock, and with it the question.
  await player.button("Pause").dispatchEvent("click");
  const where = page.getByRole("button", { name: "bar 18", exact: true });
  await where.click();
  await expect(where).toHaveAttribute("aria-pressed", "true");
  const beats = page.getByRole("group", { name: "On beat" });
  await beats.getByRole("button", { name: "2", exact: true }).click();
  await expect(beats.getByRole("button", { name: "2" })).toHaveAttribute("aria-pressed", "true");

  // They can be folded away, and that stays so.
  await player.button("Fold the notes away").click();
  await expect(page.locator("main svg .measure")).toHaveCount(0);
  await page.reload();
  await expect(player.button("Show the notes")).toBeVisible();
  await expect(page.locator("main svg .measure")).toHaveCount(0);
});

test("the stand opens with its notes again while the server is away", async ({
  teacher,
  player,
  page,
  context,
}) => {
  await teacher.bringsAFile(FERRY);
  await teacher.dragsOverBars(1, 4);
  await teacher.cuts();
  await teacher.setsIt();
  await player.goesToTheStand();
  await player.starts();
  const kept = () =>
    page.evaluate(async () => {
      const all = await (await caches.open("fidus-stand")).keys();
      const notes = all.some(({ url }) => url.includes("/notes/"));
      return notes && navigator.serviceWorker.controller !== null;
    });
  await expect.poll(kept).toBe(true);
  await context.setOffline(true);
  await page.reload();
  await expect(page.locator("main svg .measure")).toHaveCount(4);
});

test("read once and marked: touched bars become passages, one press each", async ({
  teacher,
  page,
  server,
}) => {
  const piece = await teacher.addsABriskPiece(await teacher.opensARoomAtOnce(), 24);
  await page.goto(`${server.address}${piece}`);
  await ready(page);
  await page.getByRole("button", { name: "Read it once, mark the trouble" }).click();
  await teacher.dragsOverBars(3, 4);
  await page.getByRole("button", { name: "nearly" }).click();
  await teacher.dragsOverBars(5, 5);
  await page.getByRole("button", { name: "safe" }).click();
  await page.getByRole("option", { name: /^bar 9/ }).focus();
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("Enter");
  await expect(page.locator("[data-bar] [role=img]")).toHaveCount(4);
  await page.getByRole("button", { name: "Done" }).click();
  await page.reload();
  await ready(page);
  await expect(page.locator("[data-bar] [role=img]")).toHaveCount(4);
  await expect(page.getByText("Bars 3–5", { exact: true })).toBeVisible();
  await page.getByRole("button", { name: "Take it" }).click();
  await expect(page.getByRole("link", { name: "Bars 3–5" })).toBeVisible();
  await expect(page.getByRole("button", { name: "Take it" })).toBeHidden();
});

test("pages on paper: a PDF is drawn, its bars are drawn over it, and it is played from", async ({
  teacher,
  player,
  page,
}) => {
  await teacher.bringsAFile("demo/tunes/rolled-tenths.pdf");
  const sheet = page.getByRole("group", { name: /^Page 1: drag/ });
  await sheet.scrollIntoViewIfNeeded();
  await expect(sheet.locator("img")).toHaveJSProperty("complete", true);
  const { x, y, width, height } = (await sheet.boundingBox())!;
  await page.mouse.move(x + 0.12 * width, y + 0.19 * height);
  await page.mouse.down();
  await page.mouse.move(x + 0.86 * width, y + 0.33 * height, { steps: 4 });
  await page.mouse.up();
  await page.getByLabel("Bars", { exact: true }).fill("5");
  // A line is moved with keys, and a system like it comes below.
  const line = page.getByRole("slider", { name: "Bar line before bar 2" });
  const before = Number(await line.getAttribute("aria-valuenow"));
  await line.press("ArrowRight");
  await expect.poll(async () => Number(await line.getAttribute("aria-valuenow"))).not.toBe(before);
  await page.getByRole("button", { name: "One more like it" }).click();
  const { violations } = await axeOn(page).analyze();
  expect(violations).toEqual([]);
  await page.getByRole("button", { name: "Keep 10 bars" }).click();

  await expect(page.locator("svg image").first()).toBeVisible();
  await teacher.dragsOverBars(6, 7);
  await teacher.cuts();
  await teacher.drawsTheLadder({ start: 20, target: 30, clean: 2 });
  await teacher.setsIt();
  await player.goesToTheStand();
  await expect(page.locator("main svg image")).toHaveCount(1);
  await player.startsAndSees("[data-here]");
});

test("by heart: bars stand, are tested from the middle with their notes covered, and fall out", async ({
  teacher,
  page,
}) => {
  await teacher.bringsAFile(FERRY);
  await page.getByLabel("Counted in").press("Enter");
  await page.getByRole("option", { name: "lines" }).press("Enter");
  await page.getByLabel("They begin at bars").fill("1, 9, 17");
  await page.getByRole("button", { name: "Plan it" }).click();
  await expect(page.getByText(/0 of 3 lines stand/)).toBeVisible();
  await page.getByRole("link", { name: "By heart, bar by bar" }).click();
  await expect(page.getByRole("heading", { name: "What stands" })).toBeVisible();
  await teacher.dragsOverBars(1, 4);
  await page.getByRole("button", { name: "Stand by heart: bars 1–4" }).click();
  await expect(page.getByText("4 of 24 bars stand by heart")).toBeVisible();
  await page.getByRole("button", { name: /^Line 1/ }).click();
  await page.getByRole("button", { name: "Stand by heart: bars 1–8" }).click();
  await expect(page.getByText(/1 of 3 lines stand/)).toBeVisible();
  await page.getByRole("button", { name: "Cover the notes and begin" }).click();
  await expect(page.locator("[class*=cover_]").first()).toBeVisible();
  const { violations } = await axeOn(page).analyze();
  expect(violations).toEqual([]);
  // With the pedal: it fell out.
  await page.keyboard.press("PageUp");
  await expect(page.getByText("fell out", { exact: true })).toBeVisible();
  await expect(page.getByText(/^[1-7] of 24 bars stand|Nothing stands yet/)).toBeVisible();
});
