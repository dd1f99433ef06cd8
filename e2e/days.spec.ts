import { expect, test } from "./support/fixtures";
import { ready } from "./support/ready";

test.setTimeout(180_000);

test(
  "where it ended is never above what was passed, and only that is drawn as passed",
  { tag: "@main" },
  async ({ days, teacher, player, page }) => {
    await teacher.opensTheWorkshop();
    await teacher.drawsTheLadder({ start: 200, target: 240, clean: 1 });
    await teacher.startsEachDay("where it ended");
    await teacher.setsIt();
    const today = page.url();
    await player.goesToTheStand();
    await player.starts();
    await player.playsClean();
    await player.button("Skip").click();
    await player.seesTempo(220);
    await player.playsFlawed();
    await expect(page.getByText("All kept")).toBeVisible();

    await days.goesTo(1, [page]);
    await player.goesToTheStand(today);
    await player.seesTempo(200);
  },
);

test("a scale goes through three weeks' keys, its notes at the stand in each of them", async ({
  days,
  teacher,
  player,
  page,
}) => {
  const piece = await teacher.opensARoomAtOnce();
  const home = days.address + piece.replace("/pieces/new", "");
  await page.goto(`${home}/exercise`);
  await expect(page.locator("main svg .note")).toHaveCount(15);
  await ready(page);
  await page.getByRole("button", { name: "Lay it on the stand" }).click();
  await teacher.dragsOverBars(1, 2);
  await teacher.cuts();
  await teacher.drawsTheLadder({ start: 200, target: 220, clean: 1 });
  await teacher.setsIt();
  await page.goto(`${home}/lesson`);
  await ready(page);
  await page.getByRole("combobox", { name: "Add a passage" }).press("Enter");
  await page.getByRole("option").first().press("Enter");
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByLabel("Keys, one a week").fill("C, G, D");
  await page.getByRole("button", { name: "Set the week" }).click();
  await page.waitForURL(/\/weeks\//);

  const notesAsked = new Set<string>();
  page.on("request", (request) => {
    if (/\/sessions\/[^/]+\/notes\//.test(request.url())) notesAsked.add(request.url());
  });
  const notesOf = async (url: string) => (await page.request.get(url)).text();
  const notes = new Map<string, string>();
  let drawn = 0;
  for (const [week, key] of ["C major", "G major", "D major"].entries()) {
    if (week > 0) await days.goesTo(7 * week, [page]);
    await page.goto(`${home}/today`);
    await expect(page.getByText(`this week in ${key}`).first()).toBeVisible();
    await player.goesToTheStand();
    await expect(page.locator("main svg .measure")).toHaveCount(2);
    // C has no signs, G one, D two: nothing else is drawn otherwise.
    await expect.poll(() => page.locator("main svg use").count()).toBeGreaterThan(drawn);
    drawn = await page.locator("main svg use").count();
    for (const url of notesAsked) notes.set(url, notes.get(url) ?? (await notesOf(url)));
    if (week === 0) await page.getByRole("button", { name: "Go to the stand" }).click();
    await player.starts();
    await player.playsClean();
    await expect(page.getByText("All kept")).toBeVisible();
    await page.goto(`${home}/log`);
    await expect(page.getByText(key).first()).toBeVisible();
  }
  // Whoever looks at a session of old, or hears a take of it, sees them in the key of then.
  expect(new Set(notes.values()).size).toBeGreaterThanOrEqual(3);
  for (const [url, then] of notes) expect(await notesOf(url)).toBe(then);
  await page.goto(home);
  await page.getByRole("link", { name: /^Bars 1–2/ }).click();
  const keys = page.getByRole("table").filter({ hasText: "Fastest clean" });
  await expect(keys.getByRole("row")).toHaveCount(4);
});

test("over several tempi: percents come again the next day, and follow a tempo that moves by a press", async ({
  days,
  teacher,
  player,
  page,
}) => {
  const region = (id: string, fromBar: number, bpm: number) => {
    const target = { low: bpm, high: bpm };
    return { id, fromBar, unit: "quarter", target, words: "", subdivision: 1, link: null };
  };
  await teacher.comesToAFirstPiece();
  await teacher.addsAPiece();
  await expect(page.getByRole("heading", { name: "The Ferry at Low Water" })).toBeVisible();
  const piece = page.url();
  const set = async (opening: number) => {
    const regions = [region("a", 1, opening), region("b", 5, 150)];
    const form = { act: "tempi", tempi: JSON.stringify({ regions, changes: [] }) };
    const answer = await page.request.post(piece, { form, headers: { origin: days.address } });
    expect(answer.ok()).toBe(true);
  };
  await set(200);
  await page.goto(piece);
  await teacher.dragsOverBars(1, 8);
  await teacher.cuts();
  await teacher.drawsTheLadder({ start: 60, target: 100, step: 20, clean: 1 });
  await teacher.setsIt();
  const today = page.url();
  await player.goesToTheStand();
  await player.starts();
  await player.playsClean(2);
  await expect(page.getByText("100 % of full tempo")).toBeVisible();
  await expect(page.getByText("All kept")).toBeVisible();

  await days.goesTo(1, [page]);
  await page.goto(today.replace(/today$/, "log"));
  await expect(page.getByText("120 → 160 bpm").first()).toBeVisible();
  await page.goto(today);
  await expect(page.getByText("= 120")).toBeVisible();
  await page.goto(today.replace(/\/today$/, ""));
  await expect(page.getByText("→ 200")).toBeVisible();

  // The opening is taken back: the ladder stays until somebody says so.
  await set(180);
  await page.goto(today);
  await expect(page.getByText("= 120")).toBeVisible();
  await page.goto(piece);
  await expect(page.getByText("Bars 1–8: from 200 to 180")).toBeVisible();
  await ready(page);
  await page.getByRole("button", { name: "Change it" }).click();
  await expect(page.getByText("Bars 1–8: from 200 to 180")).toBeHidden();
  await page.goto(today);
  await expect(page.getByText("= 108")).toBeVisible();
  await player.goesToTheStand();
  await expect(page.getByText("60 % of full tempo")).toBeVisible();
  await player.seesTempo(108);
});
